package dobbin.gather;

import dobbin.apng.ApngReader;
import dobbin.gif.GifFormatException;
import dobbin.gif.GifFrame;
import dobbin.gif.GifReader;
import dobbin.ora.OraReader;
import dobbin.raster.Size;
import dobbin.sheet.SheetReader;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.FileKind;
import dobbin.still.Series;
import dobbin.still.StillReader;
import dobbin.still.UnreadablePicture;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/** Opens a file of several pictures: a GIF, an animated PNG, a sheet, or an OpenRaster file. */
public final class SeriesFile {
    /** The canvas, what is laid on it, what it was before, and a copy. */
    private static final long BYTES_A_PIXEL = 16;

    private SeriesFile() {}

    /** @param head the file, or its first 64 KB */
    public static boolean isOne(byte[] head) {
        return FileKind.of(head) == FileKind.GIF
                || ApngReader.isOne(head)
                || SheetReader.isOne(head)
                || OraReader.isOne(head);
    }

    /**
     * @param flattened whether the layers of an OpenRaster file are laid over one another, so that it is one picture
     * @throws UnreadablePicture where the file is none, nothing of it can be read, or its pictures have too many pixels together
     * @throws java.util.concurrent.CancellationException from {@code checkpoint}, as reading each picture does
     */
    public static Series open(byte[] file, boolean flattened, DecodeLimits limits, Checkpoint checkpoint)
            throws UnreadablePicture {
        Series series = opened(file, flattened, limits, checkpoint);
        limits.checkPixelsInAll(series.pixels());
        return series;
    }

    private static Series opened(byte[] file, boolean flattened, DecodeLimits limits, Checkpoint checkpoint)
            throws UnreadablePicture {
        if (ApngReader.isOne(file)) {
            return ApngReader.open(file, limits, checkpoint);
        }
        if (SheetReader.isOne(file)) {
            return SheetReader.open(file, limits, checkpoint);
        }
        if (OraReader.isOne(file)) {
            return flattened
                    ? OraReader.openFlattened(file, limits, checkpoint)
                    : OraReader.open(file, limits, checkpoint);
        }
        try {
            return new Gif(GifReader.open(file, limits));
        } catch (GifFormatException e) {
            throw unreadable(e);
        }
    }

    /** @return of memory that reading it takes, about, the file not counted */
    static long bytesToRead(byte[] file, DecodeLimits limits) throws UnreadablePicture {
        if (OraReader.isOne(file)) {
            return OraReader.bytesToRead(file, limits);
        }
        if (SheetReader.isOne(file)) {
            return StillReader.head(file, limits).bytes();
        }
        if (ApngReader.isOne(file)) {
            StillReader.Head head = StillReader.head(file, limits);
            return head.bytes() + head.size().area() * BYTES_A_PIXEL;
        }
        try {
            return GifReader.sizeOf(file, limits).area() * BYTES_A_PIXEL;
        } catch (GifFormatException e) {
            throw unreadable(e);
        }
    }

    private record Gif(GifReader reader) implements Series {
        @Override
        public Size size() {
            return reader.size();
        }

        @Override
        public long pixels() {
            return reader.pixels();
        }

        @Override
        public OptionalInt plays() {
            return OptionalInt.of(reader.plays());
        }

        @Override
        public List<String> warnings() {
            return reader.warnings();
        }

        @Override
        public Optional<Shown> next() throws UnreadablePicture {
            try {
                Optional<GifFrame> frame = reader.next();
                return frame.map(each -> new Shown(each.picture(), each.delayMillis()));
            } catch (GifFormatException e) {
                throw unreadable(e);
            }
        }
    }

    private static UnreadablePicture unreadable(GifFormatException e) {
        return new UnreadablePicture("is a GIF that cannot be read: " + e.getMessage(), e);
    }
}
