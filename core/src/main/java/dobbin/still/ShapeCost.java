package dobbin.still;

import java.awt.BasicStroke;
import java.awt.Shape;
import java.awt.Stroke;
import java.awt.geom.AffineTransform;
import java.awt.geom.PathIterator;

/**
 * What drawing a shape takes, told from its geometry before it is drawn: few letters can ask for any number of dashes. It is counted in
 * pieces: segments, and for every 16 pixels that an outline is long, one more, since each row of pixels is crossed by itself.
 */
final class ShapeCost {
    private static final int PIXELS_A_PIECE = 16;
    /** Of a line each side is an outline, and it has two ends. */
    private static final int SIDES = 2;

    private static final int NUMBERS_OF_A_SEGMENT = 6;

    private ShapeCost() {}

    /** @param place how it lies on the picture; @return of how many pieces the shape is made when it is filled */
    static double filled(Shape shape, AffineTransform place) {
        Measure measure = measure(shape);
        return measure.segments + measure.length * scale(place) / PIXELS_A_PIECE;
    }

    /** @return as above, when its outline is drawn; a dash counts as a line of its own */
    static double drawn(Shape shape, Stroke stroke, AffineTransform place) {
        Measure measure = measure(shape);
        double scale = scale(place);
        double lines = measure.segments;
        double width = 1;
        if (stroke instanceof BasicStroke basic) {
            lines += dashes(basic.getDashArray(), measure.length);
            width = basic.getLineWidth() * scale;
        }
        return SIDES * (measure.length * scale / PIXELS_A_PIECE + lines * (1 + width / PIXELS_A_PIECE));
    }

    private static double dashes(float[] lengths, double length) {
        if (lengths == null) {
            return 0;
        }
        double period = 0;
        for (float each : lengths) {
            period += each;
        }
        return length / period * lengths.length;
    }

    /** @return by how much lengths are stretched at most, about */
    private static double scale(AffineTransform place) {
        return Math.max(
                Math.hypot(place.getScaleX(), place.getShearY()), Math.hypot(place.getShearX(), place.getScaleY()));
    }

    /** @param length of the lines between all points and control points, which is no less than that of the outline */
    private record Measure(long segments, double length) {}

    private static Measure measure(Shape shape) {
        double[] points = new double[NUMBERS_OF_A_SEGMENT];
        double length = 0;
        long segments = 0;
        double startX = 0;
        double startY = 0;
        double x = 0;
        double y = 0;
        for (PathIterator path = shape.getPathIterator(null); !path.isDone(); path.next()) {
            int numbers = numbersOf(path.currentSegment(points));
            boolean isMove = numbers == 0;
            if (isMove) {
                startX = points[0];
                startY = points[1];
                x = startX;
                y = startY;
            } else if (numbers < 0) {
                length += Math.hypot(startX - x, startY - y);
                x = startX;
                y = startY;
            }
            for (int i = 0; i < numbers; i += 2) {
                length += Math.hypot(points[i] - x, points[i + 1] - y);
                x = points[i];
                y = points[i + 1];
            }
            segments++;
        }
        return new Measure(segments, length);
    }

    /** @return how many numbers lead on from where the path is: 0 for a move, -1 for closing it */
    private static int numbersOf(int kind) {
        return switch (kind) {
            case PathIterator.SEG_MOVETO -> 0;
            case PathIterator.SEG_LINETO -> 2;
            case PathIterator.SEG_QUADTO -> 4;
            case PathIterator.SEG_CUBICTO -> 6;
            default -> -1;
        };
    }
}
