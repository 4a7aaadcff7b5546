package dobbin.raster;

/**
 * The eight ways a camera may lie while it stores a picture, as EXIF numbers them (tag 0x0112, 1 to 8): how the stored
 * picture must be turned and mirrored to stand upright.
 */
public enum Orientation {
    UPRIGHT(false, false, false),
    MIRRORED(false, true, false),
    HALF_TURN(false, true, true),
    MIRRORED_HALF_TURN(false, false, true),
    TRANSPOSED(true, false, false),
    QUARTER_TURN_RIGHT(true, true, false),
    TRANSVERSED(true, true, true),
    QUARTER_TURN_LEFT(true, false, true);

    private final boolean swapsAxes;
    private final boolean fromRight;
    private final boolean fromBottom;

    Orientation(boolean swapsAxes, boolean fromRight, boolean fromBottom) {
        this.swapsAxes = swapsAxes;
        this.fromRight = fromRight;
        this.fromBottom = fromBottom;
    }

    /** @param exif the tag's value; what is not 1 to 8 counts as upright, as viewers do */
    public static Orientation ofExif(int exif) {
        return exif >= 1 && exif <= 8 ? values()[exif - 1] : UPRIGHT;
    }

    /** @return {@code stored}'s size once it stands upright */
    public Size upright(Size stored) {
        return swapsAxes ? stored.turned() : stored;
    }

    /** @return {@code stored} made upright; the very same raster where nothing is to be done */
    public Raster upright(Raster stored) {
        if (this == UPRIGHT) {
            return stored;
        }
        Size size = upright(stored.size());
        int width = size.width();
        int height = size.height();
        int[] from = stored.argb();
        int[] to = new int[from.length];
        for (int y = 0; y < height; y++) {
            int alongY = fromBottom ? height - 1 - y : y;
            for (int x = 0; x < width; x++) {
                int alongX = fromRight ? width - 1 - x : x;
                to[y * width + x] = swapsAxes ? from[alongX * stored.width() + alongY] : from[alongY * width + alongX];
            }
        }
        return Raster.of(size, to);
    }
}
