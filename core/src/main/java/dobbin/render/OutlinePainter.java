package dobbin.render;

import dobbin.raster.Affine;
import dobbin.raster.Bounds;
import dobbin.raster.Layer;
import dobbin.raster.Raster;
import dobbin.reel.Fill;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.Paint;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.util.function.Consumer;

/** Draws outlines with soft edges, the same on every machine. */
final class OutlinePainter {
    private static final int OPAQUE = 0xFF000000;

    private OutlinePainter() {}

    /** @return what {@code drawing} draws inside {@code bounds}, in the units of the space that {@code place} starts from */
    static Layer draw(Bounds bounds, Affine place, Consumer<Graphics2D> drawing) {
        BufferedImage image = new BufferedImage(bounds.width(), bounds.height(), BufferedImage.TYPE_INT_ARGB);
        Graphics2D pen = image.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        pen.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        pen.translate(-bounds.left(), -bounds.top());
        pen.transform(place.toJava());
        drawing.accept(pen);
        pen.dispose();
        int[] argb = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
        return new Layer(Raster.of(bounds.size(), argb), bounds.left(), bounds.top());
    }

    /** @param color six hexadecimal digits, or empty for transparent */
    static int argb(String color) {
        return color.isEmpty() ? 0 : OPAQUE | Integer.parseInt(color, 16);
    }

    static Color color(String color) {
        return new Color(argb(color), true);
    }

    /** @return the fill for an area from (0, 0); a gradient reaches from corner to corner, as style sheets have it */
    static Paint paint(Fill fill, double width, double height) {
        if (!fill.gradient()) {
            return color(fill.color());
        }
        double angle = Math.toRadians(fill.angle());
        double reachX = Math.cos(angle);
        double reachY = Math.sin(angle);
        double half = (Math.abs(width * reachX) + Math.abs(height * reachY)) / 2;
        return new GradientPaint(
                (float) (width / 2 - half * reachX),
                (float) (height / 2 - half * reachY),
                color(fill.color()),
                (float) (width / 2 + half * reachX),
                (float) (height / 2 + half * reachY),
                color(fill.toColor()));
    }
}
