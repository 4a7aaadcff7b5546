package dobbin.dither;

/**
 * A square of thresholds that is laid over a picture again and again. Since it stays where it is, what does not change
 * in the picture does not change in the dithered one.
 */
final class ThresholdMap {
    private final int side;
    private final float[] thresholds;

    /** @param ranks each of 0 .. side * side - 1 once; side is a power of two */
    private ThresholdMap(int side, int[] ranks) {
        this.side = side;
        this.thresholds = new float[ranks.length];
        for (int i = 0; i < ranks.length; i++) {
            thresholds[i] = (ranks[i] + 0.5f) / ranks.length - 0.5f;
        }
    }

    /** @return -0.5 to 0.5, 0 on average */
    float at(int x, int y) {
        return thresholds[(y & side - 1) * side + (x & side - 1)];
    }

    int side() {
        return side;
    }

    static ThresholdMap bayer() {
        return Bayer.MAP;
    }

    static ThresholdMap blueNoise() {
        return BlueNoise.MAP;
    }

    /** B. Bayer, "An optimum method for two-level rendition of continuous-tone pictures", 1973; 8 x 8. */
    private static final class Bayer {
        private static final int SIDE = 8;
        static final ThresholdMap MAP = new ThresholdMap(SIDE, ranks());

        private static int[] ranks() {
            int[] ranks = new int[SIDE * SIDE];
            for (int y = 0; y < SIDE; y++) {
                for (int x = 0; x < SIDE; x++) {
                    int rank = 0;
                    for (int bit = 0; bit < 3; bit++) {
                        int crossed = (x ^ y) >> bit & 1;
                        rank |= (crossed << 1 | y >> bit & 1) << 2 * (2 - bit);
                    }
                    ranks[y * SIDE + x] = rank;
                }
            }
            return ranks;
        }
    }

    /** Made when first asked for, by {@link VoidAndCluster}. */
    private static final class BlueNoise {
        static final ThresholdMap MAP = new ThresholdMap(VoidAndCluster.SIDE, VoidAndCluster.ranks());
    }
}
