package dobbin.plate;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.util.Arrays;

/** Plates to cut: soft discs and boxes on a ground. */
final class Drawn {
    static final int PAPER = 0xFFF6F1E7;
    static final int INK = 0xFF1E2A32;

    private final Size size;
    private final int[] argb;

    Drawn(int width, int height, int ground) {
        this.size = new Size(width, height);
        this.argb = new int[width * height];
        Arrays.fill(argb, ground);
    }

    Drawn disc(double x, double y, double radius, int color) {
        for (int v = 0; v < size.height(); v++) {
            for (int u = 0; u < size.width(); u++) {
                double share = radius + 0.5 - Math.hypot(u + 0.5 - x, v + 0.5 - y);
                mix(v * size.width() + u, color, Math.max(0, Math.min(1, share)));
            }
        }
        return this;
    }

    Drawn box(int x, int y, int width, int height, int color) {
        for (int v = y; v < y + height; v++) {
            Arrays.fill(argb, v * size.width() + x, v * size.width() + x + width, color);
        }
        return this;
    }

    private void mix(int at, int color, double share) {
        int below = argb[at];
        double alpha = share + (below >>> 24) / 255.0 * (1 - share);
        if (share == 0) {
            return;
        }
        int mixed = (int) Math.round(alpha * 255);
        for (int shift = 16; shift >= 0; shift -= 8) {
            double from = (below >> shift & 0xFF) * (below >>> 24) / 255.0 * (1 - share);
            mixed = mixed << 8 | (int) Math.round(((color >> shift & 0xFF) * share + from) / alpha);
        }
        argb[at] = mixed;
    }

    Raster picture() {
        return Raster.of(size, argb);
    }
}
