package dobbin.raster;

/**
 * A placement in the plane that keeps lines straight, though not parallel, as a camera sees what is flat: (x, y) goes to
 * (xx·x + xy·y + dx, yx·x + yy·y + dy), both divided by wx·x + wy·y + 1. Where that divisor is not above 0, a point lies
 * behind the camera and goes nowhere.
 *
 * <p>Source: R. Hartley and A. Zisserman, "Multiple View Geometry in Computer Vision", 2004, chapter 2.
 */
public record Homography(double xx, double xy, double yx, double yy, double dx, double dy, double wx, double wy) {
    public static final Homography NONE = of(Affine.NONE);

    public static Homography of(Affine place) {
        return new Homography(place.xx(), place.xy(), place.yx(), place.yy(), place.dx(), place.dy(), 0, 0);
    }

    /** @return what keeps the origin and what is near it, and makes larger or smaller what lies farther away */
    public static Homography keystone(double wx, double wy) {
        return new Homography(1, 0, 0, 1, 0, 0, wx, wy);
    }

    public boolean isAffine() {
        return wx == 0 && wy == 0;
    }

    /** @return this placement, and then {@code next}; the origin must not go behind the camera */
    public Homography then(Homography next) {
        double w = next.wx * dx + next.wy * dy + 1;
        return new Homography(
                (next.xx * xx + next.xy * yx + next.dx * wx) / w,
                (next.xx * xy + next.xy * yy + next.dx * wy) / w,
                (next.yx * xx + next.yy * yx + next.dy * wx) / w,
                (next.yx * xy + next.yy * yy + next.dy * wy) / w,
                (next.xx * dx + next.xy * dy + next.dx) / w,
                (next.yx * dx + next.yy * dy + next.dy) / w,
                (next.wx * xx + next.wy * yx + wx) / w,
                (next.wx * xy + next.wy * yy + wy) / w);
    }

    public Homography then(Affine next) {
        return then(of(next));
    }

    /** @throws IllegalStateException where everything falls onto a line */
    public Homography inverse() {
        if (isAffine()) {
            return of(affine().inverse());
        }
        double d = xx * yy - xy * yx;
        if (Math.abs(d) < 1e-12) {
            throw new IllegalStateException("What is flat has no inverse");
        }
        return new Homography(
                (yy - dy * wy) / d,
                (dx * wy - xy) / d,
                (dy * wx - yx) / d,
                (xx - dx * wx) / d,
                (xy * dy - dx * yy) / d,
                (dx * yx - xx * dy) / d,
                (yx * wy - yy * wx) / d,
                (xy * wx - xx * wy) / d);
    }

    /** @return by what both coordinates are divided at (x, y); above 0 before the camera */
    public double divisor(double x, double y) {
        return wx * x + wy * y + 1;
    }

    public double x(double x, double y) {
        return (xx * x + xy * y + dx) / divisor(x, y);
    }

    public double y(double x, double y) {
        return (yx * x + yy * y + dy) / divisor(x, y);
    }

    /** @return what this is without {@code wx} and {@code wy} */
    public Affine affine() {
        return new Affine(xx, xy, yx, yy, dx, dy);
    }

    /** @return the placement that sends (x, y) to the same place, and steps from there that are small to the same steps */
    public Affine near(double x, double y) {
        double w = divisor(x, y);
        double u = x(x, y);
        double v = y(x, y);
        double across = (xx - u * wx) / w;
        double skewed = (xy - u * wy) / w;
        double turned = (yx - v * wx) / w;
        double down = (yy - v * wy) / w;
        return new Affine(across, skewed, turned, down, u - across * x - skewed * y, v - turned * x - down * y);
    }

    /** @return the upright box around where {@code width} by {@code height} from the origin goes to */
    public Region around(double width, double height) {
        if (isAffine()) {
            return affine().around(width, height);
        }
        double left = Double.POSITIVE_INFINITY;
        double top = Double.POSITIVE_INFINITY;
        double right = Double.NEGATIVE_INFINITY;
        double bottom = Double.NEGATIVE_INFINITY;
        for (double x : new double[] {0, width}) {
            for (double y : new double[] {0, height}) {
                left = Math.min(left, x(x, y));
                top = Math.min(top, y(x, y));
                right = Math.max(right, x(x, y));
                bottom = Math.max(bottom, y(x, y));
            }
        }
        return new Region(left, top, right - left, bottom - top);
    }
}
