package dobbin.gif;

/**
 * The part of the screen that one frame draws, as read from a file. It may reach past the screen's edge.
 *
 * @param indices {@code width * height} palette indices in the order of the file
 * @param known how many of them the file really gave; the rest is not drawn
 * @param interlaced whether rows come in GIF's four passes (appendix E) and not from top to bottom
 * @param colors 0xRRGGBB; an index past its end is not drawn
 */
record Patch(int left, int top, int width, int height, byte[] indices, int known, boolean interlaced, int[] colors) {
    private static final int[] PASS_START = {0, 4, 2, 1};
    private static final int[] PASS_STEP = {8, 8, 4, 2};

    /** @return for each row of the file, which row of the patch it is */
    int[] rowOrder() {
        int[] order = new int[height];
        if (!interlaced) {
            for (int row = 0; row < height; row++) {
                order[row] = row;
            }
            return order;
        }
        int at = 0;
        for (int pass = 0; pass < PASS_START.length; pass++) {
            for (int row = PASS_START[pass]; row < height; row += PASS_STEP[pass]) {
                order[at++] = row;
            }
        }
        return order;
    }
}
