package dobbin.edit;

import dobbin.reel.Ink;
import dobbin.reel.Reel;
import java.util.List;

/** Takes all that was drawn off frames. */
public record ClearInk(List<Integer> frames) implements Edit {
    public ClearInk {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        return Inked.with(reel, frames, frame -> Ink.NONE);
    }

    @Override
    public String title(Reel reel) {
        return "Clear the ink of " + Chosen.words(reel, frames);
    }
}
