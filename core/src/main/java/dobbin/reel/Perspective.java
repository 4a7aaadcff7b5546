package dobbin.reel;

import dobbin.raster.Affine;
import dobbin.raster.Homography;
import dobbin.raster.Size;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;

/**
 * How a still that shows something flat from the side is drawn as if seen from elsewhere.
 *
 * @param across how much smaller its right edge becomes than its middle, and its left edge larger; 0 for alike
 * @param down the same for its lower edge and its upper one
 * @param stretch how much wider it becomes for its height; 1 for as it is
 * @param lean how far it leans to the left, as a share of its height; 0 for upright
 */
public record Perspective(
        @Min(-1) @Max(1) double across,
        @Min(-1) @Max(1) double down,
        @Min(0) @Max(2) double stretch,
        @Min(-1) @Max(1) double lean) {
    public static final Perspective NONE = new Perspective(0, 0, 1, 0);

    /** Both edges must stay before the camera. */
    private static final double MOST = 0.45;

    private static final double LEAST_STRETCH = 0.5;

    public Perspective {
        Ranges.checkAmount("across", across, -MOST, MOST);
        Ranges.checkAmount("down", down, -MOST, MOST);
        Ranges.checkAmount("stretch", stretch, LEAST_STRETCH, 2);
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
