package dobbin.edit;

import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.List;

/**
 * Gives the named frames one delay.
 *
 * @param delayMillis 10 to 600,000
 */
public record SetDelay(
        List<Integer> frames,

        @Min(Ranges.MIN_DELAY_MILLIS) @Max(Ranges.MAX_DELAY_MILLIS)
        int delayMillis) implements Edit {
    public SetDelay {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        return reel.withFrames(Chosen.of(reel, frames).each(frame -> frame.withDelay(delayMillis)));
    }

    @Override
    public boolean continues(Edit before) {
        return before instanceof SetDelay other && frames.equals(other.frames);
    }

    @Override
    public String title(Reel reel) {
        return "Hold " + Chosen.words(reel, frames) + " for " + delayMillis + " ms";
    }
}
