package dobbin.still;

import dobbin.raster.Raster;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;
import java.util.zip.Deflater;

/**
 * Writes a raster as a PNG, pixel for pixel, with 8 bits a channel. For the working day: people wait for what it writes, so
 * it is deflated lightly, and of the five filters of rows only two are tried.
 *
 * <p>Source: "Portable Network Graphics (PNG) Specification (Second Edition)", W3C, 2003; the choice of a filter by the
 * least sum of absolute differences is its advice (12.8).
 */
public final class PngWriter {
    private static final byte[] SIGNATURE = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'};
    private static final int EIGHT_BITS = 8;
    private static final int TRUECOLOR = 2;
    private static final int TRUECOLOR_WITH_ALPHA = 6;
    private static final int SUB = 1;
    private static final int UP = 2;
    private static final int BUFFER_BYTES = 64 * 1024;

    private PngWriter() {}

    /** @param out receives the file and stays open */
    public static void write(Raster raster, OutputStream out) throws IOException {
        out.write(bytes(raster));
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
        ByteArrayOutputStream file = new ByteArrayOutputStream(BUFFER_BYTES);
        file.writeBytes(SIGNATURE);
        writeChunk(file, "IHDR", header(raster));
        if (!comment.isEmpty()) {
            writeChunk(file, "tEXt", ("Comment\0" + comment).getBytes(StandardCharsets.ISO_8859_1));
        }
        writeChunk(file, "IDAT", data(raster));
        writeChunk(file, "IEND", new byte[0]);
        return file.toByteArray();
    }

    /** Width, height (4 bytes each), bit depth, color type, and three zeros: deflate, adaptive filters, not interlaced. */
    private static byte[] header(Raster raster) {
        return ByteBuffer.allocate(13)
                .putInt(raster.width())
                .putInt(raster.height())
                .put((byte) EIGHT_BITS)
                .put((byte) (raster.isOpaque() ? TRUECOLOR : TRUECOLOR_WITH_ALPHA))
                .array();
    }

    /** Writes a part of a PNG: length, type, data, and a checksum of type and data. */
    public static void writeChunk(ByteArrayOutputStream file, String type, byte[] data) {
        byte[] name = type.getBytes(StandardCharsets.ISO_8859_1);
        CRC32 checksum = new CRC32();
        checksum.update(name);
        checksum.update(data);
        file.writeBytes(ByteBuffer.allocate(4).putInt(data.length).array());
        file.writeBytes(name);
        file.writeBytes(data);
        file.writeBytes(ByteBuffer.allocate(4).putInt((int) checksum.getValue()).array());
    }

    /** Each row begins with the number of its filter. */
    private static byte[] data(Raster raster) {
        int channels = raster.isOpaque() ? 3 : 4;
        int stride = raster.width() * channels;
        byte[] above = new byte[stride];
        byte[] row = new byte[stride];
        byte[] sub = new byte[1 + stride];
        byte[] up = new byte[1 + stride];
        sub[0] = SUB;
        up[0] = UP;
        ByteArrayOutputStream out = new ByteArrayOutputStream(BUFFER_BYTES);
        byte[] buffer = new byte[BUFFER_BYTES];
        Deflater deflater = new Deflater(Deflater.BEST_SPEED);
        try {
            for (int y = 0; y < raster.height(); y++) {
                samples(raster, y, channels, row);
                boolean left = difference(row, row, channels, sub) <= difference(row, above, 0, up);
                deflater.setInput(left ? sub : up);
                while (!deflater.needsInput()) {
                    out.write(buffer, 0, deflater.deflate(buffer));
                }
                byte[] done = above;
                above = row;
                row = done;
            }
            deflater.finish();
            while (!deflater.finished()) {
                out.write(buffer, 0, deflater.deflate(buffer));
            }
            return out.toByteArray();
        } finally {
            deflater.end();
        }
    }

    private static void samples(Raster raster, int y, int channels, byte[] row) {
        int[] argb = raster.argb();
        int in = y * raster.width();
        for (int out = 0; out < row.length; out += channels, in++) {
            int pixel = argb[in];
            row[out] = (byte) (pixel >> 16);
            row[out + 1] = (byte) (pixel >> 8);
            row[out + 2] = (byte) pixel;
            if (channels == 4) {
                row[out + 3] = (byte) (pixel >>> 24);
            }
        }
    }

    /**
     * @param from what is taken off each sample: of the row itself {@code back} samples before, where before its start is 0
     * @param filtered gets the differences, after its first byte
     * @return the sum of their absolute values
     */
    private static int difference(byte[] row, byte[] from, int back, byte[] filtered) {
        int sum = 0;
        for (int i = 0; i < back; i++) {
            filtered[1 + i] = row[i];
            sum += Math.abs(row[i]);
        }
        for (int i = back; i < row.length; i++) {
            byte difference = (byte) (row[i] - from[i - back]);
            filtered[1 + i] = difference;
            sum += Math.abs(difference);
        }
        return sum;
    }
}
