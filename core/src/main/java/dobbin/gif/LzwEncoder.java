package dobbin.gif;

import java.util.Arrays;

/**
 * GIF's variable-length LZW, the writing side (appendix F; T. Welch, "A technique for high-performance data
 * compression", 1984). The table of known strings is a hash of (prefix, index) to code with open addressing, cleared
 * when all 4096 codes are taken.
 */
final class LzwEncoder {
    private static final int MAX_CODES = 4096;
    private static final int SLOT_BITS = 14;
    private static final int EMPTY = -1;

    private final int[] keys = new int[1 << SLOT_BITS];
    private final short[] codes = new short[1 << SLOT_BITS];
    private byte[] out;
    private int length;
    private int bits;
    private int bitCount;

    /**
     * @param indices all below {@code 1 << minimumCodeSize}, at least one
     * @param minimumCodeSize bits of a palette index, 2 to 8
     * @return the codes packed into bytes, not yet split into sub-blocks
     */
    byte[] encode(byte[] indices, int minimumCodeSize) {
        out = new byte[Math.max(64, indices.length / 2)];
        length = 0;
        bits = 0;
        bitCount = 0;
        int clear = 1 << minimumCodeSize;
        int end = clear + 1;
        int codeSize = minimumCodeSize + 1;
        int next = clear + 2;
        Arrays.fill(keys, EMPTY);
        put(clear, codeSize);
        int prefix = indices[0] & 0xFF;
        for (int i = 1; i < indices.length; i++) {
            int index = indices[i] & 0xFF;
            int key = prefix << 8 | index;
            int slot = (key * 0x9E3779B1) >>> (32 - SLOT_BITS);
            while (keys[slot] != key && keys[slot] != EMPTY) {
                slot = slot + 1 & (1 << SLOT_BITS) - 1;
            }
            if (keys[slot] == key) {
                prefix = codes[slot];
                continue;
            }
            put(prefix, codeSize);
            prefix = index;
            if (next < MAX_CODES) {
                keys[slot] = key;
                codes[slot] = (short) next;
                if (next == 1 << codeSize) {
                    codeSize++;
                }
                next++;
            } else {
                put(clear, codeSize);
                Arrays.fill(keys, EMPTY);
                codeSize = minimumCodeSize + 1;
                next = clear + 2;
            }
        }
        put(prefix, codeSize);
        // The reader grows its table once more on that last code, and its code size with it.
        if (next == 1 << codeSize && codeSize < 12) {
            codeSize++;
        }
        put(end, codeSize);
        if (bitCount > 0) {
            append(bits);
        }
        return Arrays.copyOf(out, length);
    }

    private void put(int code, int codeSize) {
        bits |= code << bitCount;
        bitCount += codeSize;
        while (bitCount >= 8) {
            append(bits);
            bits >>>= 8;
            bitCount -= 8;
        }
    }

    private void append(int value) {
        if (length == out.length) {
            out = Arrays.copyOf(out, 2 * length);
        }
        out[length++] = (byte) value;
    }
}
