package dobbin.raster;

/** Scales pictures without mixing pixels: each becomes the one at its middle. */
public final class HardPixels {
    private HardPixels() {}

    /** @param part of {@code source}, not empty */
    public static Raster resize(Raster source, Bounds part, Size size) {
        return resize(source, part, size, Bounds.all(size));
    }

    /** @param seen the only part that is made of the picture at that size */
    public static Raster resize(Raster source, Bounds part, Size size, Bounds seen) {
        int[] columns = new int[seen.width()];
        for (int x = 0; x < columns.length; x++) {
            columns[x] = part.left() + middle(seen.left() + x, size.width(), part.width());
        }
        int[] argb = new int[Math.toIntExact(seen.size().area())];
        for (int y = 0; y < seen.height(); y++) {
            int row = (part.top() + middle(seen.top() + y, size.height(), part.height())) * source.width();
            for (int x = 0; x < columns.length; x++) {
                argb[y * columns.length + x] = source.argb()[row + columns[x]];
            }
        }
        return Raster.of(seen.size(), argb);
    }

    private static int middle(int at, int length, int sourceLength) {
        return (int) ((2L * at + 1) * sourceLength / (2L * length));
    }
}
