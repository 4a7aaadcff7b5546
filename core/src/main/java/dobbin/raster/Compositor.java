package dobbin.raster;

import dobbin.color.LinearLight;

/**
 * Lays one picture over another: Porter and Duff's "over" ("Compositing digital images", 1984), mixed in linear light.
 */
public final class Compositor {
    private Compositor() {}

    /**
     * Draws {@code source} over {@code into} with its top left pixel at (x, y); what falls outside is left away.
     *
     * @param into {@code size.area()} pixels, changed in place
     */
    public static void over(Raster source, int x, int y, int[] into, Size size) {
        int left = Math.max(0, x);
        int right = Math.min(size.width(), x + source.width());
        int top = Math.max(0, y);
        int bottom = Math.min(size.height(), y + source.height());
        if (left >= right) {
            return;
        }
        int[] from = source.argb();
        for (int row = top; row < bottom; row++) {
            int in = (row - y) * source.width() + left - x;
            int out = row * size.width() + left;
            if (source.isOpaque()) {
                System.arraycopy(from, in, into, out, right - left);
                continue;
            }
            for (int end = out + right - left; out < end; in++, out++) {
                into[out] = over(from[in], into[out]);
            }
        }
    }

    /** @return {@code above} over {@code below}, both 0xAARRGGBB with straight alpha */
    public static int over(int above, int below) {
        int alphaAbove = above >>> 24;
        int alphaBelow = below >>> 24;
        if (alphaAbove == 255 || alphaBelow == 0) {
            return alphaAbove == 0 ? 0 : above;
        }
        if (alphaAbove == 0) {
            return below;
        }
        float a = alphaAbove / 255f;
        float b = alphaBelow / 255f * (1 - a);
        float alpha = a + b;
        return Math.round(alpha * 255) << 24
                | mixed(above >> 16, below >> 16, a, b) << 16
                | mixed(above >> 8, below >> 8, a, b) << 8
                | mixed(above, below, a, b);
    }

    private static int mixed(int above, int below, float a, float b) {
        return LinearLight.toSrgb((a * LinearLight.of(above & 0xFF) + b * LinearLight.of(below & 0xFF)) / (a + b));
    }
}
