package dobbin.register;

import dobbin.raster.Affine;
import dobbin.raster.Homography;
import dobbin.raster.Size;

/**
 * How a still lies on the one it is lined up to.
 *
 * @param onOther from the still's pixels to those of the other one, both counted from their middles
 * @param sure 0 to 1: how well edges meet edges
 * @param found whether it was found at all; else it is left as it was
 */
public record Registration(Homography onOther, double sure, boolean found) {
    static Registration asItWas(double sure) {
        return new Registration(Homography.NONE, sure, false);
    }

    /** @return how far its middle lies to the right of the other's, in pixels of the other one */
    public double dx() {
        return onOther.dx();
    }

    /** @return how far its middle lies below the other's, in pixels of the other one */
    public double dy() {
        return onOther.dy();
    }

    /** @return how its middle is turned, clockwise */
    public double turnDegrees() {
        Affine near = onOther.near(0, 0);
        return Math.toDegrees(Math.atan2(near.yx(), near.xx()));
    }

    /** @return how large its middle appears there */
    public double scale() {
        return Math.sqrt(onOther.near(0, 0).determinant());
    }

    /**
     * @param still the size of the still
     * @param other the size of the one it is lined up to
     * @return where its pixels go on the other one
     */
    public Homography place(Size still, Size other) {
        return Homography.of(Affine.shift(-still.width() / 2.0, -still.height() / 2.0))
                .then(onOther)
                .then(Affine.shift(other.width() / 2.0, other.height() / 2.0));
    }
}
