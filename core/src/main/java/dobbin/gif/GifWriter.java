package dobbin.gif;

import dobbin.palette.Palette;
import dobbin.raster.Size;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;

/** Writes a GIF's blocks in the order of the specification; section numbers are the specification's. */
final class GifWriter {
    private static final int MAX_SUB_BLOCK = 255;
    private static final int TABLE = 0x80;
    private static final int EIGHT_BITS_A_CHANNEL = 0x70;

    private final OutputStream out;

    GifWriter(OutputStream out) {
        this.out = out;
    }

    /**
     * Header, logical screen descriptor (17 and 18) and global color table (19).
     *
     * @param palette the file's, or null where every frame has its own
     */
    void header(Size size, Palette palette) throws IOException {
        if (size.width() > 0xFFFF || size.height() > 0xFFFF) {
            throw new IllegalArgumentException("A GIF is at most 65535 pixels wide and high, not " + size);
        }
        text("GIF89a");
        unsignedShort(size.width());
        unsignedShort(size.height());
        unsignedByte(palette == null ? EIGHT_BITS_A_CHANNEL : TABLE | EIGHT_BITS_A_CHANNEL | palette.bits() - 1);
        unsignedByte(0);
        unsignedByte(0);
        if (palette != null) {
            colorTable(palette);
        }
    }

    /**
     * The loop extension counts how often viewers play again after the first time, 0 for without end; without the
     * extension they play once.
     *
     * @param plays how often viewers shall play it in all; 0 for without end
     */
    void plays(int plays) throws IOException {
        if (plays == 1) {
            return;
        }
        unsignedByte(0x21);
        unsignedByte(0xFF);
        unsignedByte(11);
        text("NETSCAPE2.0");
        unsignedByte(3);
        unsignedByte(1);
        unsignedShort(plays == 0 ? 0 : plays - 1);
        unsignedByte(0);
    }

    /** Comment extension (24), in UTF-8, of which ASCII is what the specification asks for. */
    void comment(String comment) throws IOException {
        unsignedByte(0x21);
        unsignedByte(0xFE);
        subBlocks(comment.getBytes(StandardCharsets.UTF_8));
    }

    /**
     * Graphic control (23), image descriptor (20), local color table (21), image data (22).
     *
     * @param hundredths how long it shows, 0 to 65535 hundredths of a second
     */
    void frame(StoredFrame frame, int hundredths) throws IOException {
        if (hundredths < 0 || hundredths > 0xFFFF) {
            throw new IllegalArgumentException("A delay is 0 to 65535 hundredths, not " + hundredths);
        }
        unsignedByte(0x21);
        unsignedByte(0xF9);
        unsignedByte(4);
        unsignedByte(GraphicControl.code(frame.disposal()) << 2 | (frame.transparentIndex() < 0 ? 0 : 1));
        unsignedShort(hundredths);
        unsignedByte(Math.max(0, frame.transparentIndex()));
        unsignedByte(0);

        unsignedByte(0x2C);
        unsignedShort(frame.box().left());
        unsignedShort(frame.box().top());
        unsignedShort(frame.box().width());
        unsignedShort(frame.box().height());
        unsignedByte(frame.own() == null ? 0 : TABLE | frame.own().bits() - 1);
        if (frame.own() != null) {
            colorTable(frame.own());
        }
        unsignedByte(frame.minimumCodeSize());
        subBlocks(frame.data());
    }

    void trailer() throws IOException {
        unsignedByte(0x3B);
        out.flush();
    }

    private void colorTable(Palette palette) throws IOException {
        for (int i = 0; i < 1 << palette.bits(); i++) {
            int rgb = i < palette.entries() ? palette.rgb(i) : 0;
            unsignedByte(rgb >> 16 & 0xFF);
            unsignedByte(rgb >> 8 & 0xFF);
            unsignedByte(rgb & 0xFF);
        }
    }

    private void subBlocks(byte[] data) throws IOException {
        for (int at = 0; at < data.length; at += MAX_SUB_BLOCK) {
            int length = Math.min(MAX_SUB_BLOCK, data.length - at);
            unsignedByte(length);
            out.write(data, at, length);
        }
        unsignedByte(0);
    }

    private void text(String ascii) throws IOException {
        out.write(ascii.getBytes(StandardCharsets.US_ASCII));
    }

    private void unsignedShort(int value) throws IOException {
        unsignedByte(value & 0xFF);
        unsignedByte(value >> 8);
    }

    private void unsignedByte(int value) throws IOException {
        out.write(value);
    }
}
