package dobbin.render;

import dobbin.raster.Affine;
import dobbin.raster.Bounds;
import dobbin.raster.Compositor;
import dobbin.raster.Layer;
import dobbin.raster.Size;
import dobbin.reel.Border;
import java.awt.Color;
import java.awt.geom.Area;
import java.awt.geom.Rectangle2D;
import java.awt.geom.RoundRectangle2D;

/** Draws the border over a finished frame, and takes away what lies outside of its corners. */
final class BorderPainter {
    private BorderPainter() {}

    static void draw(Border border, Size canvas, Affine place, int[] into, Size size) {
        double radius = Math.min(border.radius(), Math.min(canvas.width(), canvas.height()) / 2.0);
        RoundRectangle2D outer =
                new RoundRectangle2D.Double(0, 0, canvas.width(), canvas.height(), 2 * radius, 2 * radius);
        Layer line = OutlinePainter.draw(Bounds.all(size), place, pen -> {
            pen.setColor(OutlinePainter.color(border.color()));
            pen.fill(ring(border, canvas, radius));
        });
        Compositor.over(line.raster(), 0, 0, into, size);
        if (radius > 0) {
            Layer inside = OutlinePainter.draw(Bounds.all(size), place, pen -> {
                pen.setColor(Color.BLACK);
                pen.fill(outer);
            });
            keepInside(inside.raster().argb(), into);
        }
    }

    /** Up to the canvas's corners; these are taken away later, so that no seam shows. */
    private static Area ring(Border border, Size canvas, double radius) {
        double width = border.width();
        double innerRadius = Math.max(0, radius - width);
        Area ring = new Area(new Rectangle2D.Double(0, 0, canvas.width(), canvas.height()));
        ring.subtract(new Area(new RoundRectangle2D.Double(
                width,
                width,
                Math.max(0, canvas.width() - 2 * width),
                Math.max(0, canvas.height() - 2 * width),
                2 * innerRadius,
                2 * innerRadius)));
        return border.width() == 0 ? new Area() : ring;
    }

    private static void keepInside(int[] mask, int[] into) {
        for (int i = 0; i < into.length; i++) {
            int kept = mask[i] >>> 24;
            if (kept < 255) {
                int alpha = ((into[i] >>> 24) * kept + 127) / 255;
                into[i] = alpha == 0 ? 0 : alpha << 24 | into[i] & 0xFFFFFF;
            }
        }
    }
}
