package dobbin.draw;

import dobbin.color.LinearLight;
import dobbin.raster.Bounds;

/** Puts color on pixels of a drawn layer, and takes it away, in linear light with straight alpha. */
final class InkLayer {
    private static final float FULL = 255;

    private InkLayer() {}

    /** @param argb pixels of the layer, changed where {@code coverage} is */
    static void paint(int[] argb, Coverage coverage, int rgb, double opacity) {
        each(coverage, (at, covered) -> argb[at] = over(argb[at], rgb, (float) opacity * covered / FULL));
    }

    static void erase(int[] argb, Coverage coverage, double opacity) {
        each(coverage, (at, covered) -> argb[at] = less(argb[at], (float) opacity * covered / FULL));
    }

    /** @return the pixel with as much taken away as there would be put on: what a stroke drew, the same stroke erases */
    static int less(int pixel, float share) {
        int left = Math.max(0, (pixel >>> 24) - Math.round(FULL * share));
        return left == 0 ? 0 : left << 24 | pixel & 0xFFFFFF;
    }

    /** @return the color over what is there, covering that share of the pixel */
    static int over(int below, int rgb, float share) {
        if (share <= 0) {
            return below;
        }
        float rest = (1 - share) * (below >>> 24) / FULL;
        return mixed(rgb, share, below, rest);
    }

    /** @return what is there over the color: the color shows where the pixel is not full */
    static int under(int above, int rgb, float share) {
        float full = (above >>> 24) / FULL;
        return full >= 1 ? above : mixed(rgb, share * (1 - full), above, full);
    }

    private static int mixed(int rgb, float share, int other, float rest) {
        float all = share + rest;
        int alpha = Math.round(FULL * all);
        if (alpha == 0) {
            return 0;
        }
        float part = share / all;
        return alpha << 24
                | channel(rgb >> 16, other >> 16, part) << 16
                | channel(rgb >> 8, other >> 8, part) << 8
                | channel(rgb, other, part);
    }

    private static int channel(int one, int other, float part) {
        int a = one & 0xFF;
        int b = other & 0xFF;
        return a == b || part >= 1 ? a : LinearLight.toSrgb(part * LinearLight.of(a) + (1 - part) * LinearLight.of(b));
    }

    private interface Pixel {
        void covered(int at, int coverage);
    }

    private static void each(Coverage coverage, Pixel pixel) {
        Bounds box = coverage.box();
        int width = coverage.size().width();
        for (int y = box.top(); y < box.bottom(); y++) {
            for (int x = box.left(); x < box.right(); x++) {
                int covered = coverage.at(x, y);
                if (covered > 0) {
                    pixel.covered(y * width + x, covered);
                }
            }
        }
    }
}
