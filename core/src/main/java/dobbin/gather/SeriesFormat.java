package dobbin.gather;

import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.Series;
import dobbin.still.UnreadablePicture;
import java.util.List;

/** A kind of file that holds several pictures. A new one is a class and a line in {@link #ALL}. */
interface SeriesFormat {
    /** The first that says a file is its own reads it: a sheet is also a PNG. */
    List<SeriesFormat> ALL = List.of(new ApngSeries(), new SheetSeries(), new OraSeries(), new GifSeries());

    /** @param head the file, or its first 64 KB */
    boolean isOne(byte[] head);

    /** @return how many bytes of memory reading it takes, about, the file not counted */
    long bytesToRead(byte[] file, DecodeLimits limits) throws UnreadablePicture;

    /**
     * @param flattened whether its layers, if it has some, are laid over one another, so that it is one picture
     * @throws UnreadablePicture where nothing of it can be read
     */
    Series open(byte[] file, boolean flattened, DecodeLimits limits, Checkpoint checkpoint) throws UnreadablePicture;
}
