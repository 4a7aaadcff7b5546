package dobbin.plate;

import dobbin.raster.Bounds;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.util.List;

/** One picture that holds many drawings on an even ground. */
public final class Plate {
    /** Usual tolerance for a plate drawn by hand. */
    public static final double USUAL_TOLERANCE = 0.08;

    private final Size size;
    private final Ground ground;
    private final boolean[] ink;

    /** @param tolerance how far a color may be from the ground's and still be ground, in Oklab; 0 to 1 */
    public Plate(Raster picture, double tolerance) {
        this.size = picture.size();
        this.ground = Ground.of(picture);
        this.ink = ground.ink(picture, tolerance);
    }

    public Ground ground() {
        return ground;
    }

    /** @return the grid the drawings seem to lie in; one cell where there is none */
    public Grid grid() {
        return GridFinder.find(ink, size);
    }

    /** @return the cells that something is drawn in, in reading order */
    public List<Bounds> cells(Grid grid, boolean columnsFirst) {
        List<Bounds> drawn = grid.cells(size).stream().filter(this::isDrawn).toList();
        return ReadingOrder.of(drawn, columnsFirst);
    }

    /**
     * @param join how far parts of one drawing may be apart, in pixels
     * @return the boxes around the drawings, in reading order
     */
    public List<Bounds> pieces(int join, boolean columnsFirst) {
        return ReadingOrder.of(PieceFinder.find(ink, size, join), columnsFirst);
    }

    private boolean isDrawn(Bounds cell) {
        for (int y = cell.top(); y < cell.bottom(); y++) {
            for (int x = cell.left(); x < cell.right(); x++) {
                if (ink[y * size.width() + x]) {
                    return true;
                }
            }
        }
        return false;
    }
}
