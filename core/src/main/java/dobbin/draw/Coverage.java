package dobbin.draw;

import dobbin.raster.Bounds;
import dobbin.raster.BoundsBuilder;
import dobbin.raster.Size;

/**
 * How much of each pixel of a picture a mark covers, 0 to 255. What covers a pixel twice covers it as much as the larger of
 * the two: a stroke that crosses itself is no darker there.
 */
final class Coverage {
    static final int FULL = 255;

    private final Size size;
    private final byte[] covered;
    private final BoundsBuilder box = new BoundsBuilder();

    Coverage(Size size) {
        this.size = size;
        this.covered = new byte[Math.toIntExact(size.area())];
    }

    Size size() {
        return size;
    }

    int at(int x, int y) {
        return covered[y * size.width() + x] & 0xFF;
    }

    /** @param share 0 to 1, of a pixel that lies in the picture */
    void cover(int x, int y, double share) {
        int value = (int) (FULL * share + 0.5);
        int at = y * size.width() + x;
        if (value > (covered[at] & 0xFF)) {
            covered[at] = (byte) value;
            changed(x, y, x + 1, y + 1);
        }
    }

    /** @return the values themselves, for hot loops, which say with {@link #changed} where they covered more */
    byte[] values() {
        return covered;
    }

    void changed(int fromX, int fromY, int toX, int toY) {
        box.add(fromX, fromY, toX, toY);
    }

    /** Covers a pixel wholly, if it lies in the picture. */
    void cover(int x, int y) {
        if (x >= 0 && y >= 0 && x < size.width() && y < size.height()) {
            cover(x, y, 1);
        }
    }

    /** @return a box around all that is covered; empty where nothing is */
    Bounds box() {
        return box.bounds();
    }
}
