package dobbin.reel;

import dobbin.raster.Affine;
import dobbin.raster.Homography;
import dobbin.raster.Size;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;

/**
 * How a still that shows something flat from the side is drawn as if seen from elsewhere.
 *
 * @param across how much smaller its right edge becomes than its middle, and its left edge larger; 0 for alike. Both
 *     edges must stay before the camera
 * @param down the same for its lower edge and its upper one
 * @param stretch how much wider it becomes for its height; 1 for as it is
 * @param lean how far it leans to the left, as a share of its height; 0 for upright
 */
public record Perspective(
        @DecimalMin("-0.45") @DecimalMax("0.45") double across,
        @DecimalMin("-0.45") @DecimalMax("0.45") double down,
        @DecimalMin("0.5") @DecimalMax("2") double stretch,
        @Min(-1) @Max(1) double lean) {
    public static final Perspective NONE = new Perspective(0, 0, 1, 0);

    public Perspective {
        Ranges.checkAmount(Perspective.class, "across", across);
        Ranges.checkAmount(Perspective.class, "down", down);
        Ranges.checkAmount(Perspective.class, "stretch", stretch);
        Ranges.checkAmount(Perspective.class, "lean", lean);
    }

    public boolean none() {
        return equals(NONE);
    }

    /** @return from the still's pixels to where they go, both counted from its middle */
    Homography place(Size still) {
        double root = Math.sqrt(stretch);
        return Homography.keystone(2 * across / still.width(), 2 * down / still.height())
                .then(new Affine(root, lean, 0, 1 / root, 0, 0));
    }
}
