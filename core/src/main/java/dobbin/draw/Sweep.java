package dobbin.draw;

import java.util.List;

/**
 * A round brush swept along a path: each pixel is covered by how near its middle is to the path, as a signed distance with
 * an edge one pixel wide, or wider for a soft brush.
 */
final class Sweep {
    private static final double HALF_EDGE = 0.5;
    private static final int FULL = Coverage.FULL;
    private static final int HALVINGS = 30;
    /** Pixels along a side of the squares that are told apart first. */
    private static final int TILE = 8;

    /** From the middle of a tile to the middle of any of its pixels, at most. */
    private static final double HALF_DIAGONAL = TILE / Math.sqrt(2);

    private final Coverage coverage;
    private final double softness;
    /** For each coverage that a pixel may have: where in the edge it must lie, 0 at the rim, for a piece to cover it more. */
    private final double[] betterFrom = new double[FULL + 1];

    private final int tilesAcross;
    /** The least coverage of any pixel of each tile; kept for wide brushes alone. */
    private final int[] least;

    /** @param softness 0 for an edge of one pixel, 1 for one that reaches to the middle */
    private Sweep(Coverage coverage, double softness) {
        this.coverage = coverage;
        this.softness = softness;
        for (int value = 0; value < FULL; value++) {
            betterFrom[value] = betterFrom(value);
        }
        betterFrom[FULL] = Double.POSITIVE_INFINITY;
        this.tilesAcross = (coverage.size().width() + TILE - 1) / TILE;
        this.least = new int[tilesAcross * ((coverage.size().height() + TILE - 1) / TILE)];
    }

    private double betterFrom(int value) {
        double low = 0;
        double high = 1;
        for (int step = 0; step < HALVINGS; step++) {
            double middle = (low + high) / 2;
            if (value(part(middle)) > value) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return low;
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
        double widest = Math.max(from.width(), to.width()) / 2;
        double reach = widest + HALF_EDGE;
        int left = Math.max(0, (int) Math.floor(Math.min(from.x(), to.x()) - reach));
        int top = Math.max(0, (int) Math.floor(Math.min(from.y(), to.y()) - reach));
        int right = Math.min(coverage.size().width(), (int) Math.ceil(Math.max(from.x(), to.x()) + reach));
        int bottom = Math.min(coverage.size().height(), (int) Math.ceil(Math.max(from.y(), to.y()) + reach));
        double edge = 1 / steepness(widest);
        for (int tileY = top / TILE; tileY * TILE < bottom; tileY++) {
            for (int tileX = left / TILE; tileX * TILE < right; tileX++) {
                int tile = tileY * tilesAcross + tileX;
                // Most pieces of a wide brush cover all of a tile less than those before have.
                double near = reach - betterFrom[least[tile]] * edge + HALF_DIAGONAL;
                double middleX = (tileX + HALF_EDGE) * TILE;
                double middleY = (tileY + HALF_EDGE) * TILE;
                if (near > 0 && squaredDistance(middleX, middleY, from, to) < near * near) {
                    int first = Math.max(left, tileX * TILE);
                    int end = Math.min(right, (tileX + 1) * TILE);
                    for (int y = Math.max(top, tileY * TILE); y < Math.min(bottom, (tileY + 1) * TILE); y++) {
                        row(from, to, y, first, end);
                    }
                    if (reach > TILE) {
                        least[tile] = leastOf(tileX * TILE, tileY * TILE);
                    }
                }
            }
        }
        coverage.changed(left, top, right, bottom);
    }

    private static double squaredDistance(double x, double y, Point from, Point to) {
        double dx = to.x() - from.x();
        double dy = to.y() - from.y();
        double squaredLength = dx * dx + dy * dy;
        double along = squaredLength == 0 ? 0 : ((x - from.x()) * dx + (y - from.y()) * dy) / squaredLength;
        double share = Math.max(0, Math.min(1, along));
        double offX = x - from.x() - share * dx;
        double offY = y - from.y() - share * dy;
        return offX * offX + offY * offY;
    }

    private int leastOf(int left, int top) {
        int width = coverage.size().width();
        int right = Math.min(width, left + TILE);
        int bottom = Math.min(coverage.size().height(), top + TILE);
        byte[] covered = coverage.values();
        int least = FULL;
        for (int y = top; y < bottom && least > 0; y++) {
            for (int x = left; x < right; x++) {
                least = Math.min(least, covered[y * width + x] & 0xFF);
            }
        }
        return least;
    }

    private void row(Point from, Point to, int y, int first, int end) {
        double dx = to.x() - from.x();
        double dy = to.y() - from.y();
        double squaredLength = dx * dx + dy * dy;
        double onward = squaredLength == 0 ? 0 : 1 / squaredLength;
        double radius = from.width() / 2;
        double wider = to.width() / 2 - radius;
        double evenSteepness = steepness(radius);
        double widest = Math.max(radius, radius + wider);
        double reach = widest + HALF_EDGE;
        double widestEdge = 1 / steepness(widest);
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
            // Most pieces of a wide brush cover a pixel less than one before has. That is told without a root.
            double near = reach - betterFrom[before] * widestEdge;
            if (near <= 0 || squared >= near * near) {
                continue;
            }
            double there = radius + share * wider;
            double steepness = wider == 0 ? evenSteepness : steepness(there);
            int value = value(covered(there, steepness, Math.sqrt(squared)));
            if (value > before) {
                covered[start + x] = (byte) value;
            }
        }
    }

    /** @return how much the coverage rises over a pixel of the edge */
    private double steepness(double radius) {
        return 1 / (1 + radius * softness);
    }

    private static int value(double share) {
        return (int) (FULL * share + HALF_EDGE);
    }

    /** @param edge 0 at the rim, 1 where all is covered */
    private double part(double edge) {
        double smooth = edge * edge * (3 - 2 * edge);
        return edge + softness * (smooth - edge);
    }

    private double covered(double radius, double steepness, double distance) {
        double edge = (radius + HALF_EDGE - distance) * steepness;
        if (edge >= 1) {
            return 1;
        }
        if (edge <= 0) {
            return 0;
        }
        double part = part(edge);
        // A line thinner than a pixel covers no more than it is wide.
        return part > 2 * radius ? 2 * radius : part;
    }
}
