package dobbin.raster;

import dobbin.color.LinearLight;

/**
 * Lays one picture over another: Porter and Duff's "over" ("Compositing digital images", 1984), on sRGB values as W3C's
 * "Compositing and Blending Level 1" (2015) has it. So half opacity is what browsers and drawing programs show for it, and
 * what is dragged in the page looks as it is drawn. Only {@link #mix} mixes light: a cross-fade is two pictures shining
 * through each other.
 */
public final class Compositor {
    private static final int FULL = 255;

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

    /**
     * Draws a layer with a blend mode; {@code blend} applies where both cover, as far as what is below covers.
     *
     * @param into {@code size.area()} pixels, changed in place
     */
    public static void blend(Layer layer, Blend blend, int[] into, Size size) {
        if (blend == Blend.NORMAL) {
            over(layer.raster(), layer.x(), layer.y(), into, size);
            return;
        }
        Raster source = layer.raster();
        Bounds seen = new Bounds(layer.x(), layer.y(), layer.x() + source.width(), layer.y() + source.height())
                .within(Bounds.all(size));
        for (int y = seen.top(); y < seen.bottom(); y++) {
            int in = (y - layer.y()) * source.width() + seen.left() - layer.x();
            int out = y * size.width() + seen.left();
            for (int end = out + seen.width(); out < end; in++, out++) {
                into[out] = over(blended(source.argb()[in], into[out], blend), into[out]);
            }
        }
    }

    /**
     * Mixes two pictures of one size in linear light.
     *
     * @param share 0 for all of {@code first}, 1 for all of {@code second}
     */
    public static Raster mix(Raster first, Raster second, double share) {
        int[] from = first.argb();
        int[] to = second.argb();
        int[] mixed = new int[from.length];
        float b = (float) share;
        for (int i = 0; i < mixed.length; i++) {
            mixed[i] = from[i] == to[i] ? from[i] : mix(from[i], to[i], 1 - b, b);
        }
        return Raster.of(first.size(), mixed);
    }

    private static int mix(int from, int to, float a, float b) {
        float alphaFrom = (from >>> 24) / 255f * a;
        float alphaTo = (to >>> 24) / 255f * b;
        return Math.round((alphaFrom + alphaTo) * 255) == 0 ? 0 : joined(from, to, alphaFrom, alphaTo);
    }

    private static int blended(int above, int below, Blend blend) {
        int alphaBelow = below >>> 24;
        if (alphaBelow == 0) {
            return above;
        }
        int color = 0;
        for (int shift = 0; shift <= 16; shift += 8) {
            int own = above >> shift & 0xFF;
            int mixed = blend.of(below >> shift & 0xFF, own);
            color |= (own * (255 - alphaBelow) + mixed * alphaBelow + 127) / 255 << shift;
        }
        return above & 0xFF000000 | color;
    }

    /** @return {@code above} over {@code below}, both 0xAARRGGBB with straight alpha */
    public static int over(int above, int below) {
        int alphaAbove = above >>> 24;
        int alphaBelow = below >>> 24;
        if (alphaAbove == FULL || alphaBelow == 0) {
            return alphaAbove == 0 ? 0 : above;
        }
        if (alphaAbove == 0) {
            return below;
        }
        // Shares of the pixel in 255ths of 255ths, whole numbers that are exact.
        int a = FULL * alphaAbove;
        int b = (FULL - alphaAbove) * alphaBelow;
        int all = a + b;
        return (all + FULL / 2) / FULL << 24
                | share(above >> 16, below >> 16, a, b) << 16
                | share(above >> 8, below >> 8, a, b) << 8
                | share(above, below, a, b);
    }

    private static int share(int above, int below, int a, int b) {
        return ((above & 0xFF) * a + (below & 0xFF) * b + (a + b) / 2) / (a + b);
    }

    /** @return two colors that cover {@code a} and {@code b} of a pixel side by side, 0 to 1, mixed in linear light */
    private static int joined(int first, int second, float a, float b) {
        return Math.round((a + b) * FULL) << 24
                | mixed(first >> 16, second >> 16, a, b) << 16
                | mixed(first >> 8, second >> 8, a, b) << 8
                | mixed(first, second, a, b);
    }

    private static int mixed(int above, int below, float a, float b) {
        return LinearLight.toSrgb((a * LinearLight.of(above & 0xFF) + b * LinearLight.of(below & 0xFF)) / (a + b));
    }
}
