package dobbin.raster;

/** Whole pixels from {@code left} up to but not including {@code right}, and likewise down. May be empty. */
public record Bounds(int left, int top, int right, int bottom) {
    public static Bounds all(Size size) {
        return new Bounds(0, 0, size.width(), size.height());
    }

    /** @return the pixels that {@code region} touches, however far away they are */
    public static Bounds around(Region region) {
        return new Bounds(
                floor(region.x()),
                floor(region.y()),
                -floor(-region.x() - region.width()),
                -floor(-region.y() - region.height()));
    }

    public boolean isEmpty() {
        return left >= right || top >= bottom;
    }

    public int width() {
        return right - left;
    }

    public int height() {
        return bottom - top;
    }

    public Size size() {
        return new Size(width(), height());
    }

    public Bounds within(Bounds other) {
        return new Bounds(
                Math.max(left, other.left),
                Math.max(top, other.top),
                Math.min(right, other.right),
                Math.min(bottom, other.bottom));
    }

    public Bounds grownBy(int margin) {
        return new Bounds(left - margin, top - margin, right + margin, bottom + margin);
    }

    /** The last bits of a product are not a pixel. */
    private static int floor(double value) {
        double whole = Math.rint(value);
        return (int) Math.max(-1e9, Math.min(1e9, Math.abs(value - whole) < 1e-6 ? whole : Math.floor(value)));
    }
}
