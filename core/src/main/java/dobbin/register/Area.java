package dobbin.register;

/**
 * The part of a still that others are lined up by: shares of its width and height, 0 to 1.
 *
 * @param left where it begins, and {@code right} where it ends; {@code top} and {@code bottom} likewise
 */
public record Area(double left, double top, double right, double bottom) {
    public static final Area ALL = new Area(0, 0, 1, 1);

    /** Less of a side shows too little to be found again. */
    public static final double LEAST = 0.1;

    /** @throws IllegalArgumentException unless it lies on the still and is no less than a tenth of each side */
    public Area {
        boolean isWithin = left >= 0 && top >= 0 && right <= 1 && bottom <= 1;
        if (!isWithin || !(right - left >= LEAST) || !(bottom - top >= LEAST)) {
            throw new IllegalArgumentException("An area of at least a tenth of each side, on the still");
        }
    }

    /** @return the first of so many pixels */
    int fromX(int width) {
        return (int) Math.round(left * width);
    }

    int toX(int width) {
        return (int) Math.round(right * width);
    }

    int fromY(int height) {
        return (int) Math.round(top * height);
    }

    int toY(int height) {
        return (int) Math.round(bottom * height);
    }
}
