package dobbin.gather;

import dobbin.gif.GifFormatException;
import dobbin.gif.GifFrame;
import dobbin.gif.GifReader;
import dobbin.raster.Size;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.FileKind;
import dobbin.still.Series;
import dobbin.still.UnreadablePicture;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

final class GifSeries implements SeriesFormat {
    @Override
    public boolean isOne(byte[] head) {
        return FileKind.of(head) == FileKind.GIF;
    }

    @Override
    public long bytesToRead(byte[] file, DecodeLimits limits) throws UnreadablePicture {
        try {
            return GifReader.sizeOf(file, limits).area() * SeriesFile.BYTES_A_PIXEL;
        } catch (GifFormatException e) {
            throw unreadable(e);
        }
    }

    @Override
    public Series open(byte[] file, boolean flattened, DecodeLimits limits, Checkpoint checkpoint)
            throws UnreadablePicture {
        try {
            return new Frames(GifReader.open(file, limits));
        } catch (GifFormatException e) {
            throw unreadable(e);
        }
    }

    private record Frames(GifReader reader) implements Series {
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
