package dobbin.inspect;

import dobbin.reel.Frame;
import java.util.List;
import java.util.Optional;

/**
 * Finds the stretch of a sequence that loops best. Playing frames a to b - 1 over and over lets frame a stand in for frame
 * b, so the pair that is most alike, with neighbors that are alike too so that motion goes on the same way, makes the
 * smoothest loop.
 *
 * <p>Source: A. Schödl, R. Szeliski, D. Salesin, I. Essa, "Video textures", 2000, sections 3 and 3.1, with a filter of
 * three taps. Differs in asking for one loop, and in taking a longer one before one that is hardly better.
 */
final class LoopFinder {
    private static final int FEWEST_FRAMES = 8;
    private static final double SHORTEST_SHARE = 0.25;
    private static final double NEIGHBOR_WEIGHT = 0.5;

    /** Giving up all frames would have to be worth so many usual steps. */
    private static final double LENGTH_WEIGHT = 2;

    /**
     * Frames {@code from} to {@code to}, the latter not included.
     *
     * @param seamRatio the jump from last to first against the usual step
     */
    record Stretch(int from, int to, double seamRatio) {}

    private LoopFinder() {}

    /** @return the best stretch, if that closes smoothly; none of fewer than 8 frames */
    static Optional<Stretch> best(List<Frame> loop, Sight sight, Rhythm rhythm) {
        int count = loop.size();
        if (count < FEWEST_FRAMES) {
            return Optional.empty();
        }
        float[][] changes = allPairs(loop, sight);
        double usual = Math.max(rhythm.usual(), Rhythm.NOTHING);
        int shortest = (int) Math.max(3, Math.ceil(count * SHORTEST_SHARE));
        int bestFrom = -1;
        int bestTo = -1;
        double least = Double.MAX_VALUE;
        for (int from = 0; from + shortest < count; from++) {
            for (int to = from + shortest; to < count; to++) {
                double cost = cost(changes, from, to) / usual + LENGTH_WEIGHT * (1 - (to - from) / (double) count);
                if (cost < least) {
                    least = cost;
                    bestFrom = from;
                    bestTo = to;
                }
            }
        }
        double seam = sight.change(loop.get(bestTo - 1), loop.get(bestFrom)) / usual;
        return Rhythm.isSmooth(seam) ? Optional.of(new Stretch(bestFrom, bestTo, seam)) : Optional.empty();
    }

    /** How unlike {@code to} and what would stand in for it are, their neighbors in time counted at half. */
    private static double cost(float[][] changes, int from, int to) {
        double cost = changes[from][to];
        double weight = 1;
        if (from > 0) {
            cost += NEIGHBOR_WEIGHT * changes[from - 1][to - 1];
            weight += NEIGHBOR_WEIGHT;
        }
        if (to + 1 < changes.length) {
            cost += NEIGHBOR_WEIGHT * changes[from + 1][to + 1];
            weight += NEIGHBOR_WEIGHT;
        }
        return cost / weight;
    }

    /** @return for each frame how much it differs from each later one */
    private static float[][] allPairs(List<Frame> loop, Sight sight) {
        List<Sample> samples = loop.stream()
                .map(frame -> sight.coarse(frame).halved().halved())
                .toList();
        float[][] changes = new float[samples.size()][samples.size()];
        for (int a = 0; a < changes.length; a++) {
            for (int b = a + 1; b < changes.length; b++) {
                changes[a][b] = (float) samples.get(a).changeTo(samples.get(b));
            }
        }
        return changes;
    }
}
