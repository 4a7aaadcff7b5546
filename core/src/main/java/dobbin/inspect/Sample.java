package dobbin.inspect;

import dobbin.color.Oklab;
import dobbin.raster.Raster;
import dobbin.raster.Size;

/**
 * What a picture looks like, in few enough numbers to be compared with many others: for each pixel lightness, the two
 * color axes of Oklab, and alpha, the first three weighted by alpha.
 */
public final class Sample {
    private static final int CHANNELS = 4;

    private final Size size;
    private final float[] values;

    private Sample(Size size, float[] values) {
        this.size = size;
        this.values = values;
    }

    /** @param picture a small one; each of its pixels counts alike */
    public static Sample of(Raster picture) {
        int[] argb = picture.argb();
        float[] values = new float[CHANNELS * argb.length];
        for (int i = 0, out = 0; i < argb.length; i++, out += CHANNELS) {
            float alpha = (argb[i] >>> 24) / 255f;
            Oklab.fromRgb(argb[i], values, out);
            values[out] *= alpha;
            values[out + 1] *= alpha;
            values[out + 2] *= alpha;
            values[out + 3] = alpha;
        }
        return new Sample(picture.size(), values);
    }

    /** @return of memory */
    public int bytes() {
        return Float.BYTES * values.length;
    }

    /**
     * The root mean square of the pixels' distances.
     *
     * @param other of the same size
     * @return 0 for equal pictures, 1 for black against white
     */
    public double changeTo(Sample other) {
        if (!size.equals(other.size)) {
            throw new IllegalArgumentException("Samples of " + size + " and " + other.size + " cannot be compared");
        }
        float[] a = values;
        float[] b = other.values;
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            float difference = a[i] - b[i];
            sum += difference * difference;
        }
        return Math.min(1, Math.sqrt(sum / size.area()));
    }

    /** @return which share of the pixels differs by more than {@code distance}, 0 to 1 */
    double shareChanged(Sample other, double distance) {
        int changed = 0;
        for (int i = 0; i < values.length; i += CHANNELS) {
            double sum = 0;
            for (int channel = i; channel < i + CHANNELS; channel++) {
                double difference = values[channel] - other.values[channel];
                sum += difference * difference;
            }
            changed += sum > distance * distance ? 1 : 0;
        }
        return changed / (double) size.area();
    }

    /** @return how far pixels are from the mean of all, as a root mean square: 0 for a picture of one color */
    public double spread() {
        double[] means = new double[CHANNELS];
        for (int i = 0; i < values.length; i++) {
            means[i % CHANNELS] += values[i] / size.area();
        }
        double sum = 0;
        for (int i = 0; i < values.length; i++) {
            double difference = values[i] - means[i % CHANNELS];
            sum += difference * difference;
        }
        return Math.sqrt(sum / size.area());
    }

    /** @return the same with half as many pixels each way, where it has more than one */
    Sample halved() {
        int width = Math.max(1, size.width() / 2);
        int height = Math.max(1, size.height() / 2);
        int across = size.width() / width;
        int down = size.height() / height;
        float[] means = new float[CHANNELS * width * height];
        for (int y = 0; y < height * down; y++) {
            for (int x = 0; x < width * across; x++) {
                int in = CHANNELS * (y * size.width() + x);
                int out = CHANNELS * (y / down * width + x / across);
                for (int channel = 0; channel < CHANNELS; channel++) {
                    means[out + channel] += values[in + channel] / (across * down);
                }
            }
        }
        return new Sample(new Size(width, height), means);
    }
}
