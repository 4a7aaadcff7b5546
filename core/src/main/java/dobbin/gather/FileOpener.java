package dobbin.gather;

import dobbin.gif.GifFormatException;
import dobbin.gif.GifFrame;
import dobbin.gif.GifReader;
import dobbin.raster.Raster;
import dobbin.raster.Resampler;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.FileKind;
import dobbin.still.StillReader;
import dobbin.still.UnreadablePicture;
import dobbin.timing.Delays;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/** Opens any file a reel can be made from, by what it holds and not by what it is called. */
public final class FileOpener {
    private static final long GIF_BYTES_A_PIXEL = 16;

    private FileOpener() {}

    /** Takes stills one at a time, so that a long animation never is in memory whole. */
    public interface Sink<E extends Exception> {
        void take(Gathered still) throws E;
    }

    /** @return of memory that opening the file takes, about, itself not counted */
    public static long bytesToOpen(byte[] file, DecodeLimits limits) throws UnreadablePicture {
        if (FileKind.of(file) != FileKind.GIF) {
            return StillReader.head(file, limits).bytes();
        }
        try {
            return GifReader.open(file, limits).size().area() * GIF_BYTES_A_PIXEL;
        } catch (GifFormatException e) {
            throw unreadable(e);
        }
    }

    /**
     * @throws UnreadablePicture where no still can be had; the sink may have been given some before
     * @throws java.util.concurrent.CancellationException from {@code checkpoint}
     * @throws E from the sink
     */
    public static <E extends Exception> Opened open(
            byte[] file, DecodeLimits limits, Checkpoint checkpoint, Sink<E> sink) throws UnreadablePicture, E {
        if (FileKind.of(file) == FileKind.GIF) {
            return openAnimation(file, limits, checkpoint, sink);
        }
        var still = StillReader.read(file, limits, checkpoint);
        sink.take(new Gathered(still.raster(), still.size(), 0));
        return new Opened(OptionalInt.empty(), List.of());
    }

    /**
     * @param head the file, or its first 64 KB
     * @return what the person who brought it should know: clauses to follow its name
     */
    public static List<String> notesOn(byte[] head, String name) {
        List<String> notes = new ArrayList<>();
        FileKind kind = FileKind.of(head);
        FileKind promised = FileKind.promisedBy(name);
        if (promised != kind && promised != FileKind.OTHER && kind != FileKind.OTHER) {
            notes.add("is a " + kind + " file by another name; it was read as that");
        }
        if (Animations.isOneOf(head)) {
            notes.add("is an animation; only its first picture was read. Save it as a GIF to bring in all");
        }
        return notes;
    }

    private static <E extends Exception> Opened openAnimation(
            byte[] file, DecodeLimits limits, Checkpoint checkpoint, Sink<E> sink) throws UnreadablePicture, E {
        try {
            GifReader reader = GifReader.open(file, limits);
            DecodeLimits.checkSides(reader.size());
            int frames = 0;
            int without = 0;
            int cut = 0;
            for (Optional<GifFrame> frame = reader.next(); frame.isPresent(); frame = reader.next()) {
                checkpoint.check();
                Raster picture = frame.get().picture();
                int millis = frame.get().delayMillis();
                without += millis < Delays.SHORTEST_MILLIS ? 1 : 0;
                cut += millis > Delays.LONGEST_MILLIS ? 1 : 0;
                frames++;
                Raster working = Resampler.resize(picture, picture.size().reducedTo(StillReader.WORKING_SIDE));
                sink.take(new Gathered(working, picture.size(), millis));
            }
            return frames == 1
                    ? new Opened(OptionalInt.empty(), reader.warnings())
                    : new Opened(OptionalInt.of(reader.plays()), notes(reader, frames, without, cut));
        } catch (GifFormatException e) {
            throw unreadable(e);
        }
    }

    private static List<String> notes(GifReader reader, int frames, int without, int cut) {
        List<String> notes = new ArrayList<>();
        if (without > 0) {
            notes.add("gives no delay to " + without + " of its " + frames + " frames; they got " + Delays.USUAL_MILLIS
                    + " ms, as browsers show them");
        }
        if (cut > 0) {
            notes.add("shows " + cut + " of its " + frames + " frames for more than " + Delays.LONGEST_MILLIS / 60_000
                    + " minutes; that is the most there can be, and they got it");
        }
        if (!reader.warnings().isEmpty()) {
            notes.add("could be read as far as " + frames + (frames == 1 ? " frame" : " frames") + ": "
                    + String.join("; ", reader.warnings()));
        }
        return notes;
    }

    private static UnreadablePicture unreadable(GifFormatException e) {
        return new UnreadablePicture("is a GIF that cannot be read: " + e.getMessage(), e);
    }
}
