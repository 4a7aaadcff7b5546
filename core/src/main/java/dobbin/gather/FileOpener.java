package dobbin.gather;

import dobbin.gif.GifFormatException;
import dobbin.gif.GifFrame;
import dobbin.gif.GifReader;
import dobbin.raster.Resampler;
import dobbin.still.DecodeLimits;
import dobbin.still.FileKind;
import dobbin.still.StillReader;
import dobbin.still.UnreadablePicture;
import java.util.Optional;

/** Opens any file a reel can be made from, by what it holds and not by what it is called. */
public final class FileOpener {
    private FileOpener() {}

    /** Takes stills one at a time, so that a long animation never is in memory whole. */
    public interface Sink<E extends Exception> {
        void take(Gathered still) throws E;
    }

    /**
     * @throws UnreadablePicture where no still can be had; the sink may have been given some before
     * @throws E from the sink
     */
    public static <E extends Exception> void open(byte[] file, DecodeLimits limits, Sink<E> sink)
            throws UnreadablePicture, E {
        if (FileKind.of(file) == FileKind.GIF) {
            openAnimation(file, limits, sink);
        } else {
            var still = StillReader.read(file, limits);
            sink.take(new Gathered(still.raster(), still.size(), 0));
        }
    }

    /** @return what the person who brought the file should know of it, if anything: a clause to follow its name */
    public static Optional<String> noteOn(byte[] file, String name) {
        FileKind kind = FileKind.of(file);
        FileKind promised = FileKind.promisedBy(name);
        return promised == kind || promised == FileKind.OTHER || kind == FileKind.OTHER
                ? Optional.empty()
                : Optional.of("is a " + kind + " file by another name; it was read as that");
    }

    private static <E extends Exception> void openAnimation(byte[] file, DecodeLimits limits, Sink<E> sink)
            throws UnreadablePicture, E {
        try {
            GifReader reader = GifReader.open(file, limits);
            for (Optional<GifFrame> frame = reader.next(); frame.isPresent(); frame = reader.next()) {
                var picture = frame.get().picture();
                var working = Resampler.resize(picture, picture.size().reducedTo(StillReader.WORKING_SIDE));
                sink.take(new Gathered(working, picture.size(), frame.get().delayMillis()));
            }
        } catch (GifFormatException e) {
            throw new UnreadablePicture("is a GIF that cannot be read: " + e.getMessage(), e);
        }
    }
}
