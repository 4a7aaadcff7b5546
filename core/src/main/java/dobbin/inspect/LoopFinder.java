package dobbin.inspect;

import dobbin.raster.Raster;
import dobbin.reel.Frame;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Finds the stretch of a sequence that loops best. Playing frames a to b - 1 over and over lets frame a stand in for frame
 * b, so the pair that is most alike, with neighbors that are alike too so that motion goes on the same way, makes the
 * smoothest loop.
 *
 * <p>Source: A. Schödl, R. Szeliski, D. Salesin, I. Essa, "Video textures", 2000, sections 3 and 3.1, with a filter of
 * three taps. Differs in asking for one loop, and in taking a longer one before one that is hardly better.
 */
public final class LoopFinder {
    private static final int FEWEST_FRAMES = 8;
    private static final double SHORTEST_SHARE = 0.25;
    private static final double NEIGHBOR_WEIGHT = 0.5;

    /** Giving up all frames would have to be worth so many usual steps. */
    private static final double LENGTH_WEIGHT = 2;

    /** Of a clip one takes a part anyhow, so that a smaller seam is worth more. */
    private static final double CLIP_LENGTH_WEIGHT = 0.5;

    /**
     * Frames {@code from} to {@code to}, the latter not included.
     *
     * @param seamRatio the jump from last to first against the usual step
     */
    public record Stretch(int from, int to, double seamRatio) {}

    private LoopFinder() {}

    /** How unlike two frames are, told by their places: 0 to 1. */
    private interface Changes {
        double between(int a, int b);
    }

    /** @return the best stretch, if that closes smoothly; none of fewer than 8 frames */
    static Optional<Stretch> best(List<Frame> loop, InspectedFrames inspected, Rhythm rhythm) {
        List<Sample> samples = loop.stream().map(inspected::coarse).toList();
        return best(samples, rhythm.usual(), LENGTH_WEIGHT, (a, b) -> inspected.change(loop.get(a), loop.get(b)));
    }

    /**
     * Finds the best stretch of pictures that are no frames yet.
     *
     * @param pictures in their order, all of one size, the longer side at most {@link InspectedFrames#COARSE_SIDE}
     */
    public static Optional<Stretch> best(List<Raster> pictures) {
        List<Sample> samples = pictures.stream().map(Sample::of).toList();
        double[] changes = IntStream.range(0, samples.size())
                .mapToDouble(i -> samples.get(i).changeTo(samples.get(i == 0 ? samples.size() - 1 : i - 1)))
                .toArray();
        return best(
                samples,
                Rhythm.of(changes).usual(),
                CLIP_LENGTH_WEIGHT,
                (a, b) -> samples.get(a).changeTo(samples.get(b)));
    }

    private static Optional<Stretch> best(List<Sample> samples, double usualStep, double lengthWeight, Changes seen) {
        int count = samples.size();
        if (count < FEWEST_FRAMES) {
            return Optional.empty();
        }
        float[][] changes = allPairs(samples);
        double usual = Math.max(usualStep, Rhythm.NOTHING);
        int shortest = (int) Math.max(3, Math.ceil(count * SHORTEST_SHARE));
        int bestFrom = -1;
        int bestTo = -1;
        double least = Double.MAX_VALUE;
        for (int from = 0; from + shortest < count; from++) {
            for (int to = from + shortest; to < count; to++) {
                double cost = cost(changes, from, to) / usual + lengthWeight * (1 - (to - from) / (double) count);
                if (cost < least) {
                    least = cost;
                    bestFrom = from;
                    bestTo = to;
                }
            }
        }
        double seam = seen.between(bestTo - 1, bestFrom) / usual;
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
    private static float[][] allPairs(List<Sample> coarse) {
        List<Sample> samples =
                coarse.stream().map(sample -> sample.halved().halved()).toList();
        float[][] changes = new float[samples.size()][samples.size()];
        for (int a = 0; a < changes.length; a++) {
            for (int b = a + 1; b < changes.length; b++) {
                changes[a][b] = (float) samples.get(a).changeTo(samples.get(b));
            }
        }
        return changes;
    }
}
