package dobbin.gather;

import dobbin.sheet.SheetReader;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.Series;
import dobbin.still.StillReader;
import dobbin.still.UnreadablePicture;

final class SheetSeries implements SeriesFormat {
    @Override
    public boolean isOne(byte[] head) {
        return SheetReader.isOne(head);
    }

    @Override
    public long bytesToRead(byte[] file, DecodeLimits limits) throws UnreadablePicture {
        return StillReader.head(file, limits).bytes();
    }

    @Override
    public Series open(byte[] file, boolean flattened, DecodeLimits limits, Checkpoint checkpoint)
            throws UnreadablePicture {
        return SheetReader.open(file, limits, checkpoint);
    }
}
