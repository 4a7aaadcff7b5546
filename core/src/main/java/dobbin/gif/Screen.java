package dobbin.gif;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.util.Arrays;

/** What a viewer has on the screen while it plays a file: patches drawn over one another, and disposed of. */
final class Screen {
    private static final int OPAQUE = 0xFF000000;

    private final Size size;
    private final int[] argb;
    private int[] before;
    private Patch last;
    private Disposal lastDisposal = Disposal.KEEP;

    Screen(Size size) {
        this.size = size;
        this.argb = new int[Math.toIntExact(size.area())];
    }

    Size size() {
        return size;
    }

    /** Disposes of the frame before, draws {@code patch}, and gives the whole screen as it is then. */
    Raster show(Patch patch, GraphicControl control) {
        take(patch, control);
        return picture();
    }

    /** Disposes of the frame before and draws {@code patch}. */
    void take(Patch patch, GraphicControl control) {
        dispose();
        if (control.disposal() == Disposal.PUT_BACK) {
            before = argb.clone();
        }
        draw(patch, control.transparentIndex());
        last = patch;
        lastDisposal = control.disposal();
    }

    /** @return the whole screen as it is now */
    Raster picture() {
        return Raster.of(size, argb.clone());
    }

    private void dispose() {
        switch (lastDisposal) {
            case KEEP -> {}
            case CLEAR -> clear(last);
            case PUT_BACK -> System.arraycopy(before, 0, argb, 0, argb.length);
        }
    }

    private void clear(Patch patch) {
        int right = Math.min(size.width(), patch.left() + patch.width());
        int bottom = Math.min(size.height(), patch.top() + patch.height());
        for (int y = patch.top(); y < bottom && patch.left() < right; y++) {
            Arrays.fill(argb, y * size.width() + patch.left(), y * size.width() + right, 0);
        }
    }

    private void draw(Patch patch, int transparentIndex) {
        int[] colors = patch.colors();
        byte[] indices = patch.indices();
        int[] rowOrder = patch.rowOrder();
        int columns = Math.min(patch.width(), size.width() - patch.left());
        for (int row = 0, start = 0; row < rowOrder.length; row++, start += patch.width()) {
            int y = patch.top() + rowOrder[row];
            if (y >= size.height()) {
                continue;
            }
            int out = y * size.width() + patch.left();
            int known = Math.min(columns, patch.known() - start);
            for (int x = 0; x < known; x++) {
                int index = indices[start + x] & 0xFF;
                if (index != transparentIndex && index < colors.length) {
                    argb[out + x] = OPAQUE | colors[index];
                }
            }
        }
    }
}
