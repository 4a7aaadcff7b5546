package dobbin.raster;

/** Scales pictures without mixing pixels: each becomes the one at its middle. */
public final class HardPixels {
    private HardPixels() {}

    /** @param part of {@code source}, not empty */
    public static Raster resize(Raster source, Bounds part, Size size) {
        int[] columns = new int[size.width()];
        for (int x = 0; x < columns.length; x++) {
            columns[x] = part.left() + middle(x, size.width(), part.width());
        }
        int[] argb = new int[Math.toIntExact(size.area())];
        for (int y = 0; y < size.height(); y++) {
            int row = (part.top() + middle(y, size.height(), part.height())) * source.width();
            for (int x = 0; x < columns.length; x++) {
                argb[y * columns.length + x] = source.argb()[row + columns[x]];
            }
        }
        return Raster.of(size, argb);
    }

    private static int middle(int at, int length, int sourceLength) {
        return (int) ((2L * at + 1) * sourceLength / (2L * length));
    }
}
