package dobbin.raster;

import dobbin.color.LinearLight;
import java.util.Arrays;

/**
 * Scales pictures with Catmull-Rom's cubic, widened when reducing so that every source pixel counts.
 *
 * <p>Source: R. Keys, "Cubic convolution interpolation for digital image processing", 1981, with a = -1/2. Works in
 * linear light with premultiplied alpha, so that fine bright detail keeps its brightness and cut-out edges get no
 * fringe. Separable: columns first, over a ring of source rows just tall enough for the filter, so memory does not grow
 * with the source; that pass is plain multiply and add along rows, and when reducing it leaves few rows for the other.
 */
public final class Resampler {
    private static final int OPAQUE = 0xFF000000;

    private Resampler() {}

    /** @return {@code source} at {@code size}; the very same raster where that is its size already */
    public static Raster resize(Raster source, Size size) {
        return resize(source, Region.all(source.size()), size);
    }

    /** @return the {@code region} of {@code source} at {@code size}; what lies around it counts at its edges */
    public static Raster resize(Raster source, Region region, Size size) {
        if (source.size().equals(size) && region.equals(Region.all(size))) {
            return source;
        }
        return resize(source.rows(), region, size);
    }

    /**
     * Resizes a picture that is read once, from top to bottom, and never lies in memory whole. Where it is at least twice as large, blocks of two by two pixels are averaged first, in linear light: a quarter of the work for what the cubic would
     * hardly do better.
     */
    public static Raster resize(PixelRows source, Size size) {
        if (source.size().equals(size)) {
            return source.raster();
        }
        boolean halves =
                source.size().width() >= 2 * size.width() && source.size().height() >= 2 * size.height();
        LinearRows rows = halves ? new HalvedRows(source) : new LinearRows(source);
        return resize(rows, rows.whole(), size);
    }

    private static Raster resize(PixelRows source, Region region, Size size) {
        return resize(new LinearRows(source), region, size);
    }

    private static Raster resize(LinearRows source, Region region, Size size) {
        int channels = source.channels();
        FilterTaps across = FilterTaps.of(source.width(), region.x(), region.width(), size.width());
        FilterTaps down = FilterTaps.of(source.height(), region.y(), region.height(), size.height());
        float[][] ring = new float[down.longest()][source.width() * channels];
        float[] column = new float[source.width() * channels];
        float[] row = new float[size.width() * channels];
        int[] argb = new int[Math.toIntExact(size.area())];

        int read = 0;
        for (int y = 0; y < size.height(); y++) {
            int first = down.first(y);
            int end = first + down.count(y);
            for (read = Math.max(read, first); read < end; read++) {
                source.read(read, ring[read % ring.length]);
            }
            Arrays.fill(column, 0f);
            for (int from = first; from < end; from++) {
                addScaled(ring[from % ring.length], down.weight(y, from - first), column);
            }
            if (channels == 3) {
                filterOpaqueRow(column, across, row);
                toOpaqueSrgb(row, argb, y * size.width());
            } else {
                filterRow(column, across, row);
                toSrgb(row, argb, y * size.width());
            }
        }
        return Raster.of(size, argb);
    }

    private static void filterOpaqueRow(float[] row, FilterTaps taps, float[] into) {
        float[] weights = taps.weights();
        for (int x = 0, out = 0; out < into.length; x++, out += 3) {
            int at = 3 * taps.first(x);
            int weight = taps.weightsStart(x);
            int weightEnd = weight + taps.count(x);
            float red = 0f;
            float green = 0f;
            float blue = 0f;
            for (; weight < weightEnd; weight++, at += 3) {
                float share = weights[weight];
                red += share * row[at];
                green += share * row[at + 1];
                blue += share * row[at + 2];
            }
            into[out] = red;
            into[out + 1] = green;
            into[out + 2] = blue;
        }
    }

    /** Filters a row with alpha; a loop of its own, since a question asked for each tap would cost more than all the rest. */
    private static void filterRow(float[] row, FilterTaps taps, float[] into) {
        float[] weights = taps.weights();
        for (int x = 0, out = 0; out < into.length; x++, out += 4) {
            int at = 4 * taps.first(x);
            int weight = taps.weightsStart(x);
            int weightEnd = weight + taps.count(x);
            float red = 0f;
            float green = 0f;
            float blue = 0f;
            float alpha = 0f;
            for (; weight < weightEnd; weight++, at += 4) {
                float share = weights[weight];
                red += share * row[at];
                green += share * row[at + 1];
                blue += share * row[at + 2];
                alpha += share * row[at + 3];
            }
            into[out] = red;
            into[out + 1] = green;
            into[out + 2] = blue;
            into[out + 3] = alpha;
        }
    }

    private static void addScaled(float[] row, float weight, float[] sum) {
        for (int i = 0; i < sum.length; i++) {
            sum[i] += weight * row[i];
        }
    }

    private static void toOpaqueSrgb(float[] sum, int[] argb, int start) {
        for (int in = 0, out = start; in < sum.length; in += 3, out++) {
            argb[out] = OPAQUE
                    | LinearLight.toSrgb(sum[in]) << 16
                    | LinearLight.toSrgb(sum[in + 1]) << 8
                    | LinearLight.toSrgb(sum[in + 2]);
        }
    }

    private static void toSrgb(float[] sum, int[] argb, int start) {
        for (int in = 0, out = start; in < sum.length; in += 4, out++) {
            float alpha = Math.min(1f, sum[in + 3]);
            int alphaByte = Math.round(alpha * 255);
            if (alphaByte <= 0) {
                continue;
            }
            argb[out] = alphaByte << 24
                    | LinearLight.toSrgb(sum[in] / alpha) << 16
                    | LinearLight.toSrgb(sum[in + 1] / alpha) << 8
                    | LinearLight.toSrgb(sum[in + 2] / alpha);
        }
    }
}
