package dobbin.edit;

import dobbin.reel.Fit;
import dobbin.reel.FrameContent;
import dobbin.reel.Reel;
import java.util.List;

/** Lays the stills of the named frames on the canvas in one way; also of those that fade; cards have no need of it and stay. */
public record SetFit(List<Integer> frames, Fit fit) implements Edit {
    public SetFit {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        return reel.withFrames(Chosen.of(reel, frames).each(frame -> frame.withContent(fitted(frame.content()))));
    }

    @Override
    public String title(Reel reel) {
        return switch (fit.way()) {
            case INSIDE -> "Fit " + Chosen.words(reel, frames) + " inside the canvas";
            case FILL -> "Fill the canvas with " + Chosen.words(reel, frames);
            case STRETCH -> "Stretch " + Chosen.words(reel, frames) + " to the canvas";
            case AS_IS -> "Show " + Chosen.words(reel, frames) + " as is";
            case PLACED -> "Place " + Chosen.words(reel, frames);
        };
    }

    private FrameContent fitted(FrameContent content) {
        return content.match(still -> still.withFit(fit), card -> card, fade -> fade.withEach(this::fitted));
    }
}
