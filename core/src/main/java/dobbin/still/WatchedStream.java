package dobbin.still;

import java.io.IOException;
import javax.imageio.stream.ImageInputStreamImpl;

/** A file in memory whose reader is asked again and again whether to go on. */
final class WatchedStream extends ImageInputStreamImpl {
    /** No more than this is handed out at a time: some readers do much between two questions. */
    private static final int MOST_AT_ONCE = 512;

    private final byte[] file;
    private final Checkpoint checkpoint;

    WatchedStream(byte[] file, Checkpoint checkpoint) {
        this.file = file;
        this.checkpoint = checkpoint;
    }

    @Override
    public int read() throws IOException {
        checkClosed();
        bitOffset = 0;
        return streamPos >= file.length ? -1 : file[(int) streamPos++] & 0xFF;
    }

    @Override
    public int read(byte[] into, int offset, int length) throws IOException {
        checkClosed();
        checkpoint.check();
        bitOffset = 0;
        if (streamPos >= file.length) {
            return -1;
        }
        int count = (int) Math.min(Math.min(length, MOST_AT_ONCE), file.length - streamPos);
        System.arraycopy(file, (int) streamPos, into, offset, count);
        streamPos += count;
        return count;
    }

    @Override
    public long length() {
        return file.length;
    }
}
