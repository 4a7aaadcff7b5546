package dobbin.draw;

import dobbin.reel.OutOfRange;
import java.util.List;

/** Estimates the cost of a stroke from its points, before it is drawn: each number has a limit, and so has the cost of all together. */
final class StrokeCost {
    /** In pixels, for all that lies between the places: a line to and fro over a canvas a thousand times. */
    private static final double LONGEST = 2_000_000;

    /** Of discs along a hard line. */
    private static final double MOST_ROWS = 2e8;

    /** Of the bands around all pieces of a soft line. */
    private static final double MOST_PIXELS = 5e8;

    /** Cost of a pixel of a sharp line, as a share of one of the softest: wholly covered pixels are skipped. */
    private static final double SHARP = 0.05;

    private StrokeCost() {}

    /** @throws OutOfRange where it is too much */
    static void check(Pen pen, List<Point> path, Mirroring mirroring) {
        if (length(path) > LONGEST || of(pen, path, mirroring) > 1) {
            throw new OutOfRange("points", "must make a shorter line, or a thinner one. Draw it in parts");
        }
    }

    /** @return a share of the most there can be */
    static double of(Pen pen, List<Point> path, Mirroring mirroring) {
        double share = pen.hard() ? rows(path) / MOST_ROWS : pixels(path, pen.soft()) / MOST_PIXELS;
        return mirroring.copies() * share;
    }

    private static double length(List<Point> path) {
        double length = 0;
        for (int i = 1; i < path.size(); i++) {
            length += between(path, i);
        }
        return length;
    }

    private static double rows(List<Point> path) {
        double rows = 0;
        for (int i = 1; i < path.size(); i++) {
            rows += between(path, i) * widest(path, i);
        }
        return rows;
    }

    private static double pixels(List<Point> path, double softness) {
        List<Point> curve = Curve.through(path, softness);
        double pixels = 0;
        for (int i = 1; i < curve.size(); i++) {
            double width = widest(curve, i) + 1;
            pixels += (between(curve, i) + width) * width;
        }
        return pixels * (SHARP + (1 - SHARP) * softness);
    }

    private static double between(List<Point> path, int i) {
        Point from = path.get(i - 1);
        Point to = path.get(i);
        return Math.hypot(to.x() - from.x(), to.y() - from.y());
    }

    private static double widest(List<Point> path, int i) {
        return Math.max(path.get(i - 1).width(), path.get(i).width());
    }
}
