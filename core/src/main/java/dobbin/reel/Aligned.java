package dobbin.reel;

import dobbin.raster.Affine;
import dobbin.raster.Homography;
import dobbin.raster.Size;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;

/**
 * How a still is moved to lie on another one, before it is fitted to the canvas.
 *
 * @param dx and {@code dy} how far its middle goes, in pixels of the still
 * @param turn about its middle, in degrees clockwise
 * @param scale about its middle
 * @param perspective how it is drawn before that
 * @param sure how well it was found to match, 0 to 1; 1 where it was moved by hand
 */
public record Aligned(
        @Min(-Ranges.MAX_SIDE) @Max(Ranges.MAX_SIDE) double dx,
        @Min(-Ranges.MAX_SIDE) @Max(Ranges.MAX_SIDE) double dy,
        @Min(-180) @Max(180) double turn,
        @DecimalMin("0.1") @DecimalMax("10") double scale,
        Perspective perspective,
        @Min(0) @Max(1) double sure) {
    public static final Aligned NONE = new Aligned(0, 0, 0, 1, 0);

    private static final double FINEST = 1e9;

    public Aligned {
        Ranges.checkAmount(Aligned.class, "dx", dx);
        Ranges.checkAmount(Aligned.class, "dy", dy);
        Ranges.checkAmount(Aligned.class, "turn", turn);
        Ranges.checkAmount(Aligned.class, "scale", scale);
        Ranges.checkAmount(Aligned.class, "sure", sure);
        if (perspective == null) {
            throw new OutOfRange("perspective", "must be given");
        }
    }

    public Aligned(double dx, double dy, double turn, double scale, double sure) {
        this(dx, dy, turn, scale, Perspective.NONE, sure);
    }

    /**
     * @param place from the still's pixels to where they go among the still's pixels
     * @throws OutOfRange where the still would hardly be seen
     */
    public static Aligned of(Homography place, Size still, double sure) {
        double middleX = still.width() / 2.0;
        double middleY = still.height() / 2.0;
        Affine near = place.near(middleX, middleY);
        double scale = Math.sqrt(Math.abs(near.determinant()));
        return new Aligned(
                near.x(middleX, middleY) - middleX,
                near.y(middleX, middleY) - middleY,
                Math.toDegrees(Math.atan2(near.yx(), near.xx())),
                scale,
                perspective(place, near, scale, still),
                sure);
    }

    private static Perspective perspective(Homography place, Affine near, double scale, Size still) {
        double middleX = still.width() / 2.0;
        double middleY = still.height() / 2.0;
        Homography bent = Homography.of(Affine.shift(middleX, middleY))
                .then(place)
                .then(near.inverse())
                .then(Affine.shift(-middleX, -middleY))
                .normalized();
        double root = near.across() / scale;
        double lean = (near.xx() * near.xy() + near.yx() * near.yy()) / (near.across() * scale);
        return new Perspective(fine(bent.wx() * middleX), fine(bent.wy() * middleY), fine(root * root), fine(lean));
    }

    /** Rounds away what arithmetic adds to a similarity, so that it stays one. */
    private static double fine(double value) {
        return Math.round(value * FINEST) / FINEST;
    }

    /** @return whether it lies as it would without */
    public boolean none() {
        return dx == 0 && dy == 0 && turn == 0 && scale == 1 && perspective.none();
    }

    public Aligned withPerspective(Perspective newPerspective) {
        return new Aligned(dx, dy, turn, scale, newPerspective, sure);
    }

    /** @return from the still's pixels to where they go among the still's pixels */
    public Homography place(Size still) {
        double middleX = still.width() / 2.0;
        double middleY = still.height() / 2.0;
        return Homography.of(Affine.shift(-middleX, -middleY))
                .then(perspective.place(still))
                .then(Affine.scale(scale, scale))
                .then(Affine.turn(turn))
                .then(Affine.shift(middleX + dx, middleY + dy));
    }
}
