package dobbin.reel;

import dobbin.raster.Affine;
import dobbin.raster.Size;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;

/**
 * How a still is moved to lie on another one, before it is fitted to the canvas.
 *
 * @param dx and {@code dy} how far its middle goes, in pixels of the still
 * @param turn about its middle, in degrees clockwise
 * @param scale about its middle
 * @param sure how well it was found to match, 0 to 1; 1 where it was moved by hand
 */
public record Aligned(
        @Min(-Ranges.MAX_SIDE) @Max(Ranges.MAX_SIDE) double dx,
        @Min(-Ranges.MAX_SIDE) @Max(Ranges.MAX_SIDE) double dy,
        @Min(-180) @Max(180) double turn,
        @Min(0) @Max(10) double scale,
        @Min(0) @Max(1) double sure) {
    public static final Aligned NONE = new Aligned(0, 0, 0, 1, 0);

    private static final double SMALLEST = 0.1;

    public Aligned {
        Ranges.checkAmount(Aligned.class, "dx", dx);
        Ranges.checkAmount(Aligned.class, "dy", dy);
        Ranges.checkAmount(Aligned.class, "turn", turn);
        Ranges.checkAmount("scale", scale, SMALLEST, 10);
        Ranges.checkAmount(Aligned.class, "sure", sure);
    }

    /** @param place from the still's pixels to where they go among the still's pixels: turned and scaled alike everywhere */
    public static Aligned of(Affine place, Size still, double sure) {
        double middleX = still.width() / 2.0;
        double middleY = still.height() / 2.0;
        return new Aligned(
                place.x(middleX, middleY) - middleX,
                place.y(middleX, middleY) - middleY,
                Math.toDegrees(Math.atan2(place.yx(), place.xx())),
                place.across(),
                sure);
    }

    /** @return whether it lies as it would without */
    public boolean none() {
        return dx == 0 && dy == 0 && turn == 0 && scale == 1;
    }

    /** @return from the still's pixels to where they go among the still's pixels */
    public Affine place(Size still) {
        double middleX = still.width() / 2.0;
        double middleY = still.height() / 2.0;
        return Affine.shift(-middleX, -middleY)
                .then(Affine.scale(scale, scale))
                .then(Affine.turn(turn))
                .then(Affine.shift(middleX + dx, middleY + dy));
    }
}
