package dobbin.draw;

import java.util.ArrayList;
import java.util.List;

/**
 * A smooth curve through the points a pen passed (E. Catmull and R. Rom, "A class of local interpolating splines", 1974,
 * uniform), as straight pieces that are nowhere farther from it than a fortieth of a pixel, or, where the edge is so soft that nobody
 * sees that, than what changes the coverage by one level of 255. The same curve results from the points in reverse order.
 */
final class Curve {
    private static final double FARTHEST_OFF = 1.0 / 40;
    private static final int MOST_PIECES = 64;
    /** A smooth edge rises at most one and a half times as steeply as an even one. */
    private static final double STEEPEST_LEVELS = 1.5 * Coverage.FULL;

    private Curve() {}

    /** @param softness of the edge, 0 for one pixel wide, 1 for one that reaches to the middle */
    static List<Point> through(List<Point> points, double softness) {
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
            int pieces = pieces(before, from, to, after, farthestOff(from, to, softness));
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

    /** A curve is off its chord by at most an eighth of its second derivative; in n pieces, by that over n squared. */
    private static int pieces(Point before, Point from, Point to, Point after, double farthestOff) {
        double bend = Math.max(bend(before, from, to, after), bend(after, to, from, before));
        return (int) Math.max(1, Math.min(MOST_PIECES, Math.ceil(Math.sqrt(bend / (8 * farthestOff)))));
    }

    private static double farthestOff(Point from, Point to, double softness) {
        double edge = 1 + softness * Math.min(from.width(), to.width()) / 2;
        return Math.max(FARTHEST_OFF, edge / STEEPEST_LEVELS);
    }

    /** @return how much the curve bends where it leaves {@code from}, its width included: its second derivative */
    private static double bend(Point before, Point from, Point to, Point after) {
        double x = second(before.x(), from.x(), to.x(), after.x());
        double y = second(before.y(), from.y(), to.y(), after.y());
        double width = second(before.width(), from.width(), to.width(), after.width());
        return Math.sqrt(x * x + y * y) + Math.abs(width) / 2;
    }

    private static double second(double before, double from, double to, double after) {
        return 2 * before - 5 * from + 4 * to - after;
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
