package dobbin.plate;

import dobbin.raster.Bounds;
import dobbin.raster.Size;
import java.util.ArrayList;
import java.util.List;

/**
 * Cells of one size in rows and columns.
 *
 * @param marginX how much of the plate is left at its left and at its right, and {@code marginY} at its top and bottom
 * @param gutterX how far columns are apart, and {@code gutterY} rows, in pixels
 */
public record Grid(int rows, int columns, int marginX, int marginY, int gutterX, int gutterY) {
    /** @return the cells, row by row */
    public List<Bounds> cells(Size plate) {
        double width = cell(plate.width(), columns, marginX, gutterX);
        double height = cell(plate.height(), rows, marginY, gutterY);
        List<Bounds> cells = new ArrayList<>();
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                double left = marginX + column * (width + gutterX);
                double top = marginY + row * (height + gutterY);
                cells.add(new Bounds(round(left), round(top), round(left + width), round(top + height)));
            }
        }
        return cells;
    }

    /** @return whether every cell has at least one pixel of the plate */
    public boolean fits(Size plate) {
        return cell(plate.width(), columns, marginX, gutterX) >= 1 && cell(plate.height(), rows, marginY, gutterY) >= 1;
    }

    private static double cell(int length, int count, int margin, int gutter) {
        return (length - 2.0 * margin - (count - 1.0) * gutter) / count;
    }

    private static int round(double value) {
        return (int) Math.round(value);
    }
}
