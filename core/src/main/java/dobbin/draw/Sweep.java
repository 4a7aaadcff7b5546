package dobbin.draw;

import java.util.List;

/**
 * A round brush swept along a path: each pixel is covered by how near its middle is to the path, as a signed distance with
 * an edge one pixel wide, or wider for a soft brush.
 */
final class Sweep {
    private static final double HALF_EDGE = 0.5;
    private static final int FULL = Coverage.FULL;

    private final Coverage coverage;
    private final double softness;

    /** @param softness 0 for an edge of one pixel, 1 for one that reaches to the middle */
    private Sweep(Coverage coverage, double softness) {
        this.coverage = coverage;
        this.softness = softness;
    }

    static void along(List<Point> path, double softness, Coverage coverage) {
        Sweep sweep = new Sweep(coverage, softness);
        if (path.size() == 1) {
            sweep.piece(path.get(0), path.get(0));
        }
        for (int i = 0; i + 1 < path.size(); i++) {
            sweep.piece(path.get(i), path.get(i + 1));
        }
    }

    private void piece(Point from, Point to) {
        double reach = Math.max(from.width(), to.width()) / 2 + HALF_EDGE;
        int left = Math.max(0, (int) Math.floor(Math.min(from.x(), to.x()) - reach));
        int top = Math.max(0, (int) Math.floor(Math.min(from.y(), to.y()) - reach));
        int right = Math.min(coverage.size().width(), (int) Math.ceil(Math.max(from.x(), to.x()) + reach));
        int bottom = Math.min(coverage.size().height(), (int) Math.ceil(Math.max(from.y(), to.y()) + reach));
        for (int y = top; y < bottom; y++) {
            // Of the piece, only what is within reach of the row.
            double oneX = between(from, to, share(y + HALF_EDGE - reach, from.y(), to.y(), 0));
            double otherX = between(from, to, share(y + HALF_EDGE + reach, from.y(), to.y(), 1));
            int first = Math.max(left, (int) Math.floor(Math.min(oneX, otherX) - reach));
            int end = Math.min(right, (int) Math.ceil(Math.max(oneX, otherX) + reach));
            row(from, to, y, first, end);
        }
        coverage.changed(left, top, right, bottom);
    }

    private static double between(Point from, Point to, double share) {
        return from.x() + share * (to.x() - from.x());
    }

    /** @return how far on the way from one to the other a value is, 0 to 1; {@code level} where there is no way to go */
    private static double share(double value, double from, double to, double level) {
        return from == to ? level : Math.max(0, Math.min(1, (value - from) / (to - from)));
    }

    private void row(Point from, Point to, int y, int first, int end) {
        double dx = to.x() - from.x();
        double dy = to.y() - from.y();
        double squaredLength = dx * dx + dy * dy;
        double onward = squaredLength == 0 ? 0 : 1 / squaredLength;
        double radius = from.width() / 2;
        double wider = to.width() / 2 - radius;
        double evenSteepness = steepness(radius);
        double reach = Math.max(radius, radius + wider) + HALF_EDGE;
        double squaredReach = reach * reach;
        double awayY = y + HALF_EDGE - from.y();
        byte[] covered = coverage.values();
        int start = y * coverage.size().width();
        for (int x = first; x < end; x++) {
            int before = covered[start + x] & 0xFF;
            if (before == FULL) {
                continue;
            }
            double awayX = x + HALF_EDGE - from.x();
            double along = (awayX * dx + awayY * dy) * onward;
            double share = along <= 0 ? 0 : along >= 1 ? 1 : along;
            double offX = awayX - share * dx;
            double offY = awayY - share * dy;
            double squared = offX * offX + offY * offY;
            if (squared >= squaredReach) {
                continue;
            }
            double there = radius + share * wider;
            double steepness = wider == 0 ? evenSteepness : steepness(there);
            int value = (int) (FULL * covered(there, steepness, Math.sqrt(squared)) + HALF_EDGE);
            if (value > before) {
                covered[start + x] = (byte) value;
            }
        }
    }

    /** @return how much the coverage rises over a pixel of the edge */
    private double steepness(double radius) {
        return 1 / (1 + radius * softness);
    }

    private double covered(double radius, double steepness, double distance) {
        double edge = (radius + HALF_EDGE - distance) * steepness;
        if (edge >= 1) {
            return 1;
        }
        if (edge <= 0) {
            return 0;
        }
        double smooth = edge * edge * (3 - 2 * edge);
        double part = edge + softness * (smooth - edge);
        // A line thinner than a pixel covers no more than it is wide.
        return part > 2 * radius ? 2 * radius : part;
    }
}
