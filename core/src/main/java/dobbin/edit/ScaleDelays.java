package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.List;

/**
 * Makes the named frames last longer or shorter, in proportion and with a total that is exact. Frames that are left out
 * of the loop have no part in it.
 *
 * @param percent of the time they last now, 1 to 10,000: 50 is twice as fast
 */
public record ScaleDelays(
        List<Integer> frames, @Min(1) @Max(10_000) int percent) implements Edit {
    public ScaleDelays {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Ranges.check(ScaleDelays.class, "percent", percent);
        Chosen chosen = Chosen.of(reel, frames);
        long total = chosen.loop().stream().mapToLong(Frame::delayMillis).sum();
        return Totals.fit(reel, chosen, Math.round(total * percent / 100.0));
    }

    @Override
    public String title(Reel reel) {
        String which = Chosen.words(reel, frames);
        return percent == 50
                ? "Play " + which + " twice as fast"
                : percent == 200 ? "Play " + which + " half as fast" : "Make " + which + " last " + percent + " %";
    }
}
