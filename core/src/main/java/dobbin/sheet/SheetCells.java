package dobbin.sheet;

import dobbin.raster.Size;
import dobbin.still.UnreadablePicture;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Where the frames of a loop lie on its sheet, in the order in which they play.
 *
 * @param plays how often the loop plays in all, 0 for forever
 * @param size of each of them
 */
public record SheetCells(int plays, Size size, List<Cell> cells) {
    /** Under which a sheet says it of itself. */
    public static final String KEYWORD = "Cells";

    private static final String SEPARATOR = " ";

    /** @param x and {@code y} of its upper left corner on the sheet */
    public record Cell(int x, int y, int delayMillis) {}

    /** @return three numbers a line: the plays, the width and the height; then for each cell its place and its time */
    public String text() {
        return cells.stream()
                .map(cell -> cell.x() + SEPARATOR + cell.y() + SEPARATOR + cell.delayMillis())
                .collect(Collectors.joining(
                        "\n", plays + SEPARATOR + size.width() + SEPARATOR + size.height() + "\n", "\n"));
    }

    /** @throws UnreadablePicture where the text is none, or a cell does not lie on the sheet */
    static SheetCells of(String text, Size sheet) throws UnreadablePicture {
        try {
            String[] lines = text.split("\n");
            int[] first = numbers(lines[0]);
            Size size = new Size(first[1], first[2]);
            List<Cell> cells = new ArrayList<>();
            for (int i = 1; i < lines.length; i++) {
                int[] line = numbers(lines[i]);
                boolean across = line[0] >= 0 && line[0] <= sheet.width() - size.width();
                boolean down = line[1] >= 0 && line[1] <= sheet.height() - size.height();
                if (!across || !down) {
                    throw new UnreadablePicture("says that it is a sheet, but its frame " + i + " does not lie on it");
                }
                cells.add(new Cell(line[0], line[1], line[2]));
            }
            if (cells.isEmpty() || first[0] < 0) {
                throw new UnreadablePicture("says that it is a sheet, but not where its frames lie");
            }
            return new SheetCells(first[0], size, cells);
        } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException e) {
            throw new UnreadablePicture("says that it is a sheet, but not where its frames lie", e);
        }
    }

    private static int[] numbers(String line) {
        String[] words = line.split(SEPARATOR);
        return new int[] {Integer.parseInt(words[0]), Integer.parseInt(words[1]), Integer.parseInt(words[2])};
    }
}
