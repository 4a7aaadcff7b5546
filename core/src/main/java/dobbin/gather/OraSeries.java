package dobbin.gather;

import dobbin.ora.OraReader;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.Series;
import dobbin.still.UnreadablePicture;

final class OraSeries implements SeriesFormat {
    @Override
    public boolean isOne(byte[] head) {
        return OraReader.isOne(head);
    }

    @Override
    public long bytesToRead(byte[] file, DecodeLimits limits) throws UnreadablePicture {
        return OraReader.bytesToRead(file, limits);
    }

    @Override
    public Series open(byte[] file, boolean flattened, DecodeLimits limits, Checkpoint checkpoint)
            throws UnreadablePicture {
        return flattened ? OraReader.openFlattened(file, limits, checkpoint) : OraReader.open(file, limits, checkpoint);
    }
}
