package dobbin.register;

import dobbin.raster.Affine;
import dobbin.raster.Homography;
import java.util.Arrays;

/**
 * Improves a warp step by step until the lightness of two planes agrees best in an area (B. Lucas and T. Kanade, 1981; S. Baker and I.
 * Matthews, "Lucas-Kanade 20 years on", 2004). One still may be lighter, or of more contrast. What differs by far more than
 * the rest, as something that moved, counts for nothing (A. Beaton and J. Tukey's biweight, 1974).
 */
final class WarpRefiner {
    /** Of a similarity: how it turns and scales, in two numbers, and its shift. */
    private static final int ALIKE = 4;

    private static final int OF_PERSPECTIVE = 8;
    private static final int MOST_STEPS = 200;
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

    private final MotionModel motion;
    /** Of the warp; then how much lighter one of them is, and of how much more contrast. */
    private final int unknowns;

    private Homography warp;
    /** The warp, but for its perspective. */
    private Affine place;

    private double gain = 1;
    private double offset;

    private WarpRefiner(Plane other, Area area, Plane still, MotionModel motion, Homography warp) {
        this.other = other;
        this.fromX = Math.max(1, area.fromX(other.width()));
        this.toX = Math.min(other.width() - 1, area.toX(other.width()));
        this.fromY = Math.max(1, area.fromY(other.height()));
        this.toY = Math.min(other.height() - 1, area.toY(other.height()));
        this.still = still;
        this.across = still.risesAcross();
        this.down = still.risesDown();
        this.motion = motion;
        this.unknowns = (motion == MotionModel.SIMILARITY ? ALIKE : OF_PERSPECTIVE) + 2;
        this.warp = warp;
        this.place = warp.affine();
    }

    /** @param firstSpread up to which difference, about, pixels count in the first steps */
    static Homography improved(
            Plane other, Area area, Plane still, MotionModel motion, Homography warp, double firstSpread) {
        WarpRefiner fit = new WarpRefiner(other, area, still, motion, warp);
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
        double near = nearness(fromMiddleX, fromMiddleY);
        double u = near * place.x(fromMiddleX, fromMiddleY) + still.width() / 2.0 - 0.5;
        double v = near * place.y(fromMiddleX, fromMiddleY) + still.height() / 2.0 - 0.5;
        return still.isInside(u, v) ? gain * still.between(u, v) + offset - other.at(x, y) : Double.NaN;
    }

    /** How much larger than in the middle things are at (x, y). A similarity has no perspective, and a division is felt. */
    private double nearness(double x, double y) {
        return motion == MotionModel.SIMILARITY ? 1 : 1 / warp.divisor(x, y);
    }

    /** One Gauss-Newton step. @return how far a corner moved, in pixels */
    private double step(double most) {
        double[][] sums = new double[unknowns][unknowns + 1];
        double[] slope = new double[unknowns];
        for (int y = fromY; y < toY; y++) {
            for (int x = fromX; x < toX; x++) {
                double px = x + 0.5 - other.width() / 2.0;
                double py = y + 0.5 - other.height() / 2.0;
                double near = nearness(px, py);
                double onX = near * place.x(px, py);
                double onY = near * place.y(px, py);
                double u = onX + still.width() / 2.0 - 0.5;
                double v = onY + still.height() / 2.0 - 0.5;
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
                if (motion == MotionModel.SIMILARITY) {
                    slope[0] = gx * px + gy * py;
                    slope[1] = gy * px - gx * py;
                    slope[2] = gx;
                    slope[3] = gy;
                } else {
                    double toward = -(gx * onX + gy * onY) * near;
                    slope[0] = gx * px * near;
                    slope[1] = gx * py * near;
                    slope[2] = gy * px * near;
                    slope[3] = gy * py * near;
                    slope[4] = gx * near;
                    slope[5] = gy * near;
                    slope[6] = toward * px;
                    slope[7] = toward * py;
                }
                slope[unknowns - 2] = value;
                slope[unknowns - 1] = 1;
                for (int i = 0; i < unknowns; i++) {
                    double weighted = weight * slope[i];
                    for (int j = i; j < unknowns; j++) {
                        sums[i][j] += weighted * slope[j];
                    }
                    sums[i][unknowns] -= weighted * difference;
                }
            }
        }
        double[] change = solved(sums);
        Homography before = warp;
        warp = changed(change);
        place = warp.affine();
        gain += change[unknowns - 2];
        offset += change[unknowns - 1];
        return furthest(before, warp);
    }

    private Homography changed(double[] change) {
        return motion == MotionModel.SIMILARITY
                ? new Homography(
                        warp.xx() + change[0],
                        warp.xy() - change[1],
                        warp.yx() + change[1],
                        warp.yy() + change[0],
                        warp.dx() + change[2],
                        warp.dy() + change[3],
                        0,
                        0)
                : new Homography(
                        warp.xx() + change[0],
                        warp.xy() + change[1],
                        warp.yx() + change[2],
                        warp.yy() + change[3],
                        warp.dx() + change[4],
                        warp.dy() + change[5],
                        warp.wx() + change[6],
                        warp.wy() + change[7]);
    }

    /** @return how far a corner is moved by one more than by the other, at most */
    private double furthest(Homography one, Homography two) {
        double furthest = 0;
        for (int corner = 0; corner < 4; corner++) {
            double x = (corner % 2 - 0.5) * other.width();
            double y = (corner / 2 - 0.5) * other.height();
            furthest = Math.max(furthest, Math.hypot(one.x(x, y) - two.x(x, y), one.y(x, y) - two.y(x, y)));
        }
        return furthest;
    }

    /** Solves symmetric equations, of which the upper half is given, with the right side beside them, by elimination. */
    private double[] solved(double[][] equations) {
        double[] solution = new double[unknowns];
        for (int i = 0; i < unknowns; i++) {
            for (int j = 0; j < i; j++) {
                equations[i][j] = equations[j][i];
            }
            equations[i][i] += 1e-9;
        }
        for (int i = 0; i < unknowns; i++) {
            int pivot = i;
            for (int row = i + 1; row < unknowns; row++) {
                pivot = Math.abs(equations[row][i]) > Math.abs(equations[pivot][i]) ? row : pivot;
            }
            double[] swapped = equations[i];
            equations[i] = equations[pivot];
            equations[pivot] = swapped;
            for (int row = i + 1; row < unknowns; row++) {
                double factor = equations[row][i] / equations[i][i];
                for (int j = i; j <= unknowns; j++) {
                    equations[row][j] -= factor * equations[i][j];
                }
            }
        }
        for (int i = unknowns - 1; i >= 0; i--) {
            double sum = equations[i][unknowns];
            for (int j = i + 1; j < unknowns; j++) {
                sum -= equations[i][j] * solution[j];
            }
            solution[i] = sum / equations[i][i];
        }
        return Arrays.stream(solution).allMatch(Double::isFinite) ? solution : new double[unknowns];
    }
}
