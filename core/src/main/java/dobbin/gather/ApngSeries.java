package dobbin.gather;

import dobbin.apng.ApngReader;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.Series;
import dobbin.still.StillReader;
import dobbin.still.UnreadablePicture;

final class ApngSeries implements SeriesFormat {
    @Override
    public boolean isOne(byte[] head) {
        return ApngReader.isOne(head);
    }

    @Override
    public long bytesToRead(byte[] file, DecodeLimits limits) throws UnreadablePicture {
        StillReader.Head head = StillReader.head(file, limits);
        return head.bytes() + head.size().area() * SeriesFile.BYTES_A_PIXEL;
    }

    @Override
    public Series open(byte[] file, boolean flattened, DecodeLimits limits, Checkpoint checkpoint)
            throws UnreadablePicture {
        return ApngReader.open(file, limits, checkpoint);
    }
}
