package dobbin.palette;

import dobbin.color.Oklab;
import java.util.Arrays;

/**
 * Chooses the colors of a palette in Oklab.
 *
 * <p>First cuts the cloud of colors in two again and again, always the part with the largest squared error, at the place
 * along its longest axis that leaves the least (after X. Wu, "Color quantization by dynamic programming and principal
 * analysis", 1992; here greedy and along the coordinate axes). Then moves each color to the middle of what is nearest to
 * it, a few times (S. Lloyd, "Least squares quantization in PCM", 1982).
 */
public final class PaletteBuilder {
    private static final int LLOYD_ROUNDS = 5;

    private PaletteBuilder() {}

    /**
     * @param entries how many entries the palette may have, 2 to 256, a transparent one included
     * @param transparent whether it must hold a transparent entry
     * @return the colors themselves where there are few enough, else the best found; never empty
     */
    public static Palette build(ColorCounts counts, int entries, boolean transparent) {
        int wanted = entries - (transparent ? 1 : 0);
        int[] colors = colors(counts, wanted);
        return transparent ? Palette.withTransparency(colors) : Palette.opaque(colors);
    }

    private static int[] colors(ColorCounts counts, int wanted) {
        if (counts.distinct() == 0) {
            return new int[] {0};
        }
        if (counts.distinct() <= wanted) {
            return counts.distinctColors();
        }
        ColorCloud cloud = ColorCloud.of(counts);
        float[] centers = cloud.centersByCutting(wanted);
        cloud.settle(centers, LLOYD_ROUNDS);
        return distinctRgb(centers);
    }

    private static int[] distinctRgb(float[] centers) {
        int[] rgb = new int[centers.length / 3];
        for (int i = 0; i < rgb.length; i++) {
            rgb[i] = Oklab.toRgb(centers[3 * i], centers[3 * i + 1], centers[3 * i + 2]);
        }
        return Arrays.stream(rgb).distinct().sorted().toArray();
    }
}
