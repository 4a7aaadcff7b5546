package dobbin.gather;

import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.Series;
import dobbin.still.UnreadablePicture;
import java.util.Optional;

/** Opens a file of several pictures, in any of {@link SeriesFormat#ALL}. */
public final class SeriesFile {
    /** The canvas, what is laid on it, what it was before, and a copy. */
    static final long BYTES_A_PIXEL = 16;

    private SeriesFile() {}

    /** @param head the file, or its first 64 KB */
    public static boolean isOne(byte[] head) {
        return format(head).isPresent();
    }

    /**
     * @param flattened whether the layers of an OpenRaster file are laid over one another, so that it is one picture
     * @throws UnreadablePicture where the file is none, nothing of it can be read, or its pictures have too many pixels together
     * @throws java.util.concurrent.CancellationException from {@code checkpoint}, as reading each picture does
     */
    public static Series open(byte[] file, boolean flattened, DecodeLimits limits, Checkpoint checkpoint)
            throws UnreadablePicture {
        Series series = formatOf(file).open(file, flattened, limits, checkpoint);
        limits.checkPixelsInAll(series.pixels());
        return series;
    }

    /** @return how many bytes of memory reading it takes, about, the file not counted */
    static long bytesToRead(byte[] file, DecodeLimits limits) throws UnreadablePicture {
        return formatOf(file).bytesToRead(file, limits);
    }

    /** A file of no known format goes to the reader of GIFs, which says where it differs from one. */
    private static SeriesFormat formatOf(byte[] file) {
        return format(file).orElseGet(GifSeries::new);
    }

    private static Optional<SeriesFormat> format(byte[] head) {
        return SeriesFormat.ALL.stream().filter(each -> each.isOne(head)).findFirst();
    }
}
