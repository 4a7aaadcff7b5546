package dobbin.palette;

import dobbin.color.Oklab;
import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * Chooses the colors of a palette in Oklab.
 *
 * <p>{@link VarianceCut} finds where to begin. Then each color moves to the middle of what is nearest to it, a few times
 * (S. Lloyd, "Least squares quantization in PCM", 1982). Middles lie inside the cloud, and dithering cannot mix what lies
 * outside of its colors: for dithering, all are moved out from the common middle, by twice what brings their variance
 * back to that of the cloud. Last, what is mostly one color becomes that color.
 */
public final class PaletteBuilder {
    private static final int LLOYD_ROUNDS = 4;
    /** Below 1, what is rare counts for more than its share. */
    private static final double RARITY = 0.85;

    private static final float OUTWARD = 2;

    private PaletteBuilder() {}

    /**
     * @param entries how many entries the palette may have, 2 to 256, a transparent one included
     * @param transparent whether it must hold a transparent entry
     * @param keptColors colors that must be in it whatever the cloud holds, 0xRRGGBB, fewer than {@code entries}
     * @param forDithering whether colors will be mixed of those around them
     * @return the colors themselves where there are few enough, else the best found; never empty
     */
    public static Palette build(
            ColorCloud cloud, int entries, boolean transparent, int[] keptColors, boolean forDithering) {
        int wanted = entries - (transparent ? 1 : 0);
        return Palette.of(transparent, colors(cloud, wanted, keptColors, forDithering));
    }

    private static int[] colors(ColorCloud cloud, int wanted, int[] keptColors, boolean forDithering) {
        int[] kept = Arrays.stream(keptColors).distinct().limit(wanted).toArray();
        if (cloud.distinct() == 0) {
            return kept.length > 0 ? kept : new int[] {0};
        }
        if (cloud.distinct() <= wanted) {
            int[] all = joined(cloud.distinctColors(), kept);
            if (all.length <= wanted) {
                return all;
            }
        }
        float[] weights = new float[cloud.weights.length];
        for (int i = 0; i < weights.length; i++) {
            weights[i] = (float) Math.pow(cloud.weights[i], RARITY);
        }
        if (kept.length == wanted) {
            return kept;
        }
        VarianceCut.Parts parts = VarianceCut.of(cloud.points, weights, wanted - kept.length);
        float[] centers = joined(NearestColor.labOf(kept), parts.centers());
        int[] nearest = parts.partOf();
        for (int i = 0; i < nearest.length; i++) {
            nearest[i] += kept.length;
        }
        NearestCenters around = new NearestCenters(centers);
        around.assign(cloud.points, nearest);
        for (int round = 0; round < LLOYD_ROUNDS; round++) {
            settle(cloud.points, weights, nearest, centers, 3 * kept.length);
            around.assign(cloud.points, nearest);
        }
        if (forDithering) {
            spread(cloud.points, weights, nearest, centers, 3 * kept.length);
        }
        snap(cloud.points, weights, nearest, centers, kept.length);
        int[] chosen = IntStream.range(kept.length, centers.length / 3)
                .map(i -> Oklab.toRgb(centers[3 * i], centers[3 * i + 1], centers[3 * i + 2]))
                .sorted()
                .toArray();
        return joined(kept, chosen);
    }

    /** @param from where in {@code centers} those begin that may move */
    private static void settle(float[] points, float[] weights, int[] nearest, float[] centers, int from) {
        double[] sums = new double[centers.length];
        double[] mass = new double[centers.length / 3];
        for (int i = 0; i < nearest.length; i++) {
            int center = nearest[i];
            double weight = weights[i];
            mass[center] += weight;
            sums[3 * center] += weight * points[3 * i];
            sums[3 * center + 1] += weight * points[3 * i + 1];
            sums[3 * center + 2] += weight * points[3 * i + 2];
        }
        for (int i = from; i < centers.length; i++) {
            if (mass[i / 3] > 0) {
                centers[i] = (float) (sums[i] / mass[i / 3]);
            }
        }
    }

    private static void spread(float[] points, float[] weights, int[] nearest, float[] centers, int from) {
        double mass = 0;
        double cloud = 0;
        double chosen = 0;
        double[] middles = new double[3];
        for (int axis = 0; axis < 3; axis++) {
            double weight = 0;
            double sum = 0;
            double squares = 0;
            double chosenSum = 0;
            double chosenSquares = 0;
            for (int i = 0; i < nearest.length; i++) {
                double point = points[3 * i + axis];
                double center = centers[3 * nearest[i] + axis];
                weight += weights[i];
                sum += weights[i] * point;
                squares += weights[i] * point * point;
                chosenSum += weights[i] * center;
                chosenSquares += weights[i] * center * center;
            }
            mass = weight;
            middles[axis] = sum / mass;
            cloud += squares - sum * sum / mass;
            chosen += chosenSquares - chosenSum * chosenSum / mass;
        }
        if (chosen <= 0) {
            return;
        }
        double outward = 1 + OUTWARD * Math.max(0, Math.sqrt(cloud / chosen) - 1);
        for (int i = from; i < centers.length; i++) {
            centers[i] = (float) (middles[i % 3] + outward * (centers[i] - middles[i % 3]));
        }
    }

    /** A color that is most of what is around a center becomes the center: flat areas stay what they are. */
    private static void snap(float[] points, float[] weights, int[] nearest, float[] centers, int from) {
        int[] heaviest = new int[centers.length / 3];
        double[] mass = new double[centers.length / 3];
        Arrays.fill(heaviest, -1);
        for (int i = 0; i < nearest.length; i++) {
            int center = nearest[i];
            mass[center] += weights[i];
            if (heaviest[center] < 0 || weights[i] > weights[heaviest[center]]) {
                heaviest[center] = i;
            }
        }
        for (int center = from; center < mass.length; center++) {
            int point = heaviest[center];
            if (point >= 0 && weights[point] > mass[center] / 2) {
                System.arraycopy(points, 3 * point, centers, 3 * center, 3);
            }
        }
    }

    private static int[] joined(int[] first, int[] second) {
        return IntStream.concat(Arrays.stream(first), Arrays.stream(second))
                .distinct()
                .toArray();
    }

    private static float[] joined(float[] first, float[] second) {
        float[] all = Arrays.copyOf(first, first.length + second.length);
        System.arraycopy(second, 0, all, first.length, second.length);
        return all;
    }
}
