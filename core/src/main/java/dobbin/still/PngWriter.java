package dobbin.still;

import dobbin.raster.Raster;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.zip.Deflater;

/**
 * Writes a raster as a PNG, pixel for pixel, with 8 bits a channel. For the working day: people wait for what it writes, so
 * it is deflated lightly.
 */
public final class PngWriter {
    private static final int BUFFER_BYTES = 64 * 1024;

    private PngWriter() {}

    /** @param out receives the file and stays open */
    public static void write(Raster raster, OutputStream out) throws IOException {
        write(raster, "", Deflater.BEST_SPEED, out);
    }

    /** @return the file, as small as it becomes without trying other filters: for what is kept and passed on */
    public static byte[] small(Raster raster) {
        return bytes(raster, "", Deflater.DEFAULT_COMPRESSION);
    }

    /** @return the file */
    public static byte[] bytes(Raster raster) {
        return bytes(raster, "");
    }

    /**
     * @param comment a few words of ASCII that become part of the file, or empty for none
     * @return the file
     */
    public static byte[] bytes(Raster raster, String comment) {
        return bytes(raster, comment, Deflater.BEST_SPEED);
    }

    private static byte[] bytes(Raster raster, String comment, int level) {
        ByteArrayOutputStream file = new ByteArrayOutputStream(BUFFER_BYTES);
        try {
            write(raster, comment, level, file);
        } catch (IOException e) {
            throw new UncheckedIOException("Memory was written to", e);
        }
        return file.toByteArray();
    }

    private static void write(Raster raster, String comment, int level, OutputStream out) throws IOException {
        PngParts parts = new PngParts(out);
        boolean alpha = !raster.isOpaque();
        parts.begin(raster.size(), alpha);
        if (!comment.isEmpty()) {
            parts.text("Comment", comment);
        }
        try (OutputStream data = parts.data();
                PngRows rows = new PngRows(raster.width(), alpha, level, data)) {
            for (int y = 0; y < raster.height(); y++) {
                rows.write(raster.argb(), y * raster.width());
            }
            rows.finish();
        }
        parts.end();
    }

    /** Writes a part of a PNG: length, type, data, and a checksum of type and data. */
    public static void writeChunk(ByteArrayOutputStream file, String type, byte[] data) {
        try {
            new PngParts(file).write(type, data);
        } catch (IOException e) {
            throw new UncheckedIOException("Memory was written to", e);
        }
    }
}
