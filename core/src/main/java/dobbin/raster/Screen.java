package dobbin.raster;

import java.util.Arrays;

/** What a viewer has on the screen while it plays an animation whose frames draw a part of it each, and are disposed of. */
public final class Screen {
    private final Size size;
    private final int[] argb;
    private int[] before;
    private Bounds place = new Bounds(0, 0, 0, 0);
    private Disposal disposal = Disposal.KEEP;

    /** A transparent one. */
    public Screen(Size size) {
        this.size = size;
        this.argb = new int[Math.toIntExact(size.area())];
    }

    public Size size() {
        return size;
    }

    /**
     * Disposes of the frame before; the next one is then to be drawn on {@link #argb}.
     *
     * @param nextPlace where it draws; what reaches past the screen is cut off
     * @param afterwards what becomes of that place when this is called again
     */
    public void next(Bounds nextPlace, Disposal afterwards) {
        switch (disposal) {
            case KEEP -> {}
            case CLEAR -> clear(place);
            case PUT_BACK -> System.arraycopy(before, 0, argb, 0, argb.length);
        }
        if (afterwards == Disposal.PUT_BACK) {
            before = argb.clone();
        }
        place = nextPlace;
        disposal = afterwards;
    }

    public void clear(Bounds part) {
        Bounds seen = part.within(Bounds.all(size));
        for (int y = seen.top(); y < seen.bottom() && !seen.isEmpty(); y++) {
            Arrays.fill(argb, y * size.width() + seen.left(), y * size.width() + seen.right(), 0);
        }
    }

    /** @return the pixels themselves */
    public int[] argb() {
        return argb;
    }

    /** @return the whole screen as it is now */
    public Raster picture() {
        return Raster.of(size, argb.clone());
    }
}
