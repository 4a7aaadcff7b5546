package dobbin.form;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.sheet.SheetCells;
import dobbin.still.PngParts;
import dobbin.still.PngRows;
import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.zip.Deflater;

/**
 * One PNG with all frames side by side, and a JSON file with the box and the time of each. The picture says so as well, in a
 * text of its own, so that it can be brought in as frames again.
 */
final class SheetForm {
    static final String PICTURE = ".sheet.png";
    static final String CELLS = ".sheet.json";

    /**
     * The file beside the sheet.
     *
     * @param image the name of the sheet
     * @param plays how often the loop plays in all, 0 for forever
     */
    record Described(String image, int width, int height, int plays, List<DescribedCell> cells) {}

    record DescribedCell(int x, int y, int width, int height, int delayMillis) {}

    private SheetForm() {}

    static void write(Material material, Form.Files files) throws IOException {
        DrawnLoop loop = material.loop();
        SheetPlan plan = material.sheet();
        Size sheet = plan.sheet(loop.count(), loop.size());
        writePicture(loop, plan, sheet, files.next(PICTURE));
        files.next(CELLS).write(material.json().of(described(material, sheet)));
    }

    /** A row of cells is in memory at a time. */
    private static void writePicture(DrawnLoop loop, SheetPlan plan, Size sheet, OutputStream out) throws IOException {
        int count = loop.count();
        Size cell = loop.size();
        PngParts parts = new PngParts(out);
        parts.begin(sheet, true);
        parts.text(SheetCells.KEYWORD, cells(loop, plan).text());
        try (OutputStream data = parts.data();
                PngRows rows = new PngRows(sheet.width(), true, Deflater.DEFAULT_COMPRESSION, data)) {
            int[] bare = new int[sheet.width()];
            writeBare(plan.padding(), bare, rows);
            int columns = plan.columnsFor(count);
            for (int first = 0; first < count; first += columns) {
                List<Raster> side = new ArrayList<>();
                for (int place = first; place < Math.min(count, first + columns); place++) {
                    side.add(loop.picture(place));
                }
                int[] row = new int[sheet.width()];
                for (int y = 0; y < cell.height(); y++) {
                    for (int i = 0; i < side.size(); i++) {
                        System.arraycopy(
                                side.get(i).argb(), y * cell.width(), row, plan.x(i, count, cell), cell.width());
                    }
                    rows.write(row, 0);
                }
                writeBare(plan.padding(), bare, rows);
            }
            rows.finish();
        }
        parts.end();
    }

    private static void writeBare(int count, int[] bare, PngRows rows) throws IOException {
        for (int y = 0; y < count; y++) {
            rows.write(bare, 0);
        }
    }

    private static SheetCells cells(DrawnLoop loop, SheetPlan plan) {
        return new SheetCells(
                loop.plays(),
                loop.size(),
                IntStream.range(0, loop.count())
                        .mapToObj(place -> new SheetCells.Cell(
                                plan.x(place, loop.count(), loop.size()),
                                plan.y(place, loop.count(), loop.size()),
                                loop.delayMillis(place)))
                        .toList());
    }

    private static Described described(Material material, Size sheet) {
        SheetCells cells = cells(material.loop(), material.sheet());
        return new Described(
                material.name() + PICTURE,
                sheet.width(),
                sheet.height(),
                cells.plays(),
                cells.cells().stream()
                        .map(cell -> new DescribedCell(
                                cell.x(),
                                cell.y(),
                                cells.size().width(),
                                cells.size().height(),
                                cell.delayMillis()))
                        .toList());
    }
}
