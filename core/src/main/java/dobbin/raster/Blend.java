package dobbin.raster;

/**
 * How a color counts on the one below it. Source: W3C, "Compositing and Blending Level 1", 2015, separable modes, on sRGB
 * values as there.
 */
public enum Blend {
    NORMAL {
        @Override
        public int of(int below, int above) {
            return above;
        }
    },
    MULTIPLY {
        @Override
        public int of(int below, int above) {
            return rounded(below * above);
        }
    },
    SCREEN {
        @Override
        public int of(int below, int above) {
            return below + above - rounded(below * above);
        }
    },
    OVERLAY {
        @Override
        public int of(int below, int above) {
            return 2 * below <= FULL ? MULTIPLY.of(2 * below, above) : SCREEN.of(2 * below - FULL, above);
        }
    },
    DARKEN {
        @Override
        public int of(int below, int above) {
            return Math.min(below, above);
        }
    },
    LIGHTEN {
        @Override
        public int of(int below, int above) {
            return Math.max(below, above);
        }
    };

    private static final int FULL = 255;

    /** @return one channel, all of them 0 to 255 */
    public abstract int of(int below, int above);

    private static int rounded(int product) {
        return (product + FULL / 2) / FULL;
    }
}
