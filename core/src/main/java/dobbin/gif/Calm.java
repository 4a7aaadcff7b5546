package dobbin.gif;

import dobbin.raster.Size;
import java.util.Arrays;

/**
 * The colors that pixels had while nothing moved around them: the last two of each. A pixel that comes back to one of
 * them, as when a cut-out has passed, is no noise however little it differs, and must be drawn exactly.
 *
 * <p>Calm is a tile that is of one color, or the same to the last bit in two frames in a row: noise is neither.
 */
final class Calm {
    static final int TILE_WIDTH = 8;
    static final int TILE_HEIGHT = 4;
    private static final int UNKNOWN = 0;

    private final int width;
    private final int height;
    private final int[] latest;
    private final int[] earlier;
    private int[] before;

    Calm(Size size) {
        this.width = size.width();
        this.height = size.height();
        this.latest = new int[Math.toIntExact(size.area())];
        this.earlier = new int[latest.length];
    }

    /** @param argb the next frame, not changed afterwards */
    void see(int[] argb) {
        for (int y = 0; y < height; y += TILE_HEIGHT) {
            int bottom = Math.min(y + TILE_HEIGHT, height);
            for (int x = 0; x < width; x += TILE_WIDTH) {
                int right = Math.min(x + TILE_WIDTH, width);
                if (isFlat(argb, x, y, right, bottom) || before != null && isSame(argb, x, y, right, bottom)) {
                    remember(argb, x, y, right, bottom);
                }
            }
        }
        before = argb;
    }

    /** @return whether {@code color} is one the pixel had in calm */
    boolean knows(int at, int color) {
        return color == latest[at] || color == earlier[at];
    }

    private boolean isFlat(int[] argb, int x0, int y0, int x1, int y1) {
        int color = argb[y0 * width + x0];
        if (color == UNKNOWN || argb[(y1 - 1) * width + x1 - 1] != color) {
            return false;
        }
        for (int y = y0; y < y1; y++) {
            for (int at = y * width + x0, end = y * width + x1; at < end; at++) {
                if (argb[at] != color) {
                    return false;
                }
            }
        }
        return true;
    }

    private boolean isSame(int[] argb, int x0, int y0, int x1, int y1) {
        for (int y = y0; y < y1; y++) {
            if (!Arrays.equals(argb, y * width + x0, y * width + x1, before, y * width + x0, y * width + x1)) {
                return false;
            }
        }
        return true;
    }

    private void remember(int[] argb, int x0, int y0, int x1, int y1) {
        for (int y = y0; y < y1; y++) {
            for (int at = y * width + x0, end = y * width + x1; at < end; at++) {
                if (argb[at] != latest[at]) {
                    earlier[at] = latest[at];
                    latest[at] = argb[at];
                }
            }
        }
    }
}
