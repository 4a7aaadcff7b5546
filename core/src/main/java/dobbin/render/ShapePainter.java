package dobbin.render;

import dobbin.reel.Shape;
import java.awt.BasicStroke;
import java.awt.Graphics2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.RoundRectangle2D;

/** Draws shapes in boxes of their own. */
final class ShapePainter {
    /** Where a star's inner corners are, as a share of the way to its points. */
    private static final double INNER = 0.45;

    private ShapePainter() {}

    static void draw(Shape shape, Graphics2D pen) {
        if (shape.form().isOpen()) {
            pen.setColor(OutlinePainter.color(shape.strokeColor()));
            pen.fill(shape.form() == Shape.Form.ARROW ? arrow(shape) : line(shape, shape.width(), shape.stroke()));
            return;
        }
        java.awt.Shape outline = outline(shape);
        if (!shape.fill().none()) {
            pen.setPaint(OutlinePainter.paint(shape.fill(), shape.width(), shape.height()));
            pen.fill(outline);
        }
        if (shape.stroke() > 0) {
            pen.setColor(OutlinePainter.color(shape.strokeColor()));
            pen.setStroke(new BasicStroke((float) shape.stroke(), BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
            pen.draw(outline);
        }
    }

    private static java.awt.Shape outline(Shape shape) {
        double edge = shape.stroke() / 2;
        double width = shape.shapeWidth();
        double height = shape.shapeHeight();
        return switch (shape.form()) {
            case RECTANGLE ->
                new RoundRectangle2D.Double(edge, edge, width, height, 2.0 * shape.round(), 2.0 * shape.round());
            case ELLIPSE -> new Ellipse2D.Double(edge, edge, width, height);
            case POLYGON -> corners(shape, shape.points(), 1);
            default -> corners(shape, 2 * shape.points(), INNER);
        };
    }

    /** @param inner how far out every second corner is */
    private static Path2D corners(Shape shape, int count, double inner) {
        Path2D path = new Path2D.Double();
        for (int i = 0; i < count; i++) {
            double angle = 2 * Math.PI * i / count - Math.PI / 2;
            double out = i % 2 == 0 ? 0.5 : 0.5 * inner;
            double x = shape.stroke() / 2 + shape.shapeWidth() * (0.5 + out * Math.cos(angle));
            double y = shape.stroke() / 2 + shape.shapeHeight() * (0.5 + out * Math.sin(angle));
            if (i == 0) {
                path.moveTo(x, y);
            } else {
                path.lineTo(x, y);
            }
        }
        path.closePath();
        return path;
    }

    private static java.awt.Shape line(Shape shape, double length, double thick) {
        double middle = shape.height() / 2;
        return new BasicStroke((float) thick, BasicStroke.CAP_BUTT, BasicStroke.JOIN_MITER)
                .createStrokedShape(new Line2D.Double(0, middle, length, middle));
    }

    private static java.awt.Shape arrow(Shape shape) {
        double head = Math.min(shape.width(), Shape.ARROW_HEAD * shape.stroke());
        Path2D arrow = new Path2D.Double(Path2D.WIND_NON_ZERO);
        if (shape.width() > head) {
            arrow.append(line(shape, shape.width() - head + shape.stroke() / 2, shape.stroke()), false);
        }
        arrow.moveTo(shape.width() - head, 0);
        arrow.lineTo(shape.width(), shape.height() / 2);
        arrow.lineTo(shape.width() - head, shape.height());
        arrow.closePath();
        return arrow;
    }
}
