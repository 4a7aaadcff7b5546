package dobbin.sheet;

import dobbin.raster.Bounds;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.sheet.SheetCells.Cell;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.FileKind;
import dobbin.still.PngChunks;
import dobbin.still.PngChunks.Chunk;
import dobbin.still.Series;
import dobbin.still.StillReader;
import dobbin.still.UnreadablePicture;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/** Reads a sheet that says where its frames lie, as Dobbin writes it, frame by frame. */
public final class SheetReader implements Series {
    private static final String TEXT = SheetCells.KEYWORD + '\0';

    private final Raster sheet;
    private final SheetCells cells;
    private final int most;
    private int next;

    private SheetReader(Raster sheet, SheetCells cells, int most) {
        this.sheet = sheet;
        this.cells = cells;
        this.most = most;
    }

    /** @return whether the file, or its first part, is a PNG that says where frames lie on it */
    public static boolean isOne(byte[] head) {
        return FileKind.of(head) == FileKind.PNG && text(head).isPresent();
    }

    private static Optional<String> text(byte[] file) {
        try {
            PngChunks chunks = new PngChunks(file);
            while (chunks.hasNext()) {
                Chunk chunk = chunks.next();
                if (chunk.type().equals("IDAT")) {
                    break;
                }
                if (chunk.type().equals("tEXt") && chunk.text().startsWith(TEXT)) {
                    return Optional.of(chunk.text().substring(TEXT.length()));
                }
            }
        } catch (UnreadablePicture e) {
            // Whoever reads it as a picture says what is wrong.
        }
        return Optional.empty();
    }

    /** @throws java.util.concurrent.CancellationException from {@code checkpoint} */
    public static SheetReader open(byte[] file, DecodeLimits limits, Checkpoint checkpoint) throws UnreadablePicture {
        Raster sheet = StillReader.readWhole(file, limits, checkpoint);
        String text = text(file).orElseThrow(() -> new UnreadablePicture("is no sheet"));
        return new SheetReader(sheet, SheetCells.of(text, sheet.size()), limits.maxFrames());
    }

    @Override
    public Size size() {
        return cells.size();
    }

    @Override
    public long pixels() {
        return Math.min(most, cells.cells().size()) * cells.size().area();
    }

    @Override
    public OptionalInt plays() {
        return OptionalInt.of(cells.plays());
    }

    @Override
    public List<String> warnings() {
        int count = cells.cells().size();
        return count <= most
                ? List.of()
                : List.of("is a sheet of " + count + " frames; the first " + most + " were taken");
    }

    @Override
    public Optional<Shown> next() {
        if (next >= Math.min(most, cells.cells().size())) {
            return Optional.empty();
        }
        Cell cell = cells.cells().get(next++);
        Raster picture = sheet.cut(new Bounds(
                cell.x(),
                cell.y(),
                cell.x() + cells.size().width(),
                cell.y() + cells.size().height()));
        return Optional.of(new Shown(picture, cell.delayMillis()));
    }
}
