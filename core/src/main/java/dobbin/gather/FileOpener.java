package dobbin.gather;

import dobbin.raster.Raster;
import dobbin.raster.Resampler;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.FileKind;
import dobbin.still.Series;
import dobbin.still.StillReader;
import dobbin.still.SvgDrawing;
import dobbin.still.SvgRenderer;
import dobbin.still.UnreadablePicture;
import dobbin.timing.Delays;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/** Opens any file a reel can be made from, by what it holds and not by what it is called. */
public final class FileOpener {
    private static final int RIFF_HEADER = 12;
    private static final int WEBP_FLAGS = 20;
    private static final int WEBP_ANIMATED = 0x02;

    /** The pixels of a drawing, twice: on their way from who draws it, too. What drawing takes besides is not counted. */
    private static final long SVG_BYTES = 2L * Integer.BYTES * StillReader.WORKING_SIDE * StillReader.WORKING_SIDE;

    private FileOpener() {}

    /** Takes stills one at a time, so that a long animation never is in memory whole. */
    public interface Sink<E extends Exception> {
        void take(Gathered still) throws E;
    }

    /** @return of memory that opening the file takes, about, itself not counted */
    public static long bytesToOpen(byte[] file, DecodeLimits limits) throws UnreadablePicture {
        if (FileKind.of(file) == FileKind.SVG) {
            return SVG_BYTES;
        }
        if (SeriesFile.isOne(file)) {
            return SeriesFile.bytesToRead(file, limits);
        }
        long most = 0;
        for (int page = 0; page < pagesToTake(file, limits); page++) {
            most = Math.max(most, StillReader.head(file, page, limits).bytes());
        }
        return most;
    }

    /**
     * @throws UnreadablePicture where no still can be had; the sink may have been given some before
     * @throws java.util.concurrent.CancellationException from {@code checkpoint}
     * @throws E from the sink
     */
    public static <E extends Exception> Opened open(
            byte[] file, DecodeLimits limits, Checkpoint checkpoint, Sink<E> sink) throws UnreadablePicture, E {
        return open(file, GatherOptions.USUAL, limits, SvgDrawing::read, checkpoint, sink);
    }

    /**
     * Gives the stills of a file to {@code sink}, one after the other.
     *
     * @param choices of whoever brings the file in
     * @param svg draws it, where it is an SVG file
     */
    public static <E extends Exception> Opened open(
            byte[] file,
            GatherOptions choices,
            DecodeLimits limits,
            SvgRenderer svg,
            Checkpoint checkpoint,
            Sink<E> sink)
            throws UnreadablePicture, E {
        if (FileKind.of(file) == FileKind.SVG) {
            Raster drawn = svg.draw(file, choices.longerSide(), checkpoint);
            sink.take(new Gathered(drawn, drawn.size(), 0, false));
            return new Opened(OptionalInt.empty(), List.of());
        }
        if (SeriesFile.isOne(file)) {
            return openSeries(file, choices, limits, checkpoint, sink);
        }
        return openPages(file, limits, checkpoint, sink);
    }

    private static Gathered reduced(Raster picture, int millis) {
        Raster working = Resampler.resize(picture, picture.size().reducedTo(StillReader.WORKING_SIDE));
        return new Gathered(working, picture.size(), millis, false);
    }

    private static int pagesToTake(byte[] file, DecodeLimits limits) {
        return Math.min(StillReader.pages(file), limits.maxFrames());
    }

    /** A page that cannot be read is told when it comes. */
    private static void checkPixelsOfPages(byte[] file, DecodeLimits limits) throws UnreadablePicture {
        long pixels = 0;
        for (int page = 1; page < pagesToTake(file, limits); page++) {
            try {
                pixels += StillReader.head(file, page, limits).size().area();
            } catch (UnreadablePicture e) {
                break;
            }
        }
        limits.checkPixelsInAll(pixels);
    }

    private static <E extends Exception> Opened openPages(
            byte[] file, DecodeLimits limits, Checkpoint checkpoint, Sink<E> sink) throws UnreadablePicture, E {
        int pages = StillReader.pages(file);
        checkPixelsOfPages(file, limits);
        int taken = 0;
        String why = "";
        while (taken < pagesToTake(file, limits) && why.isEmpty()) {
            try {
                var still = StillReader.read(file, taken, limits, checkpoint);
                sink.take(new Gathered(still.raster(), still.size(), 0, pages == 1));
                taken++;
            } catch (UnreadablePicture e) {
                if (taken == 0) {
                    throw e;
                }
                why = ": the next one " + e.getMessage();
            }
        }
        String became = taken == pages ? "each became a frame" : "the first " + taken + " became frames" + why;
        return new Opened(
                OptionalInt.empty(), pages == 1 ? List.of() : List.of("holds " + pages + " pages; " + became));
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
        if (kind == FileKind.WEBP && isAnimatedWebp(head)) {
            notes.add(
                    "is an animation; only its first picture was read. Save it as a GIF or an animated PNG to bring in all");
        }
        return notes;
    }

    private static <E extends Exception> Opened openSeries(
            byte[] file, GatherOptions choices, DecodeLimits limits, Checkpoint checkpoint, Sink<E> sink)
            throws UnreadablePicture, E {
        Series series = SeriesFile.open(file, choices.flattened(), limits, checkpoint);
        DecodeLimits.checkSides(series.size());
        int frames = 0;
        int without = 0;
        int cut = 0;
        for (Optional<Series.Shown> shown = series.next(); shown.isPresent(); shown = series.next()) {
            checkpoint.check();
            int millis = shown.get().delayMillis();
            without += millis < Delays.SHORTEST_MILLIS ? 1 : 0;
            cut += millis > Delays.LONGEST_MILLIS ? 1 : 0;
            frames++;
            sink.take(reduced(shown.get().picture(), millis));
        }
        if (series.plays().isEmpty()) {
            return new Opened(series.plays(), series.notes());
        }
        return frames == 1
                ? new Opened(OptionalInt.empty(), series.warnings())
                : new Opened(series.plays(), notes(series, frames, without, cut));
    }

    /** An extended file begins with a {@code VP8X} chunk, whose flags tell (bit 1). */
    private static boolean isAnimatedWebp(byte[] file) {
        return file.length > WEBP_FLAGS
                && new String(file, RIFF_HEADER, 4, StandardCharsets.ISO_8859_1).equals("VP8X")
                && (file[WEBP_FLAGS] & WEBP_ANIMATED) != 0;
    }

    private static List<String> notes(Series series, int frames, int without, int cut) {
        List<String> notes = new ArrayList<>();
        if (without > 0) {
            notes.add("gives no delay to " + without + " of its " + frames + " frames; they got " + Delays.USUAL_MILLIS
                    + " ms, as browsers show them");
        }
        if (cut > 0) {
            notes.add("shows " + cut + " of its " + frames + " frames for more than " + Delays.LONGEST_MILLIS / 60_000
                    + " minutes; that is the most there can be, and they got it");
        }
        if (!series.warnings().isEmpty()) {
            notes.add("could be read as far as " + frames + (frames == 1 ? " frame" : " frames") + ": "
                    + String.join("; ", series.warnings()));
        }
        return notes;
    }
}
