package dobbin.palette;

import dobbin.color.LinearLight;
import dobbin.color.Oklab;
import dobbin.raster.Raster;
import java.util.Arrays;

/**
 * Counts the colors of a picture in 2^18 bins, 6 bits a channel, that keep the mean of what fell in.
 *
 * <p>A pixel counts for less where the picture is busy: a wrong color is seen in a sky and lost in a hedge. Of large
 * pictures with more colors than a palette holds, every so many opaque pixels are taken. Scratch memory is reused from picture to picture; for one thread at a time.
 */
public final class ColorTally {
    static final int BINS = 1 << 18;

    private static final int TRANSPARENT = 0;
    /** The most samples that are kept of a loop, however long it is. */
    private static final int PIXELS_OF_A_LOOP = 1_200_000;

    private static final int MOST_OF_A_FRAME = 40_000;
    private static final int LEAST_OF_A_FRAME = 5_000;
    /** Four differences of 0 to 255 from the neighbors before. */
    private static final int BUSIEST = 4 * 255;
    /** Differences that halve what a pixel counts. */
    private static final float HALVING = 3f;

    private static final float[] WEIGHTS = new float[BUSIEST + 1];

    static {
        for (int busy = 0; busy <= BUSIEST; busy++) {
            WEIGHTS[busy] = 1 / (1 + busy / HALVING);
        }
    }

    private final int enoughPixels;
    private final float[] linear = LinearLight.table();
    /** Of each bin its weight, and the weighted sums of red, green and blue: side by side, as they are used together. */
    private final float[] sums = new float[4 * BINS];

    private int[] touched = new int[4096];
    private int occupied;

    /** Counts a single picture, or a few. */
    public ColorTally() {
        this(pixelsOfAFrame(1));
    }

    /** @param enoughPixels how many pixels of a picture of many colors are weighed, about */
    public ColorTally(int enoughPixels) {
        this.enoughPixels = enoughPixels;
    }

    /** @return of how many pixels of each the colors are weighed in a loop that long */
    public static int pixelsOfAFrame(int frames) {
        return Math.max(LEAST_OF_A_FRAME, Math.min(MOST_OF_A_FRAME, PIXELS_OF_A_LOOP / frames));
    }

    /** @param picture pixels opaque or 0: those are transparent and no color */
    public ColorCloud count(Raster picture) {
        int[] argb = picture.argb();
        ExactColors exact = new ExactColors();
        Seen seen = countExactly(argb, exact);
        int step = exact.full() ? Math.max(1, seen.opaque / enoughPixels) : 1;
        for (int y = 0; y < picture.height(); y++) {
            row(argb, picture.width(), y, firstOfRow(seen.seed, y, step), step);
        }
        return cloud(exact, seen.opaque < argb.length);
    }

    /**
     * @param opaque how many pixels are
     * @param seed a number that depends on all pixels
     */
    private record Seen(int opaque, int seed) {}

    private static Seen countExactly(int[] argb, ExactColors exact) {
        int opaque = 0;
        int seed = 0;
        int run = 0;
        for (int i = 0; i < argb.length; i++) {
            run++;
            if (i + 1 < argb.length && argb[i + 1] == argb[i]) {
                continue;
            }
            seed = 31 * seed + argb[i] + run;
            if (argb[i] != TRANSPARENT) {
                opaque += run;
                if (!exact.full()) {
                    exact.add(argb[i] & 0xFFFFFF, run);
                }
            }
            run = 0;
        }
        return new Seen(opaque, seed);
    }

    /**
     * Where the first pixel is taken. It varies from row to row and from picture to picture as if drawn by lot, so no line of
     * a pixel's width is passed over everywhere; the same picture gives the same. The constants are those of the finalizer of
     * A. Appleby's MurmurHash3.
     */
    private static int firstOfRow(int seed, int y, int step) {
        int mixed = seed ^ y * 0x9E3779B1;
        mixed = (mixed ^ mixed >>> 16) * 0x85EBCA6B;
        mixed = (mixed ^ mixed >>> 13) * 0xC2B2AE35;
        return Integer.remainderUnsigned(mixed ^ mixed >>> 16, step);
    }

    /** Takes every {@code step}th opaque pixel of a row; each stands for as many. */
    private void row(int[] argb, int width, int y, int first, int step) {
        int start = y * width;
        int above = y > 0 ? -width : 0;
        int passed = step - 1 - first;
        for (int x = 0; x < width; x++) {
            int pixel = argb[start + x];
            if (pixel == TRANSPARENT || ++passed < step) {
                continue;
            }
            passed = 0;
            int before = argb[start + Math.max(0, x - 1)];
            int over = argb[start + above + x];
            int red = pixel >> 16 & 0xFF;
            int green = pixel >> 8 & 0xFF;
            int blue = pixel & 0xFF;
            int busy = Math.abs(green - (before >> 8 & 0xFF))
                    + Math.abs(green - (over >> 8 & 0xFF))
                    + Math.abs(red - (before >> 16 & 0xFF))
                    + Math.abs(blue - (over & 0xFF));
            add((red >> 2) << 12 | (green >> 2) << 6 | blue >> 2, step * WEIGHTS[busy], red, green, blue);
        }
    }

    private void add(int bin, float weight, int red, int green, int blue) {
        int at = 4 * bin;
        if (sums[at] == 0) {
            if (occupied == touched.length) {
                touched = Arrays.copyOf(touched, 2 * occupied);
            }
            touched[occupied++] = bin;
        }
        sums[at] += weight;
        sums[at + 1] += weight * red;
        sums[at + 2] += weight * green;
        sums[at + 3] += weight * blue;
    }

    private ColorCloud cloud(ExactColors exact, boolean transparentSeen) {
        int[] bins = Arrays.copyOf(touched, occupied);
        float[] points = new float[3 * occupied];
        float[] kept = new float[occupied];
        for (int i = 0; i < occupied; i++) {
            int at = 4 * bins[i];
            float weight = sums[at];
            kept[i] = weight;
            Oklab.fromLinear(
                    light(sums[at + 1] / weight),
                    light(sums[at + 2] / weight),
                    light(sums[at + 3] / weight),
                    points,
                    3 * i);
            Arrays.fill(sums, at, at + 4, 0f);
        }
        occupied = 0;
        return new ColorCloud(bins, points, kept, exact, transparentSeen);
    }

    /** Between two entries of the table: a bin's mean is seldom a whole number. */
    private float light(float srgb) {
        int below = Math.min(254, (int) srgb);
        return linear[below] + (srgb - below) * (linear[below + 1] - linear[below]);
    }
}
