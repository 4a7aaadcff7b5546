package dobbin.gif;

import dobbin.palette.Palette;
import dobbin.raster.Size;
import java.io.Closeable;
import java.io.IOException;
import java.io.OutputStream;

/**
 * Writes an animated GIF with one palette, frame by frame, storing of each only the box that changed.
 *
 * <p>A frame is held back until the next one comes, since only then is it known whether its area must be cleared: a pixel
 * that becomes transparent again can only be had by clearing. {@link #close} writes the last frame and the trailer, and
 * leaves the stream open.
 */
public final class GifWriter implements Closeable {
    private final BlockWriter blocks;
    private final Size size;
    private final Palette palette;
    private final FrameDifference difference;
    private byte[] waiting;
    private int waitingHundredths;
    private boolean closed;

    /** @param plays how often viewers shall play it in all; 0 for without end */
    public GifWriter(OutputStream out, Size size, Palette palette, int plays) throws IOException {
        this.blocks = new BlockWriter(out);
        this.size = size;
        this.palette = palette;
        this.difference = new FrameDifference(size, palette.transparentIndex());
        blocks.header(size, palette);
        blocks.plays(plays);
    }

    /**
     * @param indices the whole frame, one palette index a pixel; taken over and not to be changed afterwards
     * @param hundredths how long it shows, 0 to 65535 hundredths of a second
     * @return how many bytes are written so far; the frame itself may still wait
     */
    public long add(byte[] indices, int hundredths) throws IOException {
        if (indices.length != size.area()) {
            throw new IllegalArgumentException(indices.length + " indices do not fill " + size);
        }
        if (hundredths < 0 || hundredths > 0xFFFF) {
            throw new IllegalArgumentException("A delay is 0 to 65535 hundredths, not " + hundredths);
        }
        if (waiting != null) {
            writeWaiting(indices);
        }
        waiting = indices;
        waitingHundredths = hundredths;
        return blocks.written();
    }

    /** @return how many bytes are written so far */
    public long written() {
        return blocks.written();
    }

    @Override
    public void close() throws IOException {
        if (closed) {
            return;
        }
        closed = true;
        if (waiting != null) {
            writeWaiting(null);
        }
        blocks.trailer();
    }

    private void writeWaiting(byte[] next) throws IOException {
        FrameDifference.Stored stored = difference.next(waiting, next);
        blocks.frame(stored, waitingHundredths, palette);
    }
}
