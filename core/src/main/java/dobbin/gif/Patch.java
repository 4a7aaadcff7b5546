package dobbin.gif;

import dobbin.raster.Bounds;
import dobbin.raster.Screen;
import dobbin.raster.Size;

/**
 * The part of the screen that one frame draws, as read from a file. It may reach past the screen's edge.
 *
 * @param indices {@code width * height} palette indices in the order of the file
 * @param known how many of them the file really gave; the rest is not drawn
 * @param interlaced whether rows come in GIF's four passes (appendix E) and not from top to bottom
 * @param colors 0xRRGGBB; an index past its end is not drawn
 */
record Patch(int left, int top, int width, int height, byte[] indices, int known, boolean interlaced, int[] colors) {
    private static final int OPAQUE = 0xFF000000;
    private static final int[] PASS_START = {0, 4, 2, 1};
    private static final int[] PASS_STEP = {8, 8, 4, 2};

    /** Disposes of the frame before, and draws this one. */
    void show(Screen screen, GraphicControl control) {
        screen.next(new Bounds(left, top, left + width, top + height), control.disposal());
        draw(screen.argb(), screen.size(), control.transparentIndex());
    }

    private void draw(int[] argb, Size size, int transparentIndex) {
        int[] rows = rowOrder();
        int columns = Math.min(width, size.width() - left);
        for (int row = 0, start = 0; row < rows.length; row++, start += width) {
            int y = top + rows[row];
            if (y >= size.height()) {
                continue;
            }
            int out = y * size.width() + left;
            int there = Math.min(columns, known - start);
            for (int x = 0; x < there; x++) {
                int index = indices[start + x] & 0xFF;
                if (index != transparentIndex && index < colors.length) {
                    argb[out + x] = OPAQUE | colors[index];
                }
            }
        }
    }

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
