package dobbin.edit;

import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.List;

/**
 * Makes the named frames show so much longer, or shorter.
 *
 * @param millis -600,000 to 600,000; less than 0 for shorter
 */
public record AddToDelays(
        List<Integer> frames,

        @Min(-Ranges.MAX_DELAY_MILLIS) @Max(Ranges.MAX_DELAY_MILLIS)
        int millis) implements Edit {
    public AddToDelays {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Ranges.check(AddToDelays.class, "millis", millis);
        return reel.withFrames(Chosen.of(reel, frames).each(frame -> frame.withDelay(frame.delayMillis() + millis)));
    }

    @Override
    public String title(Reel reel) {
        String much = Math.abs(millis) + " ms";
        return "Show " + Chosen.words(reel, frames) + " " + much + (millis < 0 ? " less" : " more");
    }
}
