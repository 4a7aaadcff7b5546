package dobbin.draw;

/**
 * A place a pen passes, in pixels of the canvas; the middle of the first pixel is at 0.5, 0.5.
 *
 * @param width of the line there, in pixels
 */
record Point(double x, double y, double width) {
    /** Fractions of a pixel are told apart to this many parts, so that a mirrored point is exact. */
    private static final double FINEST = 256;

    static Point of(double x, double y, double width) {
        return new Point(exact(x), exact(y), exact(width));
    }

    private static double exact(double value) {
        return Math.rint(value * FINEST) / FINEST;
    }

    Point across(int canvasWidth) {
        return new Point(canvasWidth - x, y, width);
    }

    Point down(int canvasHeight) {
        return new Point(x, canvasHeight - y, width);
    }
}
