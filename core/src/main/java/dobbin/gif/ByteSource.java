package dobbin.gif;

import java.io.ByteArrayOutputStream;
import java.util.Arrays;
import java.util.function.ToLongFunction;

/** A GIF's bytes in order, little-endian, and where one is among them. */
final class ByteSource {
    private final byte[] bytes;
    private int at;

    ByteSource(byte[] bytes) {
        this.bytes = bytes;
    }

    int offset() {
        return at;
    }

    boolean isAtEnd() {
        return at >= bytes.length;
    }

    int unsignedByte(String block) throws GifFormatException {
        if (at >= bytes.length) {
            throw new GifFormatException(at, block, "The file ends early");
        }
        return bytes[at++] & 0xFF;
    }

    int unsignedShort(String block) throws GifFormatException {
        int low = unsignedByte(block);
        return low | unsignedByte(block) << 8;
    }

    byte[] bytes(int count, String block) throws GifFormatException {
        if (bytes.length - at < count) {
            throw new GifFormatException(at, block, "The file ends early");
        }
        byte[] taken = Arrays.copyOfRange(bytes, at, at + count);
        at += count;
        return taken;
    }

    /** Data sub-blocks: a length 1..255 and as many bytes, again and again, ended by a length of 0. */
    byte[] subBlocks(String block) throws GifFormatException {
        var joined = new ByteArrayOutputStream();
        for (int length = unsignedByte(block); length > 0; length = unsignedByte(block)) {
            joined.writeBytes(bytes(length, block));
        }
        return joined.toByteArray();
    }

    void skipSubBlocks(String block) throws GifFormatException {
        for (int length = unsignedByte(block); length > 0; length = unsignedByte(block)) {
            at = Math.min(bytes.length, at + length);
        }
    }

    /** Looks at what is still to come, and is where it was afterwards. */
    long ahead(ToLongFunction<ByteSource> look) {
        int before = at;
        long seen = look.applyAsLong(this);
        at = before;
        return seen;
    }

    /** As {@link #subBlocks}, but where the file breaks off, what there is. */
    byte[] subBlocksOrRest() {
        var joined = new ByteArrayOutputStream();
        while (at < bytes.length && bytes[at] != 0) {
            int length = Math.min(bytes[at] & 0xFF, bytes.length - at - 1);
            joined.write(bytes, at + 1, length);
            at += 1 + length;
        }
        at = Math.min(at + 1, bytes.length);
        return joined.toByteArray();
    }
}
