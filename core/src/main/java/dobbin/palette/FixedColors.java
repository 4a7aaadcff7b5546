package dobbin.palette;

import java.util.stream.IntStream;

/** Palettes out of colors that are settled: those most used are taken. */
final class FixedColors {
    private static final int WEB_STEP = 0x33;
    private static final int WEB_STEPS = 6;

    private FixedColors() {}

    /** @return the 216 colors with 00, 33, 66, 99, CC or FF in each channel */
    static int[] web() {
        return IntStream.range(0, WEB_STEPS * WEB_STEPS * WEB_STEPS)
                .map(i -> (i / (WEB_STEPS * WEB_STEPS) * WEB_STEP) << 16
                        | (i / WEB_STEPS % WEB_STEPS * WEB_STEP) << 8
                        | i % WEB_STEPS * WEB_STEP)
                .toArray();
    }

    /** @return at most {@code wanted} of the {@code colors}, those nearest to most of the cloud, at least one */
    static int[] mostUsed(int[] colors, ColorCloud cloud, int wanted) {
        if (colors.length <= wanted) {
            return colors;
        }
        ColorsByLightness byLightness = new ColorsByLightness(NearestColor.labOf(colors));
        double[] use = new double[colors.length];
        for (int i = 0; i < cloud.weights.length; i++) {
            int nearest = byLightness.nearest(cloud.points[3 * i], cloud.points[3 * i + 1], cloud.points[3 * i + 2]);
            use[nearest] += cloud.weights[i];
        }
        return IntStream.range(0, colors.length)
                .boxed()
                .sorted((a, b) -> Double.compare(use[b], use[a]))
                .limit(wanted)
                .mapToInt(i -> colors[i])
                .toArray();
    }
}
