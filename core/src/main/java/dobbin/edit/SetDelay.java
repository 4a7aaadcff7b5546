package dobbin.edit;

import dobbin.reel.Reel;
import java.util.List;

/**
 * Gives the named frames one delay.
 *
 * @param delayMillis 10 to 600,000
 */
public record SetDelay(List<Integer> frames, int delayMillis) implements Edit {
    public SetDelay {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Chosen chosen = Chosen.of(reel, frames);
        return reel.withFrames(reel.frames().stream()
                .map(frame -> chosen.has(frame) ? frame.withDelay(delayMillis) : frame)
                .toList());
    }

    @Override
    public String title(Reel reel) {
        return "Hold " + Chosen.words(reel, frames) + " for " + delayMillis + " ms";
    }
}
