package dobbin.register;

import dobbin.raster.Bounds;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.util.List;

/** The box that remains when the ragged edges of lined-up stills are cut away. */
public final class CommonBox {
    private static final int OPAQUE = 255;

    private CommonBox() {}

    /** @return the largest box in which every picture is opaque; all of it where there is none. All are of one size */
    public static Bounds of(List<Raster> pictures) {
        Size size = pictures.get(0).size();
        boolean[] covered = new boolean[Math.toIntExact(size.area())];
        for (int i = 0; i < covered.length; i++) {
            covered[i] = true;
            for (Raster picture : pictures) {
                covered[i] &= picture.argb()[i] >>> 24 == OPAQUE;
            }
        }
        return of(covered, size);
    }

    /**
     * @param covered for each pixel, row by row, whether every picture covers it
     * @return the largest box of covered pixels; all of it where there is none
     */
    public static Bounds of(boolean[] covered, Size size) {
        Bounds largest = largest(covered, size);
        return largest.isEmpty() ? Bounds.all(size) : largest;
    }

    /** For each row, the largest box that stands on it, by how high each column is covered above it. */
    private static Bounds largest(boolean[] covered, Size size) {
        int[] heights = new int[size.width() + 1];
        int[] open = new int[size.width() + 1];
        Bounds best = new Bounds(0, 0, 0, 0);
        long most = 0;
        for (int y = 0; y < size.height(); y++) {
            int count = 0;
            for (int x = 0; x <= size.width(); x++) {
                heights[x] = x < size.width() && covered[y * size.width() + x] ? heights[x] + 1 : 0;
                while (count > 0 && heights[open[count - 1]] >= heights[x]) {
                    int height = heights[open[--count]];
                    int left = count == 0 ? 0 : open[count - 1] + 1;
                    long area = (long) height * (x - left);
                    if (area > most) {
                        most = area;
                        best = new Bounds(left, y + 1 - height, x, y + 1);
                    }
                }
                open[count++] = x;
            }
        }
        return best;
    }
}
