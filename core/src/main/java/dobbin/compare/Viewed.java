package dobbin.compare;

import dobbin.color.LinearLight;
import dobbin.color.Oklab;
import dobbin.raster.Raster;

/**
 * An opaque picture as an eye sees it from a little way off: blurred in linear light, as an eye adds light up, with a
 * Gaussian of sigma 1 cut off after four pixels, then in Oklab. Beyond its edges a picture goes on mirrored.
 */
public final class Viewed {
    private static final int REACH = 4;
    private static final float MIDDLE = weight(0);
    private static final float ONE_OFF = weight(1);
    private static final float TWO_OFF = weight(2);
    private static final float THREE_OFF = weight(3);
    private static final float FOUR_OFF = weight(4);
    private static final float[] LINEAR = LinearLight.table();

    /** L, a, b of each pixel. */
    private final float[] lab;

    private Viewed(float[] lab) {
        this.lab = lab;
    }

    public static Viewed of(Raster opaque) {
        int width = opaque.width();
        int height = opaque.height();
        int[] argb = opaque.argb();
        float[][] blurred = new float[3][];
        float[] across = new float[argb.length];
        for (int channel = 0; channel < 3; channel++) {
            blurAcross(argb, 16 - 8 * channel, width, height, across);
            blurred[channel] = blurredDown(across, width, height);
        }
        float[] lab = new float[3 * argb.length];
        for (int i = 0; i < argb.length; i++) {
            Oklab.fromLinear(blurred[0][i], blurred[1][i], blurred[2][i], lab, 3 * i);
        }
        return new Viewed(lab);
    }

    /** @return of memory */
    public long bytes() {
        return (long) Float.BYTES * lab.length;
    }

    /** @return the mean distance in Oklab times 100; 0 for the same picture, 100 for black beside white */
    public double meanError(Viewed other) {
        double sum = 0;
        for (int i = 0; i < lab.length; i += 3) {
            sum += distance(other, i);
        }
        return 100 * sum / (lab.length / 3);
    }

    /** @return for each pixel its distance in Oklab times 100 */
    public float[] errors(Viewed other) {
        float[] errors = new float[lab.length / 3];
        for (int i = 0; i < errors.length; i++) {
            errors[i] = 100 * distance(other, 3 * i);
        }
        return errors;
    }

    private float distance(Viewed other, int at) {
        float l = lab[at] - other.lab[at];
        float a = lab[at + 1] - other.lab[at + 1];
        float b = lab[at + 2] - other.lab[at + 2];
        return (float) Math.sqrt(l * l + a * a + b * b);
    }

    private static void blurAcross(int[] argb, int shift, int width, int height, float[] into) {
        float[] padded = new float[width + 2 * REACH];
        int[] mirrored = mirrored(width);
        for (int y = 0; y < height; y++) {
            int row = y * width;
            for (int x = 0; x < padded.length; x++) {
                padded[x] = LINEAR[argb[row + mirrored[x]] >> shift & 0xFF];
            }
            for (int x = 0; x < width; x++) {
                into[row + x] = MIDDLE * padded[x + 4]
                        + ONE_OFF * (padded[x + 3] + padded[x + 5])
                        + TWO_OFF * (padded[x + 2] + padded[x + 6])
                        + THREE_OFF * (padded[x + 1] + padded[x + 7])
                        + FOUR_OFF * (padded[x] + padded[x + 8]);
            }
        }
    }

    private static float[] blurredDown(float[] rows, int width, int height) {
        float[] blurred = new float[rows.length];
        int[] mirrored = mirrored(height);
        for (int y = 0; y < height; y++) {
            int out = y * width;
            int r0 = mirrored[y] * width;
            int r1 = mirrored[y + 1] * width;
            int r2 = mirrored[y + 2] * width;
            int r3 = mirrored[y + 3] * width;
            int r4 = mirrored[y + 4] * width;
            int r5 = mirrored[y + 5] * width;
            int r6 = mirrored[y + 6] * width;
            int r7 = mirrored[y + 7] * width;
            int r8 = mirrored[y + 8] * width;
            for (int x = 0; x < width; x++) {
                blurred[out + x] = MIDDLE * rows[r4 + x]
                        + ONE_OFF * (rows[r3 + x] + rows[r5 + x])
                        + TWO_OFF * (rows[r2 + x] + rows[r6 + x])
                        + THREE_OFF * (rows[r1 + x] + rows[r7 + x])
                        + FOUR_OFF * (rows[r0 + x] + rows[r8 + x]);
            }
        }
        return blurred;
    }

    /** @return for each place from {@link #REACH} before the first to as many after the last, which one is there */
    private static int[] mirrored(int length) {
        int[] places = new int[length + 2 * REACH];
        int period = Math.max(1, 2 * (length - 1));
        for (int i = 0; i < places.length; i++) {
            int at = Math.floorMod(i - REACH, period);
            places[i] = at < length ? at : period - at;
        }
        return places;
    }

    private static float weight(int off) {
        double sum = 0;
        for (int i = -REACH; i <= REACH; i++) {
            sum += gauss(i);
        }
        return (float) (gauss(off) / sum);
    }

    private static double gauss(int off) {
        return Math.exp(-0.5 * off * off);
    }
}
