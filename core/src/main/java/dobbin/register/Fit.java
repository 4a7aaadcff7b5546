package dobbin.register;

import java.util.Arrays;

/**
 * Improves a warp step by step until the lightness of two planes agrees best in an area (B. Lucas and T. Kanade, 1981; S. Baker and I.
 * Matthews, "Lucas-Kanade 20 years on", 2004). One still may be lighter, or of more contrast. What differs by far more than
 * the rest, as something that moved, counts for nothing (A. Beaton and J. Tukey's biweight, 1974).
 */
final class Fit {
    private static final int UNKNOWNS = 6;
    private static final int MOST_STEPS = 20;
    private static final double NEAR_ENOUGH = 0.003;
    private static final double BIWEIGHT = 4.685;
    private static final double OF_MEDIAN = 1.4826;
    private static final double LEAST_SPREAD = 0.003;
    private static final double NARROWER = 0.6;
    private static final int BINS = 1024;

    private final Plane other;
    private final Plane still;
    private final int fromX;
    private final int toX;
    private final int fromY;
    private final int toY;
    private final Plane across;
    private final Plane down;

    private Warp warp;
    private double gain = 1;
    private double offset;

    private Fit(Plane other, Area area, Plane still, Warp warp) {
        this.other = other;
        this.fromX = Math.max(1, area.fromX(other.width()));
        this.toX = Math.min(other.width() - 1, area.toX(other.width()));
        this.fromY = Math.max(1, area.fromY(other.height()));
        this.toY = Math.min(other.height() - 1, area.toY(other.height()));
        this.still = still;
        this.across = still.risesAcross();
        this.down = still.risesDown();
        this.warp = warp;
    }

    /** @param firstSpread up to which difference, about, pixels count in the first steps */
    static Warp improved(Plane other, Area area, Plane still, Warp warp, double firstSpread) {
        Fit fit = new Fit(other, area, still, warp);
        // Edges that do not meet yet must count, so that they pull; what still differs in the end must not.
        double first = firstSpread;
        for (int step = 0; step < MOST_STEPS; step++) {
            double spread = fit.spread();
            double moved = fit.step(BIWEIGHT * Math.max(spread, first));
            if (moved < NEAR_ENOUGH && spread >= first) {
                break;
            }
            first *= NARROWER;
        }
        return fit.warp;
    }

    /** @return the usual difference: from its median, so that a few large ones do not count */
    private double spread() {
        int[] counts = new int[BINS + 1];
        int count = 0;
        for (int y = fromY; y < toY; y++) {
            for (int x = fromX; x < toX; x++) {
                double difference = difference(x, y);
                if (!Double.isNaN(difference)) {
                    counts[(int) Math.min(BINS, Math.abs(difference) * BINS)]++;
                    count++;
                }
            }
        }
        int below = 0;
        int bin = 0;
        while (bin < BINS && below + counts[bin] < count / 2) {
            below += counts[bin++];
        }
        return Math.max(LEAST_SPREAD, OF_MEDIAN * (bin + 0.5) / BINS);
    }

    private double difference(int x, int y) {
        double fromMiddleX = x + 0.5 - other.width() / 2.0;
        double fromMiddleY = y + 0.5 - other.height() / 2.0;
        double u = warp.x(fromMiddleX, fromMiddleY) + still.width() / 2.0 - 0.5;
        double v = warp.y(fromMiddleX, fromMiddleY) + still.height() / 2.0 - 0.5;
        return still.isInside(u, v) ? gain * still.between(u, v) + offset - other.at(x, y) : Double.NaN;
    }

    /** One Gauss-Newton step. @return how far a corner moved, in pixels */
    private double step(double most) {
        double[][] sums = new double[UNKNOWNS][UNKNOWNS + 1];
        double[] slope = new double[UNKNOWNS];
        for (int y = fromY; y < toY; y++) {
            for (int x = fromX; x < toX; x++) {
                double px = x + 0.5 - other.width() / 2.0;
                double py = y + 0.5 - other.height() / 2.0;
                double u = warp.x(px, py) + still.width() / 2.0 - 0.5;
                double v = warp.y(px, py) + still.height() / 2.0 - 0.5;
                if (!still.isInside(u, v)) {
                    continue;
                }
                double value = still.between(u, v);
                double difference = gain * value + offset - other.at(x, y);
                double share = difference / most;
                if (share <= -1 || share >= 1) {
                    continue;
                }
                double weight = (1 - share * share) * (1 - share * share);
                double gx = gain * across.between(u, v);
                double gy = gain * down.between(u, v);
                slope[0] = gx * px + gy * py;
                slope[1] = gy * px - gx * py;
                slope[2] = gx;
                slope[3] = gy;
                slope[4] = value;
                slope[5] = 1;
                for (int i = 0; i < UNKNOWNS; i++) {
                    double weighted = weight * slope[i];
                    for (int j = i; j < UNKNOWNS; j++) {
                        sums[i][j] += weighted * slope[j];
                    }
                    sums[i][UNKNOWNS] -= weighted * difference;
                }
            }
        }
        double[] change = solved(sums);
        warp = new Warp(warp.a() + change[0], warp.b() + change[1], warp.dx() + change[2], warp.dy() + change[3]);
        gain += change[4];
        offset += change[5];
        double corner = Math.hypot(other.width(), other.height()) / 2;
        return Math.hypot(change[2], change[3]) + corner * Math.hypot(change[0], change[1]);
    }

    /** Solves symmetric equations, of which the upper half is given, with the right side beside them, by elimination. */
    private static double[] solved(double[][] equations) {
        double[] solution = new double[UNKNOWNS];
        for (int i = 0; i < UNKNOWNS; i++) {
            for (int j = 0; j < i; j++) {
                equations[i][j] = equations[j][i];
            }
            equations[i][i] += 1e-9;
        }
        for (int i = 0; i < UNKNOWNS; i++) {
            int pivot = i;
            for (int row = i + 1; row < UNKNOWNS; row++) {
                pivot = Math.abs(equations[row][i]) > Math.abs(equations[pivot][i]) ? row : pivot;
            }
            double[] swapped = equations[i];
            equations[i] = equations[pivot];
            equations[pivot] = swapped;
            for (int row = i + 1; row < UNKNOWNS; row++) {
                double factor = equations[row][i] / equations[i][i];
                for (int j = i; j <= UNKNOWNS; j++) {
                    equations[row][j] -= factor * equations[i][j];
                }
            }
        }
        for (int i = UNKNOWNS - 1; i >= 0; i--) {
            double sum = equations[i][UNKNOWNS];
            for (int j = i + 1; j < UNKNOWNS; j++) {
                sum -= equations[i][j] * solution[j];
            }
            solution[i] = sum / equations[i][i];
        }
        return Arrays.stream(solution).allMatch(Double::isFinite) ? solution : new double[UNKNOWNS];
    }
}
