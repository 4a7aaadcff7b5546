package dobbin.raster;

import java.util.Arrays;

/**
 * A picture: {@code width * height} pixels, row by row from the top left, each 0xAARRGGBB in sRGB with straight (not
 * premultiplied) alpha.
 *
 * <p>A raster is not changed once it is made. For speed its array is shared and not copied: whoever passes one in gives
 * it away, and whoever takes {@link #argb()} only reads.
 */
public final class Raster {
    private static final int OPAQUE = 0xFF000000;

    private final Size size;
    private final int[] argb;
    private final boolean opaque;

    private Raster(Size size, int[] argb) {
        if (argb.length != size.area()) {
            throw new IllegalArgumentException(argb.length + " pixels do not fill " + size);
        }
        this.size = size;
        this.argb = argb;
        this.opaque = allOpaque(argb);
    }

    /** @param argb given away: the caller must not change it afterwards */
    public static Raster of(Size size, int[] argb) {
        return new Raster(size, argb);
    }

    /** @return a raster of one color, 0xAARRGGBB */
    public static Raster filled(Size size, int color) {
        int[] argb = new int[Math.toIntExact(size.area())];
        Arrays.fill(argb, color);
        return new Raster(size, argb);
    }

    public Size size() {
        return size;
    }

    public int width() {
        return size.width();
    }

    public int height() {
        return size.height();
    }

    /** @return the pixels themselves, to be read only */
    public int[] argb() {
        return argb;
    }

    /** @return the pixels row by row */
    public PixelRows rows() {
        return new PixelRows() {
            @Override
            public Size size() {
                return size;
            }

            @Override
            public boolean isOpaque() {
                return opaque;
            }

            @Override
            public void read(int y, int[] row) {
                System.arraycopy(argb, y * row.length, row, 0, row.length);
            }

            @Override
            public Raster raster() {
                return Raster.this;
            }
        };
    }

    public int pixel(int x, int y) {
        return argb[y * size.width() + x];
    }

    /** @param part lies within the picture and is not empty */
    public Raster cut(Bounds part) {
        int[] cut = new int[Math.toIntExact(part.size().area())];
        for (int y = 0; y < part.height(); y++) {
            System.arraycopy(argb, (part.top() + y) * width() + part.left(), cut, y * part.width(), part.width());
        }
        return new Raster(part.size(), cut);
    }

    /** @return whether every pixel has alpha 255 */
    public boolean isOpaque() {
        return opaque;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Raster that && size.equals(that.size) && Arrays.equals(argb, that.argb);
    }

    @Override
    public int hashCode() {
        return 31 * size.hashCode() + Arrays.hashCode(argb);
    }

    @Override
    public String toString() {
        return "Raster " + size;
    }

    private static boolean allOpaque(int[] argb) {
        int all = OPAQUE;
        for (int pixel : argb) {
            all &= pixel;
        }
        return all == OPAQUE;
    }
}
