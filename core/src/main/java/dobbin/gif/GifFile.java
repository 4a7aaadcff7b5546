package dobbin.gif;

import dobbin.raster.Size;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.stream.IntStream;

/** A loop that is encoded, with its delays, as a file. */
public final class GifFile {
    /** The longest that a stored frame can show, in hundredths of a second. */
    private static final int LONGEST_DELAY = 0xFFFF;

    private GifFile() {}

    /**
     * @param frames of {@link LoopEncoder}
     * @param hundredths how long each frame of the loop shows, in hundredths of a second. A frame that shows for longer than a
     *     GIF can say is stored as often as it takes
     */
    public static byte[] bytes(Size size, GifSettings settings, List<EncodedFrame> frames, int[] hundredths) {
        try {
            // Once to learn the length: a file grown bit by bit would need twice its memory at the end.
            Counted length = new Counted();
            write(length, size, settings, frames, hundredths);
            Filled filled = new Filled(new byte[length.count]);
            write(filled, size, settings, frames, hundredths);
            return filled.bytes;
        } catch (IOException e) {
            throw new UncheckedIOException("Memory does not fail to be written to", e);
        }
    }

    private static void write(
            OutputStream out, Size size, GifSettings settings, List<EncodedFrame> frames, int[] hundredths)
            throws IOException {
        GifWriter writer = new GifWriter(out);
        writer.header(size, settings.palette());
        writer.plays(settings.plays());
        if (!settings.comment().isEmpty()) {
            writer.comment(settings.comment());
        }
        for (EncodedFrame frame : frames) {
            long shown = IntStream.range(frame.first(), frame.first() + frame.frames())
                    .mapToLong(each -> hundredths[each])
                    .sum();
            for (; shown > LONGEST_DELAY; shown -= LONGEST_DELAY) {
                writer.frame(frame.stored().repeatable(), LONGEST_DELAY);
            }
            writer.frame(frame.stored(), (int) shown);
        }
        writer.trailer();
    }

    private static final class Counted extends OutputStream {
        private int count;

        @Override
        public void write(int value) {
            count++;
        }

        @Override
        public void write(byte[] from, int start, int length) {
            count = Math.addExact(count, length);
        }
    }

    private static final class Filled extends OutputStream {
        private final byte[] bytes;
        private int at;

        Filled(byte[] bytes) {
            this.bytes = bytes;
        }

        @Override
        public void write(int value) {
            bytes[at++] = (byte) value;
        }

        @Override
        public void write(byte[] from, int start, int length) {
            System.arraycopy(from, start, bytes, at, length);
            at += length;
        }
    }
}
