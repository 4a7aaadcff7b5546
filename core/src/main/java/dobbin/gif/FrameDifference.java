package dobbin.gif;

import dobbin.raster.Size;
import java.util.Arrays;

/**
 * What of each frame must be stored, given what viewers still have on the screen.
 *
 * <p>Works on palette indices: equal index, equal pixel. Keeps the screen as viewers will have it.
 */
final class FrameDifference {
    /** Fewer holes than one pixel in this many only break up runs of colors. */
    private static final int HOLES_WORTH_TRYING = 16;

    private final int width;
    private final int height;
    private final byte transparent;
    private final boolean hasTransparency;
    private final byte[] screen;
    private boolean first = true;

    /** @param transparentIndex of the palette, or -1: then no pixel is ever transparent */
    FrameDifference(Size size, int transparentIndex) {
        this.width = size.width();
        this.height = size.height();
        this.transparent = (byte) transparentIndex;
        this.hasTransparency = transparentIndex >= 0;
        this.screen = new byte[Math.toIntExact(size.area())];
        Arrays.fill(screen, transparent);
    }

    /**
     * A box of a frame, ready to be written.
     *
     * @param indices of the box, as the frame has them
     * @param withHoles the same with what is on the screen already made transparent, or null where that cannot be or cannot help
     */
    record Stored(int left, int top, int width, int height, byte[] indices, byte[] withHoles, Disposal disposal) {}

    private record Box(int left, int top, int right, int bottom) {}

    /** @param next the frame after {@code frame}, or null after the last */
    Stored next(byte[] frame, byte[] next) {
        boolean clears = hasTransparency && next != null && vanishes(frame, next);
        Box box = first ? new Box(0, 0, width, height) : clears ? drawn(frame) : changed(frame);
        byte[] indices = cut(frame, box);
        Stored stored = new Stored(
                box.left,
                box.top,
                box.right - box.left,
                box.bottom - box.top,
                indices,
                hasTransparency && !first ? withHoles(indices, box) : null,
                clears ? Disposal.CLEAR : Disposal.KEEP);
        if (clears) {
            Arrays.fill(screen, transparent);
        } else {
            System.arraycopy(frame, 0, screen, 0, frame.length);
        }
        first = false;
        return stored;
    }

    private boolean vanishes(byte[] frame, byte[] next) {
        for (int i = 0; i < frame.length; i++) {
            if (next[i] == transparent && frame[i] != transparent) {
                return true;
            }
        }
        return false;
    }

    /** The box of all that is not transparent: cleared, it leaves an empty screen. */
    private Box drawn(byte[] frame) {
        byte[] empty = new byte[frame.length];
        Arrays.fill(empty, transparent);
        return difference(frame, empty);
    }

    private Box changed(byte[] frame) {
        return difference(frame, screen);
    }

    /** @return the smallest box with all differences, one pixel where there are none: a GIF frame has at least that */
    private Box difference(byte[] a, byte[] b) {
        int top = 0;
        while (top < height && rowsEqual(a, b, top)) {
            top++;
        }
        if (top == height) {
            return new Box(0, 0, 1, 1);
        }
        int bottom = height;
        while (rowsEqual(a, b, bottom - 1)) {
            bottom--;
        }
        int left = width;
        int right = 0;
        for (int y = top; y < bottom; y++) {
            int start = y * width;
            int from = Arrays.mismatch(a, start, start + width, b, start, start + width);
            if (from < 0) {
                continue;
            }
            left = Math.min(left, from);
            int x = width - 1;
            while (x >= right && a[start + x] == b[start + x]) {
                x--;
            }
            right = Math.max(right, x + 1);
        }
        return new Box(left, top, right, bottom);
    }

    private boolean rowsEqual(byte[] a, byte[] b, int y) {
        return Arrays.equals(a, y * width, (y + 1) * width, b, y * width, (y + 1) * width);
    }

    private byte[] cut(byte[] frame, Box box) {
        int boxWidth = box.right - box.left;
        byte[] indices = new byte[boxWidth * (box.bottom - box.top)];
        for (int y = box.top, out = 0; y < box.bottom; y++, out += boxWidth) {
            System.arraycopy(frame, y * width + box.left, indices, out, boxWidth);
        }
        return indices;
    }

    private byte[] withHoles(byte[] indices, Box box) {
        byte[] holes = indices.clone();
        int made = 0;
        int out = 0;
        for (int y = box.top; y < box.bottom; y++) {
            for (int x = box.left; x < box.right; x++, out++) {
                if (screen[y * width + x] == holes[out]) {
                    holes[out] = transparent;
                    made++;
                }
            }
        }
        return made < indices.length / HOLES_WORTH_TRYING ? null : holes;
    }
}
