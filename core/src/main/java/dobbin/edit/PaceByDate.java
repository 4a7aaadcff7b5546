package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import dobbin.timing.Delays;
import java.util.Arrays;
import java.util.List;

/**
 * Shows each of the named frames as long, in proportion, as passed until the still of the next one was taken; the last one
 * as long as is usual. Frames that are left out of the loop have no part in it.
 *
 * @param totalMillis how long they last together, 10 to 600,000 for each frame
 */
public record PaceByDate(List<Integer> frames, int totalMillis) implements Edit {
    /** The longest time between two, in the parts that all are measured in. */
    private static final double PARTS = 1e6;

    public PaceByDate {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        List<Frame> loop = Chosen.of(reel, frames).loop();
        if (loop.size() < 2) {
            throw new EditRejected("frames", "must be at least two that are in the loop");
        }
        if (!loop.stream().allMatch(DateTaken::isKnown)) {
            throw new EditRejected("frames", "must all be of files that say when they were taken");
        }
        int[] shares = shares(loop);
        Ranges.check(
                "totalMillis",
                totalMillis,
                Ranges.MIN_DELAY_MILLIS * loop.size(),
                Ranges.MAX_DELAY_MILLIS * loop.size());
        int[] delays = Delays.fitted(shares, totalMillis, Ranges.MIN_DELAY_MILLIS, Ranges.MAX_DELAY_MILLIS);
        return reel.withFrames(reel.frames().stream()
                .map(frame -> loop.contains(frame) ? frame.withDelay(delays[loop.indexOf(frame)]) : frame)
                .toList());
    }

    private static int[] shares(List<Frame> loop) {
        long[] passed = new long[loop.size()];
        for (int i = 0; i + 1 < passed.length; i++) {
            passed[i] = DateTaken.millis(loop.get(i + 1)) - DateTaken.millis(loop.get(i));
            if (passed[i] < 0) {
                throw new EditRejected(
                        "frames", "are not in the order they were taken in. Put them in order of date first");
            }
        }
        long[] sorted = Arrays.stream(passed, 0, passed.length - 1).sorted().toArray();
        passed[passed.length - 1] = sorted[sorted.length / 2];
        double longest = Math.max(1, sorted[sorted.length - 1]);
        return Arrays.stream(passed)
                .mapToInt(each -> (int) Math.max(1, Math.round(PARTS * each / longest)))
                .toArray();
    }

    @Override
    public String title(Reel reel) {
        return "Pace " + Chosen.words(reel, frames) + " by date over " + totalMillis + " ms";
    }
}
