package dobbin.plate;

import dobbin.color.Oklab;
import dobbin.raster.Raster;
import java.util.HashMap;
import java.util.Map;

/**
 * What drawings lie on: nothing, or one color.
 *
 * @param transparent whether it is nothing
 * @param rgb its color, 0xRRGGBB; 0 where it is nothing
 */
public record Ground(boolean transparent, int rgb) {
    public static final Ground NOTHING = new Ground(true, 0);

    /** Less alpha than this is nothing. */
    private static final int FAINT = 16;

    private static final int RGB = 0xFFFFFF;

    /** Colors are counted by the upper four bits of each channel. */
    private static final int COARSE = 0xF0F0F0;

    /** @return what most of the picture's outermost pixels are */
    public static Ground of(Raster plate) {
        Map<Integer, long[]> colors = new HashMap<>();
        int faint = 0;
        int count = 0;
        for (int y = 0; y < plate.height(); y++) {
            int step = y == 0 || y == plate.height() - 1 ? 1 : Math.max(1, plate.width() - 1);
            for (int x = 0; x < plate.width(); x += step, count++) {
                int pixel = plate.pixel(x, y);
                if (pixel >>> 24 < FAINT) {
                    faint++;
                } else {
                    add(colors.computeIfAbsent(pixel & COARSE, any -> new long[4]), pixel);
                }
            }
        }
        return 2 * faint >= count || colors.isEmpty()
                ? NOTHING
                : new Ground(
                        false,
                        mean(colors.values().stream()
                                .max((a, b) -> Long.compare(a[3], b[3]))
                                .orElseThrow()));
    }

    private static void add(long[] sums, int pixel) {
        for (int channel = 0; channel < 3; channel++) {
            sums[channel] += pixel >> 16 - 8 * channel & 0xFF;
        }
        sums[3]++;
    }

    private static int mean(long[] sums) {
        int rgb = 0;
        for (int channel = 0; channel < 3; channel++) {
            rgb = rgb << 8 | (int) ((sums[channel] + sums[3] / 2) / sums[3]);
        }
        return rgb;
    }

    /**
     * @param tolerance how far a color may be from the ground's and still be ground, in Oklab; 0 to 1
     * @return for each pixel, row by row, whether it is something else
     */
    boolean[] ink(Raster picture, double tolerance) {
        int[] argb = picture.argb();
        boolean[] ink = new boolean[argb.length];
        float[] lab = new float[6];
        Oklab.fromRgb(rgb, lab, 3);
        double most = tolerance * tolerance;
        int before = argb[0] ^ 1;
        boolean beforeIsInk = false;
        for (int i = 0; i < argb.length; i++) {
            if (argb[i] != before) {
                before = argb[i];
                beforeIsInk = before >>> 24 >= FAINT && (transparent || squared(before & RGB, lab) > most);
            }
            ink[i] = beforeIsInk;
        }
        return ink;
    }

    /** @param lab room for one color, and after it the ground's */
    private static double squared(int color, float[] lab) {
        Oklab.fromRgb(color, lab, 0);
        float lightness = lab[0] - lab[3];
        float a = lab[1] - lab[4];
        float b = lab[2] - lab[5];
        return lightness * lightness + a * a + b * b;
    }
}
