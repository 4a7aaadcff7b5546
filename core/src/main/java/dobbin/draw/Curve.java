package dobbin.draw;

import java.util.ArrayList;
import java.util.List;

/**
 * A smooth curve through the points a pen passed (E. Catmull and R. Rom, "A class of local interpolating splines", 1974,
 * uniform), as short straight pieces. The same curve results from the points in reverse order.
 */
final class Curve {
    private static final double PIECE = 3;
    private static final int MOST_PIECES = 32;

    private Curve() {}

    static List<Point> through(List<Point> points) {
        if (points.size() < 3) {
            return points;
        }
        List<Point> curve = new ArrayList<>();
        curve.add(points.get(0));
        for (int i = 0; i + 1 < points.size(); i++) {
            Point from = points.get(i);
            Point to = points.get(i + 1);
            Point before = points.get(Math.max(0, i - 1));
            Point after = points.get(Math.min(points.size() - 1, i + 2));
            int pieces = pieces(from, to);
            for (int piece = 1; piece < pieces; piece++) {
                double onward = (double) piece / pieces;
                double backward = (double) (pieces - piece) / pieces;
                curve.add(Point.of(
                        between(before.x(), from.x(), to.x(), after.x(), backward, onward),
                        between(before.y(), from.y(), to.y(), after.y(), backward, onward),
                        Math.max(
                                0,
                                between(before.width(), from.width(), to.width(), after.width(), backward, onward))));
            }
            curve.add(to);
        }
        return curve;
    }

    private static int pieces(Point from, Point to) {
        double length = Math.hypot(to.x() - from.x(), to.y() - from.y());
        return (int) Math.max(1, Math.min(MOST_PIECES, Math.ceil(length / PIECE)));
    }

    /** Sums are paired so that they are the same to the last bit from either end. */
    private static double between(double before, double from, double to, double after, double backward, double onward) {
        double outer = beyond(backward, onward) * before + beyond(onward, backward) * after;
        double inner = end(backward) * from + end(onward) * to;
        return outer + inner;
    }

    /** @return the weight of the point beyond an end, {@code near} being the share of that end */
    private static double beyond(double near, double far) {
        return -0.5 * far * (near * near);
    }

    /** @return the weight of an end, {@code near} being its share */
    private static double end(double near) {
        return 0.5 * near * (1 + 4 * near - 3 * (near * near));
    }
}
