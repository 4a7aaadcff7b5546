package dobbin.raster;

/**
 * A placement in the plane that keeps lines straight, though not parallel, as a camera sees what is flat: (x, y) goes to
 * (xx·x + xy·y + dx, yx·x + yy·y + dy), both divided by wx·x + wy·y + w. Where that divisor is not above 0, a point lies
 * behind the camera and goes nowhere. Where {@code wx} and {@code wy} are 0, {@code w} is 1.
 *
 * <p>Source: R. Hartley and A. Zisserman, "Multiple View Geometry in Computer Vision", 2004, chapter 2.
 */
public record Homography(
        double xx, double xy, double yx, double yy, double dx, double dy, double wx, double wy, double w) {
    public static final Homography NONE = of(Affine.NONE);

    /** With a divisor of 1 at the origin. */
    public Homography(double xx, double xy, double yx, double yy, double dx, double dy, double wx, double wy) {
        this(xx, xy, yx, yy, dx, dy, wx, wy, 1);
    }

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

    /** @return this placement, and then {@code next} */
    public Homography then(Homography next) {
        return new Homography(
                next.xx * xx + next.xy * yx + next.dx * wx,
                next.xx * xy + next.xy * yy + next.dx * wy,
                next.yx * xx + next.yy * yx + next.dy * wx,
                next.yx * xy + next.yy * yy + next.dy * wy,
                next.xx * dx + next.xy * dy + next.dx * w,
                next.yx * dx + next.yy * dy + next.dy * w,
                next.wx * xx + next.wy * yx + next.w * wx,
                next.wx * xy + next.wy * yy + next.w * wy,
                next.wx * dx + next.wy * dy + next.w * w);
    }

    public Homography then(Affine next) {
        return then(of(next));
    }

    /** @throws IllegalStateException where everything falls onto a line */
    public Homography inverse() {
        if (isAffine()) {
            return of(affine().inverse());
        }
        double d = xx * (yy * w - dy * wy) - xy * (yx * w - dy * wx) + dx * (yx * wy - yy * wx);
        if (Math.abs(d) < 1e-12) {
            throw new IllegalStateException("What is flat has no inverse");
        }
        return new Homography(
                (yy * w - dy * wy) / d,
                (dx * wy - xy * w) / d,
                (dy * wx - yx * w) / d,
                (xx * w - dx * wx) / d,
                (xy * dy - dx * yy) / d,
                (dx * yx - xx * dy) / d,
                (yx * wy - yy * wx) / d,
                (xy * wx - xx * wy) / d,
                (xx * yy - xy * yx) / d);
    }

    /** @return the same placement, whose divisor is 1 at the origin; that must not lie behind the camera */
    public Homography normalized() {
        return new Homography(xx / w, xy / w, yx / w, yy / w, dx / w, dy / w, wx / w, wy / w, 1);
    }

    /** @return by what both coordinates are divided at (x, y); above 0 before the camera */
    public double divisor(double x, double y) {
        return wx * x + wy * y + w;
    }

    public double x(double x, double y) {
        return (xx * x + xy * y + dx) / divisor(x, y);
    }

    public double y(double x, double y) {
        return (yx * x + yy * y + dy) / divisor(x, y);
    }

    /** @return what is divided: this placement itself where it is affine */
    public Affine affine() {
        return new Affine(xx, xy, yx, yy, dx, dy);
    }

    /** @return the placement that sends (x, y) to the same place, and steps from there that are small to the same steps */
    public Affine near(double x, double y) {
        double divisor = divisor(x, y);
        double u = x(x, y);
        double v = y(x, y);
        double across = (xx - u * wx) / divisor;
        double skewed = (xy - u * wy) / divisor;
        double turned = (yx - v * wx) / divisor;
        double down = (yy - v * wy) / divisor;
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
