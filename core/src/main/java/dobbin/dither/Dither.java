package dobbin.dither;

/** How a picture meets its palette. */
public enum Dither {
    /** Each pixel becomes its nearest color. */
    NONE(null),
    FLOYD_STEINBERG(Kernel.FLOYD_STEINBERG),
    SIERRA_LITE(Kernel.SIERRA_LITE),
    ATKINSON(Kernel.ATKINSON),
    /** A regular pattern of thresholds. */
    BAYER(null),
    /** Thresholds without a pattern. */
    BLUE_NOISE(null);

    private final Kernel kernel;

    Dither(Kernel kernel) {
        this.kernel = kernel;
    }

    /** @return where errors go, or null where they are not handed on */
    Kernel kernel() {
        return kernel;
    }

    /** @return what is added to pixels, or null where nothing is */
    ThresholdMap thresholds() {
        return switch (this) {
            case BAYER -> ThresholdMap.bayer();
            case BLUE_NOISE -> ThresholdMap.blueNoise();
            default -> null;
        };
    }
}
