package dobbin.gif;

import dobbin.palette.Palette;
import dobbin.raster.Size;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;

/** Writes a GIF's blocks in the order of the specification, and counts bytes. */
final class BlockWriter {
    private static final int MAX_SUB_BLOCK = 255;

    private final OutputStream out;
    private final LzwEncoder lzw = new LzwEncoder();
    private long written;

    BlockWriter(OutputStream out) {
        this.out = out;
    }

    long written() {
        return written;
    }

    /** Header, logical screen descriptor (sections 17 and 18) and global color table (19). */
    void header(Size size, Palette palette) throws IOException {
        if (size.width() > 0xFFFF || size.height() > 0xFFFF) {
            throw new IllegalArgumentException("A GIF is at most 65535 pixels wide and high, not " + size);
        }
        text("GIF89a");
        unsignedShort(size.width());
        unsignedShort(size.height());
        unsignedByte(0x80 | 0x70 | tableBits(palette) - 1);
        unsignedByte(0);
        unsignedByte(0);
        int[] colors = palette.colors();
        for (int i = 0; i < 1 << tableBits(palette); i++) {
            int rgb = i < colors.length ? colors[i] : 0;
            unsignedByte(rgb >> 16 & 0xFF);
            unsignedByte(rgb >> 8 & 0xFF);
            unsignedByte(rgb & 0xFF);
        }
    }

    /**
     * The loop extension counts how often viewers play again after the first time, 0 for without end; without the
     * extension they play once.
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

    /** Graphic control (23), image descriptor (20), image data (22). */
    void frame(FrameDifference.Stored stored, int hundredths, Palette palette) throws IOException {
        int transparent = palette.transparentIndex();
        unsignedByte(0x21);
        unsignedByte(0xF9);
        unsignedByte(4);
        unsignedByte(stored.disposal().code() << 2 | (transparent < 0 ? 0 : 1));
        unsignedShort(hundredths);
        unsignedByte(Math.max(0, transparent));
        unsignedByte(0);

        unsignedByte(0x2C);
        unsignedShort(stored.left());
        unsignedShort(stored.top());
        unsignedShort(stored.width());
        unsignedShort(stored.height());
        unsignedByte(0);

        int codeSize = Math.max(2, tableBits(palette));
        unsignedByte(codeSize);
        subBlocks(smallest(stored, codeSize));
    }

    void trailer() throws IOException {
        unsignedByte(0x3B);
        out.flush();
    }

    private byte[] smallest(FrameDifference.Stored stored, int codeSize) {
        byte[] smallest = lzw.encode(stored.indices(), codeSize);
        if (stored.withHoles() != null) {
            byte[] other = lzw.encode(stored.withHoles(), codeSize);
            return other.length < smallest.length ? other : smallest;
        }
        return smallest;
    }

    private void subBlocks(byte[] data) throws IOException {
        for (int at = 0; at < data.length; at += MAX_SUB_BLOCK) {
            int length = Math.min(MAX_SUB_BLOCK, data.length - at);
            unsignedByte(length);
            out.write(data, at, length);
            written += length;
        }
        unsignedByte(0);
    }

    private void text(String ascii) throws IOException {
        out.write(ascii.getBytes(StandardCharsets.US_ASCII));
        written += ascii.length();
    }

    private void unsignedShort(int value) throws IOException {
        unsignedByte(value & 0xFF);
        unsignedByte(value >> 8);
    }

    private void unsignedByte(int value) throws IOException {
        out.write(value);
        written++;
    }

    private static int tableBits(Palette palette) {
        return Math.max(1, 32 - Integer.numberOfLeadingZeros(palette.entries() - 1));
    }
}
