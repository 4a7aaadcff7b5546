package dobbin.edit;

import dobbin.reel.Ink;
import dobbin.reel.Reel;
import java.util.List;

/** Exchanges what was drawn on two frames. */
public record SwapInk(int frame, int other) implements Edit {
    @Override
    public Reel applyTo(Reel reel) {
        Ink here = Inked.one(reel, frame).ink();
        Ink there = Inked.one(reel, other).ink();
        return Inked.with(reel, List.of(frame, other), each -> each.id() == frame ? there : here);
    }

    @Override
    public String title(Reel reel) {
        return "Exchange ink with " + Chosen.words(reel, List.of(other));
    }
}
