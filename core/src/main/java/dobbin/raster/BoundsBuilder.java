package dobbin.raster;

/** The smallest box around the pixels that are added to it one by one. */
public final class BoundsBuilder {
    private int left = Integer.MAX_VALUE;
    private int top = Integer.MAX_VALUE;
    private int right = Integer.MIN_VALUE;
    private int bottom = Integer.MIN_VALUE;

    public void add(int x, int y) {
        add(x, y, x + 1, y + 1);
    }

    /** Adds pixels from the first corner up to but not including the second. */
    public void add(int fromX, int fromY, int toX, int toY) {
        left = Math.min(left, fromX);
        top = Math.min(top, fromY);
        right = Math.max(right, toX);
        bottom = Math.max(bottom, toY);
    }

    /** @return the box; empty, at the origin, where nothing was added */
    public Bounds bounds() {
        return left < right && top < bottom ? new Bounds(left, top, right, bottom) : new Bounds(0, 0, 0, 0);
    }
}
