package dobbin.apng;

import dobbin.raster.Bounds;
import dobbin.raster.BoundsBuilder;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.PngParts;
import dobbin.still.PngRows;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.util.zip.Deflater;

/**
 * Writes an animated PNG frame by frame, in full color with partial transparency. Of each frame after the first, the box is
 * stored that holds all that changes.
 *
 * <p>Source: "Portable Network Graphics (PNG) Specification (Third Edition)", W3C, 2025, 11.3.6.
 */
public final class ApngWriter {
    private static final int MOST_SHORT = 0xFFFF;
    private static final byte KEEP = 0;
    private static final byte REPLACE = 0;

    private final PngParts parts;
    private final Size size;
    private Raster before;
    private int sequence;

    /**
     * @param frames how many will be added, at least 1
     * @param plays how often it plays in all, 0 for forever
     * @param out receives the file and stays open
     */
    public ApngWriter(Size size, int frames, int plays, OutputStream out) throws IOException {
        this.parts = new PngParts(out);
        this.size = size;
        parts.begin(size, true);
        parts.write("acTL", ByteBuffer.allocate(8).putInt(frames).putInt(plays).array());
    }

    /** @param delayMillis how long it shows, 0 to 6,553,500 */
    public void add(Raster picture, int delayMillis) throws IOException {
        Bounds box = before == null ? Bounds.all(size) : changed(before, picture);
        parts.write("fcTL", control(box, delayMillis));
        boolean first = before == null;
        try (OutputStream data = first ? parts.data() : parts.data("fdAT", this::nextNumber);
                PngRows rows = new PngRows(box.width(), true, Deflater.DEFAULT_COMPRESSION, data)) {
            for (int y = box.top(); y < box.bottom(); y++) {
                rows.write(picture.argb(), y * size.width() + box.left());
            }
            rows.finish();
        }
        before = picture;
    }

    public void finish() throws IOException {
        parts.end();
    }

    private byte[] control(Bounds box, int delayMillis) {
        // Two bytes hold a delay, in parts of a second that can be chosen.
        int parts = 1000;
        while (delayMillis / (1000 / parts) > MOST_SHORT) {
            parts /= 10;
        }
        return ByteBuffer.allocate(26)
                .putInt(sequence++)
                .putInt(box.width())
                .putInt(box.height())
                .putInt(box.left())
                .putInt(box.top())
                .putShort((short) (delayMillis / (1000 / parts)))
                .putShort((short) parts)
                .put(KEEP)
                .put(REPLACE)
                .array();
    }

    private byte[] nextNumber() {
        return ByteBuffer.allocate(4).putInt(sequence++).array();
    }

    /** A frame must store something, so where nothing changes it is one pixel. */
    private static Bounds changed(Raster before, Raster now) {
        int width = now.width();
        BoundsBuilder changed = new BoundsBuilder();
        for (int y = 0; y < now.height(); y++) {
            for (int x = 0; x < width; x++) {
                if (now.argb()[y * width + x] != before.argb()[y * width + x]) {
                    changed.add(x, y);
                }
            }
        }
        Bounds box = changed.bounds();
        return box.isEmpty() ? new Bounds(0, 0, 1, 1) : box;
    }
}
