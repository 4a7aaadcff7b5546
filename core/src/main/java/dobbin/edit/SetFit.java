package dobbin.edit;

import dobbin.reel.Fit;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.reel.Still;
import java.util.List;

/** Lays the stills of the named frames on the canvas in one way; cards among them have no need of it and stay. */
public record SetFit(List<Integer> frames, Fit fit) implements Edit {
    public SetFit {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        return reel.withFrames(Chosen.of(reel, frames).each(this::fitted));
    }

    @Override
    public String title(Reel reel) {
        return switch (fit.way()) {
            case INSIDE -> "Fit " + Chosen.words(reel, frames) + " inside the canvas";
            case FILL -> "Fill the canvas with " + Chosen.words(reel, frames);
            case STRETCH -> "Stretch " + Chosen.words(reel, frames) + " to the canvas";
            case AS_IS -> "Show " + Chosen.words(reel, frames) + " as is";
        };
    }

    private Frame fitted(Frame frame) {
        return frame.content() instanceof Still still ? frame.withContent(still.withFit(fit)) : frame;
    }
}
