package dobbin.raster;

import dobbin.color.LinearLight;
import java.util.Optional;

/**
 * Places pictures at any scale and angle, to fractions of a pixel.
 *
 * <p>What is reduced is first resampled to about its size ({@link Resampler}), so that every pixel counts; then each
 * pixel is interpolated from sixteen with Catmull-Rom's cubic (R. Keys, 1981), in linear light with premultiplied alpha.
 * Around the picture there is nothing, so its edges are as soft as its place demands. Shifts by whole pixels and turns
 * by quarters onto whole pixels give the very pixels.
 */
public final class Placement {
    private static final int MARGIN = 3;
    private static final float[] LINEAR = LinearLight.table();

    private Placement() {}

    /** @return what is seen of {@code art} inside {@code clip}, or empty where that is nothing */
    public static Optional<Layer> draw(Raster art, Affine place, Bounds clip) {
        return draw(art, Homography.of(place), clip);
    }

    /** @return what is seen of {@code art} inside {@code clip}, or empty where that is nothing */
    public static Optional<Layer> draw(Raster art, Homography place, Bounds clip) {
        Affine near = place.near(art.width() / 2.0, art.height() / 2.0);
        if (near.isFlat()) {
            return Optional.empty();
        }
        Bounds touched = Bounds.around(place.around(art.width(), art.height()));
        Optional<Layer> whole = wholeShift(art, place, touched, clip);
        if (whole.isPresent()) {
            return whole;
        }
        Bounds seen = touched.grownBy(1).within(clip);
        if (seen.isEmpty()) {
            return Optional.empty();
        }
        Raster reduced = reduced(art, near);
        Homography back = Homography.of(
                        Affine.scale((double) art.width() / reduced.width(), (double) art.height() / reduced.height()))
                .then(place)
                .inverse();
        return Optional.of(new Layer(sampled(reduced, back, seen), seen.left(), seen.top()));
    }

    private static Optional<Layer> wholeShift(Raster art, Homography place, Bounds touched, Bounds clip) {
        boolean still = place.isAffine() && place.xx() == 1 && place.yy() == 1 && place.xy() == 0 && place.yx() == 0;
        boolean onPixels = place.dx() == Math.rint(place.dx()) && place.dy() == Math.rint(place.dy());
        return still && onPixels && !touched.within(clip).isEmpty()
                ? Optional.of(new Layer(art, touched.left(), touched.top()))
                : Optional.empty();
    }

    private static Raster reduced(Raster art, Affine place) {
        int width = (int) Math.max(1, Math.ceil(art.width() * Math.min(1, place.across())));
        int height = (int) Math.max(1, Math.ceil(art.height() * Math.min(1, place.down())));
        return Resampler.resize(art, new Size(width, height));
    }

    private static Raster sampled(Raster art, Homography toArt, Bounds seen) {
        int stride = (art.width() + 2 * MARGIN) * 4;
        float[] source = premultiplied(art, stride);
        int[] argb = new int[Math.toIntExact(seen.size().area())];
        float[] across = new float[4];
        float[] down = new float[4];
        Affine top = toArt.affine();
        int out = 0;
        for (int y = seen.top(); y < seen.bottom(); y++) {
            double onX = top.x(seen.left() + 0.5, y + 0.5);
            double onY = top.y(seen.left() + 0.5, y + 0.5);
            double w = toArt.divisor(seen.left() + 0.5, y + 0.5);
            for (int x = seen.left(); x < seen.right(); x++, out++) {
                double u = onX / w - 0.5;
                double v = onY / w - 0.5;
                if (w > 0 && u > -2 && v > -2 && u < art.width() + 1 && v < art.height() + 1) {
                    int left = (int) Math.floor(u);
                    int above = (int) Math.floor(v);
                    weigh((float) (u - left), across);
                    weigh((float) (v - above), down);
                    argb[out] =
                            sum(source, (above + MARGIN - 1) * stride + (left + MARGIN - 1) * 4, stride, across, down);
                }
                onX += toArt.xx();
                onY += toArt.yx();
                w += toArt.wx();
            }
        }
        return Raster.of(seen.size(), argb);
    }

    /** Four floats a pixel, red to alpha, with a margin of nothing around. */
    private static float[] premultiplied(Raster art, int stride) {
        float[] rows = new float[stride * (art.height() + 2 * MARGIN)];
        int in = 0;
        for (int y = 0; y < art.height(); y++) {
            int out = (y + MARGIN) * stride + MARGIN * 4;
            for (int x = 0; x < art.width(); x++, out += 4) {
                int pixel = art.argb()[in++];
                float alpha = (pixel >>> 24) / 255f;
                rows[out] = LINEAR[pixel >> 16 & 0xFF] * alpha;
                rows[out + 1] = LINEAR[pixel >> 8 & 0xFF] * alpha;
                rows[out + 2] = LINEAR[pixel & 0xFF] * alpha;
                rows[out + 3] = alpha;
            }
        }
        return rows;
    }

    /** @param t how far the place is past the second of four pixels, 0 to 1; {@code weights} get the shares of the four */
    private static void weigh(float t, float[] weights) {
        float t2 = t * t;
        float t3 = t2 * t;
        weights[0] = -0.5f * t3 + t2 - 0.5f * t;
        weights[1] = 1.5f * t3 - 2.5f * t2 + 1;
        weights[2] = -1.5f * t3 + 2 * t2 + 0.5f * t;
        weights[3] = 0.5f * t3 - 0.5f * t2;
    }

    private static int sum(float[] source, int at, int stride, float[] across, float[] down) {
        float red = 0;
        float green = 0;
        float blue = 0;
        float alpha = 0;
        for (int row = 0; row < 4; row++, at += stride) {
            for (int column = 0, i = at; column < 4; column++, i += 4) {
                float weight = down[row] * across[column];
                red += weight * source[i];
                green += weight * source[i + 1];
                blue += weight * source[i + 2];
                alpha += weight * source[i + 3];
            }
        }
        int alphaByte = Math.round(Math.min(1f, alpha) * 255);
        return alphaByte <= 0
                ? 0
                : alphaByte << 24
                        | LinearLight.toSrgb(red / alpha) << 16
                        | LinearLight.toSrgb(green / alpha) << 8
                        | LinearLight.toSrgb(blue / alpha);
    }
}
