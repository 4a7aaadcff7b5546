package dobbin.still;

import java.io.IOException;
import java.io.OutputStream;
import java.util.zip.Deflater;

/**
 * Filters and deflates the rows of a PNG one after the other. Of the five filters two are tried for each row, the first row
 * of each part as if nothing were above it.
 *
 * <p>Source: "Portable Network Graphics (PNG) Specification (Second Edition)", W3C, 2003; the choice of a filter by the
 * least sum of absolute differences is its advice (12.8).
 */
public final class PngRows implements AutoCloseable {
    private static final int SUB = 1;
    private static final int UP = 2;
    private static final int BUFFER_BYTES = 64 * 1024;

    private final int channels;
    private final OutputStream out;
    private final Deflater deflater;
    private final byte[] buffer = new byte[BUFFER_BYTES];
    private byte[] above;
    private byte[] row;
    private final byte[] sub;
    private final byte[] up;

    /**
     * @param width in pixels
     * @param alpha whether four channels are written; else three
     * @param level of deflating, as {@link Deflater} has them
     * @param out receives the data and stays open
     */
    public PngRows(int width, boolean alpha, int level, OutputStream out) {
        this.channels = alpha ? 4 : 3;
        this.out = out;
        this.deflater = new Deflater(level);
        int stride = width * channels;
        this.above = new byte[stride];
        this.row = new byte[stride];
        this.sub = new byte[1 + stride];
        this.up = new byte[1 + stride];
        sub[0] = SUB;
        up[0] = UP;
    }

    /** @param from where in {@code argb} the row begins */
    public void write(int[] argb, int from) throws IOException {
        samples(argb, from);
        boolean left = difference(row, channels, sub) <= difference(above, 0, up);
        deflater.setInput(left ? sub : up);
        while (!deflater.needsInput()) {
            out.write(buffer, 0, deflater.deflate(buffer));
        }
        byte[] done = above;
        above = row;
        row = done;
    }

    /** Writes what is left. */
    public void finish() throws IOException {
        deflater.finish();
        while (!deflater.finished()) {
            out.write(buffer, 0, deflater.deflate(buffer));
        }
    }

    @Override
    public void close() {
        deflater.end();
    }

    private void samples(int[] argb, int from) {
        int in = from;
        for (int at = 0; at < row.length; at += channels, in++) {
            int pixel = argb[in];
            row[at] = (byte) (pixel >> 16);
            row[at + 1] = (byte) (pixel >> 8);
            row[at + 2] = (byte) pixel;
            if (channels == 4) {
                row[at + 3] = (byte) (pixel >>> 24);
            }
        }
    }

    /**
     * @param from what is taken off each sample: of the row itself {@code back} samples before, where before its start is 0
     * @param filtered gets the differences, after its first byte
     * @return the sum of their absolute values
     */
    private int difference(byte[] from, int back, byte[] filtered) {
        int sum = 0;
        byte[] source = back == 0 ? from : row;
        for (int i = 0; i < back; i++) {
            filtered[1 + i] = row[i];
            sum += Math.abs(row[i]);
        }
        for (int i = back; i < row.length; i++) {
            byte difference = (byte) (row[i] - source[i - back]);
            filtered[1 + i] = difference;
            sum += Math.abs(difference);
        }
        return sum;
    }
}
