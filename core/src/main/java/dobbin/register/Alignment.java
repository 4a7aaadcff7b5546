package dobbin.register;

import dobbin.raster.Affine;
import dobbin.raster.Size;

/**
 * How a still lies on the one it is lined up to.
 *
 * @param dx and {@code dy} how far its middle lies from the other's middle, in pixels of the other one
 * @param turnDegrees clockwise
 * @param scale how large it appears there
 * @param sure 0 to 1: how well edges meet edges
 * @param found whether it was found at all; else it is left as it was
 */
public record Alignment(double dx, double dy, double turnDegrees, double scale, double sure, boolean found) {
    static Alignment asItWas(double sure) {
        return new Alignment(0, 0, 0, 1, sure, false);
    }

    /**
     * @param still the size of the still
     * @param other the size of the one it is lined up to
     * @return where its pixels go on the other one
     */
    public Affine place(Size still, Size other) {
        return Affine.shift(-still.width() / 2.0, -still.height() / 2.0)
                .then(Affine.scale(scale, scale))
                .then(Affine.turn(turnDegrees))
                .then(Affine.shift(other.width() / 2.0 + dx, other.height() / 2.0 + dy));
    }
}
