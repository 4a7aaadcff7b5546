package dobbin.still;

import dobbin.raster.Size;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.zip.CRC32;

/** Writes a PNG part by part ("chunks"), so that it never is in memory whole. */
public final class PngParts {
    private static final byte[] SIGNATURE = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'};
    private static final int EIGHT_BITS = 8;
    private static final int TRUECOLOR = 2;
    private static final int TRUECOLOR_WITH_ALPHA = 6;
    private static final int MOST_DATA = 64 * 1024;
    private static final byte[] NOTHING = {};

    private final OutputStream out;

    /** @param out receives the file and stays open */
    public PngParts(OutputStream out) {
        this.out = out;
    }

    /** Writes what every PNG begins with: 8 bits a channel, not interlaced. */
    public void begin(Size size, boolean alpha) throws IOException {
        out.write(SIGNATURE);
        write(
                "IHDR",
                ByteBuffer.allocate(13)
                        .putInt(size.width())
                        .putInt(size.height())
                        .put((byte) EIGHT_BITS)
                        .put((byte) (alpha ? TRUECOLOR_WITH_ALPHA : TRUECOLOR))
                        .array());
    }

    /** @param text of Latin-1 that becomes part of the file under a keyword of 1 to 79 letters */
    public void text(String keyword, String text) throws IOException {
        write("tEXt", (keyword + '\0' + text).getBytes(StandardCharsets.ISO_8859_1));
    }

    /** Writes a part: length, type, data, and a checksum of type and data. */
    public void write(String type, byte[] data) throws IOException {
        write(type, NOTHING, data);
    }

    private void write(String type, byte[] head, byte[] data) throws IOException {
        byte[] name = type.getBytes(StandardCharsets.ISO_8859_1);
        CRC32 checksum = new CRC32();
        checksum.update(name);
        checksum.update(head);
        checksum.update(data);
        out.write(ByteBuffer.allocate(4).putInt(head.length + data.length).array());
        out.write(name);
        out.write(head);
        out.write(data);
        out.write(ByteBuffer.allocate(4).putInt((int) checksum.getValue()).array());
    }

    public void end() throws IOException {
        write("IEND", NOTHING);
    }

    /** Gives the bytes before the data of each chunk: in animations, the sequence number of an fdAT chunk. */
    @FunctionalInterface
    public interface Head {
        byte[] next();
    }

    /** @return a stream whose data is written in parts of that type; closing it writes the rest and leaves the file open */
    public OutputStream data(String type, Head head) {
        return new Data(type, head);
    }

    public OutputStream data() {
        return data("IDAT", () -> NOTHING);
    }

    private final class Data extends OutputStream {
        private final String type;
        private final Head head;
        private final byte[] waiting = new byte[MOST_DATA];
        private int count;

        Data(String type, Head head) {
            this.type = type;
            this.head = head;
        }

        @Override
        public void write(int one) throws IOException {
            write(new byte[] {(byte) one}, 0, 1);
        }

        @Override
        public void write(byte[] bytes, int from, int length) throws IOException {
            int at = from;
            int left = length;
            while (left > 0) {
                int taken = Math.min(left, MOST_DATA - count);
                System.arraycopy(bytes, at, waiting, count, taken);
                count += taken;
                at += taken;
                left -= taken;
                if (count == MOST_DATA) {
                    flushPart();
                }
            }
        }

        @Override
        public void close() throws IOException {
            flushPart();
        }

        private void flushPart() throws IOException {
            if (count > 0) {
                PngParts.this.write(type, head.next(), Arrays.copyOf(waiting, count));
                count = 0;
            }
        }
    }
}
