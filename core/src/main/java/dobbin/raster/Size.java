package dobbin.raster;

/** Dimensions in whole pixels, each at least 1. */
public record Size(int width, int height) {
    public Size {
        if (width < 1 || height < 1) {
            throw new IllegalArgumentException("A size is at least 1 x 1, not " + width + " x " + height);
        }
    }

    /** @return width times height, which may pass the range of an int */
    public long area() {
        return (long) width * height;
    }

    /** @return the largest size with this ratio inside {@code frame}, at least 1 x 1; may be larger than this */
    public Size fittedInside(Size frame) {
        return (long) width * frame.height >= (long) height * frame.width
                ? withWidth(frame.width)
                : new Size(scaled(width, frame.height, height), frame.height);
    }

    /** @return this size, or the largest of this ratio whose longer side is {@code longSide} */
    public Size reducedTo(int longSide) {
        return Math.max(width, height) <= longSide ? this : fittedInside(new Size(longSide, longSide));
    }

    /** @return the size of this ratio that is {@code newWidth} wide, its height rounded */
    public Size withWidth(int newWidth) {
        return new Size(newWidth, scaled(height, newWidth, width));
    }

    /** @return the size of this ratio that is {@code newHeight} high, its width rounded */
    public Size withHeight(int newHeight) {
        return new Size(scaled(width, newHeight, height), newHeight);
    }

    /** @return width and height swapped, as after a quarter turn */
    public Size turned() {
        return new Size(height, width);
    }

    @Override
    public String toString() {
        return width + " × " + height;
    }

    private static int scaled(int value, int numerator, int denominator) {
        return (int) Math.max(1, Math.round((double) value * numerator / denominator));
    }
}
