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
        double dx = to.x() - from.x();
        double dy = to.y() - from.y();
        double squaredLength = dx * dx + dy * dy;
        boolean even = from.width() == to.width();
        double full = even ? inner(from.width() / 2) : -1;
        double fullWithin = full < 0 ? -1 : square(full);
        double squaredReach = reach * reach;
        double width = from.width();
        double wider = to.width() - from.width();
        byte[] covered = coverage.values();
        int canvasWidth = coverage.size().width();
        for (int y = top; y < bottom; y++) {
            double awayY = y + 0.5 - from.y();
            for (int x = left; x < right; x++) {
                int at = y * canvasWidth + x;
                int before = covered[at] & 0xFF;
                if (before == FULL) {
                    continue;
                }
                double awayX = x + 0.5 - from.x();
                double along = awayX * dx + awayY * dy;
                double share = along <= 0 ? 0 : along >= squaredLength ? 1 : along / squaredLength;
                double offX = awayX - share * dx;
                double offY = awayY - share * dy;
                double squared = offX * offX + offY * offY;
                if (squared < squaredReach) {
                    double part = squared <= fullWithin ? 1 : covered((width + share * wider) / 2, Math.sqrt(squared));
                    int value = (int) (FULL * part + 0.5);
                    if (value > before) {
                        covered[at] = (byte) value;
                    }
                }
            }
        }
        coverage.changed(left, top, right, bottom);
    }

    /** @return up to which distance a pixel is wholly covered */
    private double inner(double radius) {
        return radius < HALF_EDGE ? -1 : radius * (1 - softness) - HALF_EDGE;
    }

    private double covered(double radius, double distance) {
        double outer = radius + HALF_EDGE;
        double full = radius * (1 - softness) - HALF_EDGE;
        double edge = (outer - distance) / (outer - full);
        if (edge <= 0) {
            return 0;
        }
        edge = Math.min(edge, 1);
        double smooth = edge * edge * (3 - 2 * edge);
        return Math.min(edge + softness * (smooth - edge), 2 * radius);
    }

    private static double square(double value) {
        return value * value;
    }
}
