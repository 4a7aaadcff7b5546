package dobbin.render;

import dobbin.raster.Affine;
import dobbin.raster.Bounds;
import dobbin.raster.Compositor;
import dobbin.raster.Homography;
import dobbin.raster.Placement;
import dobbin.raster.Raster;
import dobbin.raster.Region;
import dobbin.raster.Resampler;
import dobbin.raster.Size;
import dobbin.reel.Still;
import java.util.Arrays;

/** Draws stills on the canvas. What one does not cover has its background, or is transparent. */
final class StillPainter {
    private StillPainter() {}

    static Raster draw(Still still, Size canvas, Pictures pictures, Size size) {
        Pictures lit =
                still.light().none() ? pictures : (name, level) -> Lit.of(pictures.raster(name, level), still.light());
        return still.aligned().none() ? fitted(still, canvas, lit, size) : aligned(still, canvas, lit, size);
    }

    private static Raster aligned(Still still, Size canvas, Pictures pictures, Size size) {
        Homography place = still.place(canvas)
                .then(Affine.scale((double) size.width() / canvas.width(), (double) size.height() / canvas.height()));
        Size own = still.size();
        Affine near = place.near(own.width() / 2.0, own.height() / 2.0);
        Size drawn = new Size((int) Math.max(1, Math.ceil(own.width() * near.across())), (int)
                Math.max(1, Math.ceil(own.height() * near.down())));
        Raster picture = pictures.raster(still.picture(), Level.forDrawing(drawn));
        Homography whole = Homography.of(
                        Affine.scale((double) own.width() / picture.width(), (double) own.height() / picture.height()))
                .then(place);
        int[] argb = new int[Math.toIntExact(size.area())];
        Arrays.fill(argb, background(still));
        Placement.draw(picture, whole, Bounds.all(size))
                .ifPresent(layer -> Compositor.over(layer.raster(), layer.x(), layer.y(), argb, size));
        return Raster.of(size, argb);
    }

    private static Raster fitted(Still still, Size canvas, Pictures pictures, Size size) {
        Region place = still.fit().place(still.size(), canvas);
        double across = (double) size.width() / canvas.width();
        double down = (double) size.height() / canvas.height();
        Span columns = Span.of(place.x() * across, place.width() * across, size.width());
        Span rows = Span.of(place.y() * down, place.height() * down, size.height());
        if (columns.seen() <= 0 || rows.seen() <= 0) {
            return Raster.filled(size, background(still));
        }
        Raster picture = pictures.raster(still.picture(), Level.forDrawing(new Size(columns.length(), rows.length())));
        Region region = new Region(
                columns.hidden(picture.width()), rows.hidden(picture.height()),
                columns.shown(picture.width()), rows.shown(picture.height()));
        Raster scaled = Resampler.resize(picture, region, new Size(columns.seen(), rows.seen()));
        if (scaled.size().equals(size) && (scaled.isOpaque() || background(still) == 0)) {
            return scaled;
        }
        int[] argb = new int[Math.toIntExact(size.area())];
        Arrays.fill(argb, background(still));
        Compositor.over(scaled, columns.from(), rows.from(), argb, size);
        return Raster.of(size, argb);
    }

    private static int background(Still still) {
        return OutlinePainter.argb(still.fit().background());
    }

    /**
     * Where a picture lies along one axis, in whole pixels.
     *
     * @param start where it begins, which may be before the canvas does
     * @param from what is seen of it, to {@code to}
     */
    private record Span(int start, int length, int from, int to) {
        static Span of(double start, double length, int canvas) {
            int begin = (int) Math.round(start);
            int whole = (int) Math.max(1, Math.round(start + length) - begin);
            return new Span(begin, whole, Math.max(0, begin), Math.min(canvas, begin + whole));
        }

        int seen() {
            return to - from;
        }

        /** @return how much of {@code pictureLength} is cut away before what is seen */
        double hidden(int pictureLength) {
            return (double) (from - start) / length * pictureLength;
        }

        double shown(int pictureLength) {
            return (double) seen() / length * pictureLength;
        }
    }
}
