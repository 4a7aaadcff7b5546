package dobbin.reel;

import dobbin.raster.Affine;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;

/**
 * Where and how a cut-out is seen. Numbers are kept to ten thousandths, so that shifting forth and back is nothing.
 *
 * @param x where its pivot is, in pixels of the canvas from the left, and {@code y} from the top, -100,000 to 100,000
 * @param scaleX how much wider than its own size, -1000 to 1000; less than 0 mirrors it; {@code scaleY} likewise
 * @param turn degrees clockwise, any number of rounds up to 100
 * @param opacity 0 to 1
 * @param shown which share of its letters is seen, 0 to 1
 * @param walk how many letters its colors have walked, -10,000 to 10,000
 */
public record Pose(
        @Min(-100_000) @Max(100_000) double x,
        @Min(-100_000) @Max(100_000) double y,
        @Min(-1000) @Max(1000) double scaleX,
        @Min(-1000) @Max(1000) double scaleY,
        @Min(-36_000) @Max(36_000) double turn,
        @Min(0) @Max(1) double opacity,
        @Min(0) @Max(1) double shown,
        @Min(-10_000) @Max(10_000) double walk) {
    /** How many parts of one its numbers tell apart. */
    public static final double FINEST = 1e4;

    public Pose {
        x = kept("x", x);
        y = kept("y", y);
        scaleX = kept("scaleX", scaleX);
        scaleY = kept("scaleY", scaleY);
        turn = kept("turn", turn);
        opacity = kept("opacity", opacity);
        shown = kept("shown", shown);
        walk = kept("walk", walk);
    }

    /** @return as it is, with its pivot at (x, y) */
    public static Pose at(double x, double y) {
        return new Pose(x, y, 1, 1, 0, 1, 1, 0);
    }

    public Pose withPlace(double newX, double newY) {
        return new Pose(newX, newY, scaleX, scaleY, turn, opacity, shown, walk);
    }

    public Pose movedBy(double dx, double dy) {
        return withPlace(x + dx, y + dy);
    }

    public Pose withScale(double across, double down) {
        return new Pose(x, y, across, down, turn, opacity, shown, walk);
    }

    public Pose withTurn(double degrees) {
        return new Pose(x, y, scaleX, scaleY, degrees, opacity, shown, walk);
    }

    public Pose withOpacity(double newOpacity) {
        return new Pose(x, y, scaleX, scaleY, turn, newOpacity, shown, walk);
    }

    public Pose withShown(double share) {
        return new Pose(x, y, scaleX, scaleY, turn, opacity, share, walk);
    }

    public Pose withWalk(double letters) {
        return new Pose(x, y, scaleX, scaleY, turn, opacity, shown, letters);
    }

    /** @param share 0 for this, 1 for {@code other}; beyond them it goes on, as far as a pose can */
    public Pose toward(Pose other, double share) {
        return new Pose(
                between(x, other.x, share),
                between(y, other.y, share),
                between(scaleX, other.scaleX, share),
                between(scaleY, other.scaleY, share),
                between(turn, other.turn, share),
                clamped(between(opacity, other.opacity, share)),
                clamped(between(shown, other.shown, share)),
                between(walk, other.walk, share));
    }

    /**
     * @return this pose changed as {@code from} would be to become {@code to}: moved, turned and faded by as much, and
     *     scaled by the same factor
     */
    public Pose changedAs(Pose from, Pose to) {
        return new Pose(
                x + to.x - from.x,
                y + to.y - from.y,
                scaled(scaleX, from.scaleX, to.scaleX),
                scaled(scaleY, from.scaleY, to.scaleY),
                turn + to.turn - from.turn,
                clamped(opacity + to.opacity - from.opacity),
                clamped(shown + to.shown - from.shown),
                walk + to.walk - from.walk);
    }

    /** @return whether nobody could see a difference */
    public boolean isNear(Pose other) {
        return near(x, other.x, 0.005)
                && near(y, other.y, 0.005)
                && near(scaleX, other.scaleX, 0.0005)
                && near(scaleY, other.scaleY, 0.0005)
                && near(turn, other.turn, 0.005)
                && near(opacity, other.opacity, 0.0005)
                && near(shown, other.shown, 0.0005)
                && near(walk, other.walk, 0.005);
    }

    /**
     * @param pivotX where the pivot is in the box of the art, and {@code pivotY}
     * @return from the box of the art to the canvas
     */
    public Affine place(double pivotX, double pivotY) {
        return Affine.shift(-pivotX, -pivotY)
                .then(Affine.scale(scaleX, scaleY))
                .then(Affine.turn(turn))
                .then(Affine.shift(x, y));
    }

    private static double between(double from, double to, double share) {
        return from + (to - from) * share;
    }

    private static double scaled(double scale, double from, double to) {
        return from == 0 ? to : from == to ? scale : scale * to / from;
    }

    private static double clamped(double share) {
        return Math.max(0, Math.min(1, share));
    }

    private static boolean near(double a, double b, double slack) {
        return Math.abs(a - b) <= slack;
    }

    private static double kept(String component, double value) {
        return Math.rint(Ranges.checkAmount(Pose.class, component, value) * FINEST) / FINEST + 0.0;
    }
}
