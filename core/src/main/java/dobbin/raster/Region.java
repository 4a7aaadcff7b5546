package dobbin.raster;

/**
 * A part of a picture, or a place on one, in pixels and fractions of them.
 *
 * @param width and {@code height} more than 0; 0 where there is none
 */
public record Region(double x, double y, double width, double height) {
    public static Region all(Size size) {
        return new Region(0, 0, size.width(), size.height());
    }
}
