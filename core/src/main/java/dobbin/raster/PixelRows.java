package dobbin.raster;

/** A picture that is read row by row, so that it need not lie in memory as pixels. */
public interface PixelRows {
    Size size();

    /** @return whether every pixel surely has alpha 255 */
    boolean isOpaque();

    /** @param argb gets the pixels of row {@code y}, 0xAARRGGBB in sRGB with straight alpha */
    void read(int y, int[] argb);

    /** @return all of it */
    default Raster raster() {
        Size size = size();
        int[] argb = new int[Math.toIntExact(size.area())];
        int[] row = new int[size.width()];
        for (int y = 0; y < size.height(); y++) {
            read(y, row);
            System.arraycopy(row, 0, argb, y * size.width(), row.length);
        }
        return Raster.of(size, argb);
    }
}
