package dobbin.dither;

/**
 * Where the error of a pixel goes, as shares of it, at most 1 together; for rows that run from left to right.
 *
 * @param ahead to the next pixel
 * @param twoAhead to the one after
 * @param behindBelow to the row below, one back
 * @param below right below
 * @param aheadBelow to the row below, one ahead
 * @param twoBelow right below in the row after
 */
record Kernel(float ahead, float twoAhead, float behindBelow, float below, float aheadBelow, float twoBelow) {
    /** R. Floyd and L. Steinberg, "An adaptive algorithm for spatial grey scale", 1976. */
    static final Kernel FLOYD_STEINBERG = new Kernel(7 / 16f, 0, 3 / 16f, 5 / 16f, 1 / 16f, 0);

    /** F. Sierra's "Filter Lite", 1990, as told in L. Crocker, "Digital halftoning", 1991. */
    static final Kernel SIERRA_LITE = new Kernel(1 / 2f, 0, 1 / 4f, 1 / 4f, 0, 0);

    /** B. Atkinson, 1984: an eighth each to six pixels. A quarter is dropped, which keeps lights and darks clean. */
    static final Kernel ATKINSON = new Kernel(1 / 8f, 1 / 8f, 1 / 8f, 1 / 8f, 1 / 8f, 1 / 8f);

    static final Kernel NONE = new Kernel(0, 0, 0, 0, 0, 0);

    Kernel times(float amount) {
        return new Kernel(
                ahead * amount,
                twoAhead * amount,
                behindBelow * amount,
                below * amount,
                aheadBelow * amount,
                twoBelow * amount);
    }
}
