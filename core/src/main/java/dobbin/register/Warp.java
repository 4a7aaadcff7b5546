package dobbin.register;

/**
 * Where the other still's pixels are found on a still, both counted from their middles: (x, y) at (a·x − b·y + dx,
 * b·x + a·y + dy). So it is turned and scaled alike everywhere.
 */
record Warp(double a, double b, double dx, double dy) {
    /** @param turnDegrees and {@code scale} from the other still to this one */
    static Warp of(double turnDegrees, double scale, double dx, double dy) {
        double turn = Math.toRadians(turnDegrees);
        return new Warp(scale * Math.cos(turn), scale * Math.sin(turn), dx, dy);
    }

    double x(double x, double y) {
        return a * x - b * y + dx;
    }

    double y(double x, double y) {
        return b * x + a * y + dy;
    }

    /** @return the same on planes twice as large */
    Warp doubled() {
        return new Warp(a, b, 2 * dx, 2 * dy);
    }

    /** @return the same on planes half as large */
    Warp halved() {
        return new Warp(a, b, dx / 2, dy / 2);
    }

    /** @return how the still lies on the other one; {@code pixels} of that are one of these */
    Alignment alignment(double pixels, double sure) {
        double squared = a * a + b * b;
        double x = -(a * dx + b * dy) / squared;
        double y = -(a * dy - b * dx) / squared;
        return new Alignment(
                pixels * x, pixels * y, -Math.toDegrees(Math.atan2(b, a)), 1 / Math.sqrt(squared), sure, true);
    }
}
