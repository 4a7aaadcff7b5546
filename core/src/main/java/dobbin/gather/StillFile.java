package dobbin.gather;

import dobbin.raster.Size;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.FileKind;
import dobbin.still.ReducedPng;
import dobbin.still.StillReader;
import dobbin.still.UnreadablePicture;
import java.util.Optional;

/** A file that is one still and no more, as documents name them. */
public final class StillFile {
    private StillFile() {}

    /** @return of memory that reading the file takes, about, itself not counted */
    public static long bytesToRead(byte[] file, DecodeLimits limits) throws UnreadablePicture {
        return StillReader.head(file, limits).bytes();
    }

    /**
     * @param size that a document says it has, or had before it was reduced
     * @throws UnreadablePicture where it is no such still
     */
    public static Gathered read(byte[] file, Size size, DecodeLimits limits, Checkpoint checkpoint)
            throws UnreadablePicture {
        if (SeriesFile.isOne(file) || FileKind.of(file) == FileKind.SVG || StillReader.pages(file) != 1) {
            throw new UnreadablePicture("is not one still");
        }
        StillReader.StillPicture still = StillReader.read(file, limits, checkpoint);
        Size found = still.size();
        if (!found.equals(size) && !ReducedPng.sizeBefore(file).equals(Optional.of(size))) {
            throw new UnreadablePicture("is " + found.width() + " x " + found.height() + " pixels, not " + size.width()
                    + " x " + size.height() + " as the reel says");
        }
        return new Gathered(still.raster(), size, 0, true);
    }
}
