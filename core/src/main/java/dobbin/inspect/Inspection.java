package dobbin.inspect;

import dobbin.reel.Frame;
import dobbin.reel.Reel;
import java.util.List;
import java.util.stream.IntStream;

/**
 * What is seen in a reel.
 *
 * @param changes for each of the reel's frames, how much it differs from the one before it in the loop, 0 to 1; 0 for
 *     one that is left out
 * @param rhythm of the frames that play
 * @param notices the most important first, without those dismissed
 */
public record Inspection(double[] changes, Rhythm rhythm, List<Notice> notices) {
    /** How far a pixel must be from what it was to count as another, and how many must be in a cut; of how many steps. */
    private static final double CHANGED = 0.06;

    private static final double MOST_PIXELS = 0.85;
    private static final double MOST_STEPS = 0.75;

    /** Looks at every frame, and at all pairs of them where the seam is a cut. */
    public static Inspection of(Reel reel, InspectedFrames inspected) {
        List<Frame> loop = reel.loop();
        double[] steps = new double[loop.size()];
        for (int i = 0; i < steps.length; i++) {
            steps[i] = inspected.change(loop.get((i + steps.length - 1) % steps.length), loop.get(i));
        }
        Rhythm rhythm = Rhythm.of(steps, isRowOfCuts(loop, inspected));
        List<Notice> notices = new NoticeFinder(reel, inspected, rhythm)
                .find().stream()
                        .filter(notice -> !reel.dismissed().contains(notice.key()))
                        .toList();
        return new Inspection(forAll(reel.frames(), steps), rhythm, notices);
    }

    /** Whether most steps are cuts. In motion most of the picture stays; from one photograph to another, hardly a pixel does. */
    private static boolean isRowOfCuts(List<Frame> loop, InspectedFrames inspected) {
        long cuts = IntStream.range(0, loop.size())
                .filter(i -> isCut(loop.get(i), loop.get((i + 1) % loop.size()), inspected))
                .count();
        return loop.size() > 1 && cuts >= MOST_STEPS * loop.size();
    }

    private static boolean isCut(Frame a, Frame b, InspectedFrames inspected) {
        return !inspected.same(a, b) && inspected.coarse(a).shareChanged(inspected.coarse(b), CHANGED) >= MOST_PIXELS;
    }

    private static double[] forAll(List<Frame> frames, double[] steps) {
        double[] changes = new double[frames.size()];
        for (int i = 0, next = 0; i < changes.length; i++) {
            changes[i] = frames.get(i).leftOut() ? 0 : steps[next++];
        }
        return changes;
    }
}
