package dobbin.render;

import dobbin.raster.Layer;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Shadow;

/**
 * Draws the shadow of a layer. Its softness is three box blurs, which come near a Gaussian (W3C, "Filter Effects Module
 * Level 1", 2018, feGaussianBlur).
 */
final class ShadowPainter {
    private static final int BOXES = 3;

    private ShadowPainter() {}

    /** @return how far a shadow reaches out, in the pixels that {@code scale} makes of the canvas's */
    static int reach(Shadow shadow, double scale) {
        return (int) Math.ceil(Math.max(Math.abs(shadow.x()), Math.abs(shadow.y())) * scale)
                + BOXES * (box(shadow, scale) / 2 + 1);
    }

    static Layer of(Layer layer, Shadow shadow, double scale) {
        int margin = BOXES * (box(shadow, scale) / 2 + 1);
        Size size = new Size(layer.raster().width() + 2 * margin, layer.raster().height() + 2 * margin);
        float[] alpha = alpha(layer.raster(), margin, size);
        float[] other = new float[alpha.length];
        for (int pass = 0; pass < BOXES; pass++) {
            blurRows(alpha, other, size.width(), size.height(), box(shadow, scale));
            blurRows(other, alpha, size.height(), size.width(), box(shadow, scale));
        }
        int color = OutlinePainter.argb(shadow.color()) & 0xFFFFFF;
        int[] argb = new int[alpha.length];
        for (int i = 0; i < argb.length; i++) {
            argb[i] = (int) Math.round(alpha[i] * shadow.opacity() * 255) << 24 | color;
        }
        return new Layer(
                Raster.of(size, argb),
                layer.x() - margin + (int) Math.round(shadow.x() * scale),
                layer.y() - margin + (int) Math.round(shadow.y() * scale));
    }

    /** @return an odd number of pixels, 1 for none to blur */
    private static int box(Shadow shadow, double scale) {
        int width = (int) Math.floor(shadow.blur() * scale * 3 * Math.sqrt(2 * Math.PI) / 4 + 0.5);
        return width | 1;
    }

    private static float[] alpha(Raster raster, int margin, Size size) {
        float[] alpha = new float[Math.toIntExact(size.area())];
        int in = 0;
        for (int y = 0; y < raster.height(); y++) {
            int out = (y + margin) * size.width() + margin;
            for (int x = 0; x < raster.width(); x++) {
                alpha[out++] = (raster.argb()[in++] >>> 24) / 255f;
            }
        }
        return alpha;
    }

    /** Blurs each of {@code height} rows, and turns the picture on its side, so that the next call does its columns. */
    private static void blurRows(float[] from, float[] to, int width, int height, int box) {
        int half = box / 2;
        for (int y = 0; y < height; y++) {
            int row = y * width;
            double sum = 0;
            for (int x = 0; x < Math.min(half, width); x++) {
                sum += from[row + x];
            }
            for (int x = 0; x < width; x++) {
                sum += x + half < width ? from[row + x + half] : 0;
                sum -= x - half - 1 >= 0 ? from[row + x - half - 1] : 0;
                to[x * height + y] = (float) (sum / box);
            }
        }
    }
}
