package dobbin.cli;

import dobbin.edit.EditRejected;
import dobbin.plate.Centering;
import dobbin.plate.Cutter;
import dobbin.plate.Cutting;
import dobbin.plate.Grid;
import dobbin.plate.Plate;
import dobbin.raster.Bounds;
import dobbin.raster.Raster;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.StillReader;
import dobbin.still.UnreadablePicture;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** A plate to a PNG file for each of its drawings. */
@Command(
        name = "cut",
        description =
                "Cuts the drawings of one picture apart, and writes them as PNG files of one size, and plate.json.")
final class Cut implements Callable<Integer> {
    private static final Pattern ROWS_BY_COLUMNS = Pattern.compile("(\\d{1,3})[xX](\\d{1,3})");

    @Parameters(paramLabel = "PLATE", description = "the picture to read")
    private Path file;

    @Parameters(paramLabel = "FOLDER", description = "where to write; made where it is missing")
    private Path folder;

    @Option(
            names = "--grid",
            paramLabel = "ROWSxCOLUMNS",
            description = "divides the picture evenly; by itself where it lies in a grid")
    private String grid;

    @Option(names = "--pieces", description = "finds each drawing by itself; so where there is no grid")
    private boolean pieces;

    @Option(names = "--join", paramLabel = "PIXELS", description = "how far parts of one drawing may be apart (0)")
    private int join;

    @Option(
            names = "--center",
            paramLabel = "WAY",
            description = "what lies on one place in all: box, foot, weight or none (box for pieces, none in a grid)")
    private Centering center;

    @Option(names = "--tolerance", paramLabel = "PERCENT", description = "how unlike the ground a drawing must be (8)")
    private double tolerance = 100 * Plate.USUAL_TOLERANCE;

    @Option(names = "--keep-ground", description = "leaves the ground as it is instead of making it transparent")
    private boolean keepsGround;

    @Option(names = "--clear-enclosed", description = "makes ground transparent as well where a drawing encloses it")
    private boolean enclosed;

    @Option(names = "--columns-first", description = "takes drawings column by column")
    private boolean columnsFirst;

    /** Where a drawing lies on the plate, in pixels. */
    private record Part(int x, int y, int width, int height) {}

    private record Described(int width, int height, List<Part> parts) {}

    @Override
    public Integer call() throws IOException, UnreadablePicture {
        if (tolerance < 0 || tolerance > 100) {
            throw new EditRejected("--tolerance", "must be from 0 to 100");
        }
        if (join < 0 || join > 1_000) {
            throw new EditRejected("--join", "must be from 0 to 1,000");
        }
        Raster picture = StillReader.readWhole(Files.readAllBytes(file), DecodeLimits.USUAL, Checkpoint.NONE);
        Plate plate = new Plate(picture, tolerance / 100);
        Grid cells = pieces ? new Grid(1, 1, 0, 0, 0, 0) : grid == null ? plate.grid() : grid(picture);
        boolean isGrid = cells.rows() * cells.columns() > 1;
        List<Bounds> parts = isGrid ? plate.cells(cells, columnsFirst) : plate.pieces(join, columnsFirst);
        if (parts.isEmpty()) {
            throw new EditRejected("“" + file.getFileName() + "”", "shows no drawings on an even ground");
        }
        Centering how = center == null ? isGrid ? Centering.NONE : Centering.BOX : center;
        FrameFolder out = new FrameFolder(folder, "plate.json");
        for (Raster drawing :
                Cutter.cut(picture, plate.ground(), parts, new Cutting(!keepsGround, enclosed, tolerance / 100, how))) {
            out.add(drawing);
        }
        out.close(new Described(
                picture.width(),
                picture.height(),
                parts.stream()
                        .map(part -> new Part(part.left(), part.top(), part.width(), part.height()))
                        .toList()));
        return 0;
    }

    private Grid grid(Raster picture) {
        Matcher wanted = ROWS_BY_COLUMNS.matcher(grid);
        if (wanted.matches()) {
            Grid found = new Grid(Integer.parseInt(wanted.group(1)), Integer.parseInt(wanted.group(2)), 0, 0, 0, 0);
            if (found.rows() > 0 && found.columns() > 0 && found.fits(picture.size())) {
                return found;
            }
        }
        throw new EditRejected("--grid", "must be rows and columns, as 2x4, no more than the picture has pixels");
    }
}
