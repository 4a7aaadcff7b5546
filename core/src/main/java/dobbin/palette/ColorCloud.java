package dobbin.palette;

import java.util.List;
import java.util.concurrent.atomic.AtomicLong;

/**
 * The colors of one or many pictures as weighted points in Oklab, and exactly while there are at most
 * {@link Palette#MAX_ENTRIES} different ones. Made by {@link ColorTally}; not changed afterwards.
 */
public final class ColorCloud {
    private static final int SAMPLE = 2_000;
    private static final AtomicLong MADE = new AtomicLong();
    /** Of the whole numbers that weights and sums are added up in. */
    private static final float ONE = 1 << 20;

    /** Which of the tally's bins each point stands for: points of the same bin are joined. */
    final int[] bins;
    /** L, a, b of each point. */
    final float[] points;

    final float[] weights;
    private final ExactColors exact;
    private final boolean transparentSeen;
    private final long serialNumber = MADE.incrementAndGet();

    ColorCloud(int[] bins, float[] points, float[] weights, ExactColors exact, boolean transparentSeen) {
        this.bins = bins;
        this.points = points;
        this.weights = weights;
        this.exact = exact;
        this.transparentSeen = transparentSeen;
    }

    /** @return the colors of all together */
    public static ColorCloud joined(List<ColorCloud> clouds) {
        if (clouds.size() == 1) {
            return clouds.get(0);
        }
        ExactColors exact = new ExactColors();
        boolean transparentSeen = false;
        // Whole numbers, so that it does not matter which comes first: moved frames keep their palette.
        long[] sums = new long[4 * ColorTally.BINS];
        for (ColorCloud cloud : clouds) {
            transparentSeen |= cloud.transparentSeen;
            exact.addAll(cloud.exact);
            for (int i = 0; i < cloud.bins.length; i++) {
                int at = 4 * cloud.bins[i];
                float weight = cloud.weights[i];
                sums[at] += fixed(weight);
                sums[at + 1] += fixed(weight * cloud.points[3 * i]);
                sums[at + 2] += fixed(weight * cloud.points[3 * i + 1]);
                sums[at + 3] += fixed(weight * cloud.points[3 * i + 2]);
            }
        }
        return means(sums, exact, transparentSeen);
    }

    private static long fixed(float value) {
        return (long) (value * ONE);
    }

    private static ColorCloud means(long[] sums, ExactColors exact, boolean transparentSeen) {
        int occupied = 0;
        for (int at = 0; at < sums.length; at += 4) {
            occupied += sums[at] > 0 ? 1 : 0;
        }
        int[] bins = new int[occupied];
        float[] points = new float[3 * occupied];
        float[] weights = new float[occupied];
        int point = 0;
        for (int at = 0; at < sums.length; at += 4) {
            if (sums[at] > 0) {
                bins[point] = at / 4;
                weights[point] = sums[at] / ONE;
                for (int axis = 0; axis < 3; axis++) {
                    points[3 * point + axis] = (float) (sums[at + 1 + axis] / (double) sums[at]);
                }
                point++;
            }
        }
        return new ColorCloud(bins, points, weights, exact, transparentSeen);
    }

    static float weight(ColorCloud cloud, int i) {
        return cloud.weights[i];
    }

    /** @return the same lightnesses without color; its different colors are not counted */
    ColorCloud withoutChroma() {
        float[] gray = points.clone();
        for (int i = 0; i < gray.length; i += 3) {
            gray[i + 1] = 0;
            gray[i + 2] = 0;
        }
        ExactColors uncounted = new ExactColors();
        uncounted.fill();
        return new ColorCloud(bins, gray, weights, weights.length == 0 ? exact : uncounted, transparentSeen);
    }

    /** @return a number that no other cloud has: names this very one without holding on to it */
    public long serialNumber() {
        return serialNumber;
    }

    public boolean transparentSeen() {
        return transparentSeen;
    }

    /** @return how many different colors there are; {@code Palette.MAX_ENTRIES + 1} stands for more */
    public int distinct() {
        return exact.distinct();
    }

    /** @return the different colors, the most frequent first; only while they are counted exactly */
    public int[] distinctColors() {
        return exact.byFrequency();
    }

    /** @return how far the points are from the nearest of the palette's colors, on average by weight; of a sample */
    public double meanDistance(Palette palette) {
        float[] lab = NearestColor.labOf(palette.colors());
        ColorsByLightness colors = new ColorsByLightness(lab);
        double sum = 0;
        double weight = 0;
        int step = Math.max(1, weights.length / SAMPLE);
        for (int i = 0; i < weights.length; i += step) {
            int at = 3 * colors.nearest(points[3 * i], points[3 * i + 1], points[3 * i + 2]);
            double l = points[3 * i] - lab[at];
            double a = points[3 * i + 1] - lab[at + 1];
            double b = points[3 * i + 2] - lab[at + 2];
            sum += weights[i] * Math.sqrt(l * l + a * a + b * b);
            weight += weights[i];
        }
        return weight == 0 ? 0 : sum / weight;
    }
}
