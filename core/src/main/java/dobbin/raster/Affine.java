package dobbin.raster;

import java.awt.geom.AffineTransform;

/**
 * A placement in the plane: (x, y) goes to (xx·x + xy·y + dx, yx·x + yy·y + dy). Pixels are unit squares, so the middle
 * of the first one is at (0.5, 0.5).
 */
public record Affine(double xx, double xy, double yx, double yy, double dx, double dy) {
    public static final Affine NONE = new Affine(1, 0, 0, 1, 0, 0);

    private static final double QUARTER = 90;

    public static Affine shift(double dx, double dy) {
        return new Affine(1, 0, 0, 1, dx, dy);
    }

    public static Affine scale(double across, double down) {
        return new Affine(across, 0, 0, down, 0, 0);
    }

    /** @param degrees clockwise as seen on a screen; whole quarters are exact */
    public static Affine turn(double degrees) {
        double within = degrees % 360;
        double cos = Math.cos(Math.toRadians(within));
        double sin = Math.sin(Math.toRadians(within));
        if (within % QUARTER == 0) {
            cos = Math.rint(cos);
            sin = Math.rint(sin);
        }
        return new Affine(cos, -sin, sin, cos, 0, 0);
    }

    /** @return this placement, and then {@code next} */
    public Affine then(Affine next) {
        return new Affine(
                next.xx * xx + next.xy * yx,
                next.xx * xy + next.xy * yy,
                next.yx * xx + next.yy * yx,
                next.yx * xy + next.yy * yy,
                next.xx * dx + next.xy * dy + next.dx,
                next.yx * dx + next.yy * dy + next.dy);
    }

    /** @return whether everything falls onto a line or a point, so that nothing can be seen and there is no way back */
    public boolean isFlat() {
        return Math.abs(determinant()) < 1e-9;
    }

    /** @throws IllegalStateException where it {@link #isFlat} */
    public Affine inverse() {
        if (isFlat()) {
            throw new IllegalStateException("What is flat has no inverse");
        }
        double d = determinant();
        return new Affine(yy / d, -xy / d, -yx / d, xx / d, (xy * dy - yy * dx) / d, (yx * dx - xx * dy) / d);
    }

    public double x(double x, double y) {
        return xx * x + xy * y + dx;
    }

    public double y(double x, double y) {
        return yx * x + yy * y + dy;
    }

    /** @return how long a step of 1 across becomes */
    public double across() {
        return Math.hypot(xx, yx);
    }

    /** @return how long a step of 1 down becomes */
    public double down() {
        return Math.hypot(xy, yy);
    }

    /** @return the upright box around where {@code width} by {@code height} from the origin goes to */
    public Region around(double width, double height) {
        double left = dx + Math.min(0, xx * width) + Math.min(0, xy * height);
        double top = dy + Math.min(0, yx * width) + Math.min(0, yy * height);
        return new Region(
                left, top, Math.abs(xx * width) + Math.abs(xy * height), Math.abs(yx * width) + Math.abs(yy * height));
    }

    /** @return the same for Java2D */
    public AffineTransform toJava() {
        return new AffineTransform(xx, yx, xy, yy, dx, dy);
    }

    /** @return how many times as large areas become; negative where it mirrors */
    public double determinant() {
        return xx * yy - xy * yx;
    }
}
