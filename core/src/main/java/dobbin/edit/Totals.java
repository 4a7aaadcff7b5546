package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import dobbin.timing.Delays;
import java.util.List;

/** How long frames last together. */
final class Totals {
    private Totals() {}

    /** Stretches or shortens those of the chosen frames that play until they last {@code totalMillis}. */
    static Reel fit(Reel reel, Chosen chosen, long totalMillis) {
        List<Frame> loop = chosen.loop();
        if (loop.isEmpty()) {
            throw new EditRejected("frames", "are all left out of the loop and take no time");
        }
        Ranges.check(
                "totalMillis",
                totalMillis,
                Ranges.MIN_DELAY_MILLIS * loop.size(),
                Ranges.MAX_DELAY_MILLIS * loop.size());
        int[] before = loop.stream().mapToInt(Frame::delayMillis).toArray();
        int[] fitted = Delays.fitted(before, totalMillis, Ranges.MIN_DELAY_MILLIS, Ranges.MAX_DELAY_MILLIS);
        return reel.withFrames(
                chosen.each(frame -> frame.leftOut() ? frame : frame.withDelay(fitted[loop.indexOf(frame)])));
    }
}
