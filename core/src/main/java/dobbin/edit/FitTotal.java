package dobbin.edit;

import dobbin.reel.Reel;
import java.util.List;

/**
 * Makes the named frames last so long together, each in proportion. Frames that are left out of the loop have no part in
 * it.
 *
 * @param totalMillis 10 to 600,000 for each frame
 */
public record FitTotal(List<Integer> frames, int totalMillis) implements Edit {
    public FitTotal {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        return Totals.fit(reel, Chosen.of(reel, frames), totalMillis);
    }

    @Override
    public String title(Reel reel) {
        return "Fit " + Chosen.words(reel, frames) + " to " + totalMillis + " ms";
    }
}
