package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.reel.Still;
import java.util.List;

/** Shows another still on a frame, which keeps its delay, its place and its fit. */
public record ReplacePicture(int frame, NewStill still) implements Edit {
    @Override
    public Reel applyTo(Reel reel) {
        return reel.withFrames(Chosen.of(reel, List.of(frame)).each(each -> each.withContent(fitted(each))));
    }

    @Override
    public String title(Reel reel) {
        return "Replace the picture of " + Chosen.words(reel, List.of(frame));
    }

    private Still fitted(Frame before) {
        return before.content() instanceof Still old ? still.still().withFit(old.fit()) : still.still();
    }
}
