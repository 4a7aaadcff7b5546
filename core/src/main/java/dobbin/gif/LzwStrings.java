package dobbin.gif;

import java.util.Arrays;

/**
 * The growing table of strings of GIF's variable-length LZW, the writing side (appendix F; T. Welch, "A technique for
 * high-performance data compression", 1984), and the codes written so far.
 *
 * <p>The table is a hash of (string, index) to code with open addressing; beside it each string has a set of the indices
 * that continue it, so that whoever may choose among indices sees at once which of them cost nothing. Once all 4096 codes are taken
 * the table is kept as long as it serves: it is cleared when codes begin to cover clearly fewer pixels than they did.
 */
final class LzwStrings {
    static final int NONE = -1;

    private static final int MAX_CODES = 4096;
    private static final int LARGEST_CODE_SIZE = 12;
    /** How many codes are judged together once the table is full. */
    private static final int WINDOW = 256;

    private static final double STILL_GOOD = 0.9;

    /** Longs that hold a bit for every index. */
    static final int WORDS = 4;

    private static final int SLOT_BITS = 13;
    private static final int CODE_BITS = 12;
    /** No string: the last code has no continuation. */
    private static final int EMPTY = -1;

    /** String, index and the code for both, in 12, 8 and 12 bits. */
    private final int[] slots = new int[1 << SLOT_BITS];

    private final long[] continuations = new long[WORDS * MAX_CODES];
    private final int[] length = new int[MAX_CODES];

    private int minimumCodeSize;
    private int clear;
    private int codeSize;
    private int next;
    private int windowCodes;
    private int windowPixels;
    private double bestPixelsPerCode;

    private byte[] out = new byte[4096];
    private int written;
    private long bits;
    private int bitCount;

    /** @param bitsOfAnIndex 2 to 8 */
    void begin(int bitsOfAnIndex) {
        minimumCodeSize = bitsOfAnIndex;
        clear = 1 << bitsOfAnIndex;
        written = 0;
        bits = 0;
        bitCount = 0;
        for (int index = 0; index < clear; index++) {
            length[index] = 1;
        }
        codeSize = minimumCodeSize + 1;
        clearTable();
    }

    /** @return of the indices from {@code 64 * word} on, a bit for each that continues the string */
    long continuations(int string, int word) {
        return continuations[WORDS * string + word];
    }

    /** @return the string that is this one and the index, or {@link #NONE} */
    int continued(int string, int index) {
        long set = continuations[WORDS * string + (index >> 6)];
        return (set >>> index & 1) == 0 ? NONE : lookUp(string << 8 | index);
    }

    /** @param key of a string and an index that continues it */
    private int lookUp(int key) {
        int slot = slot(key);
        int entry = slots[slot];
        while (entry >>> CODE_BITS != key) {
            slot = slot + 1 & (1 << SLOT_BITS) - 1;
            entry = slots[slot];
        }
        return entry & (1 << CODE_BITS) - 1;
    }

    private static int slot(int key) {
        return (key * 0x9E3779B1) >>> (32 - SLOT_BITS);
    }

    /** Writes a string, and remembers it with the index that follows. The next string begins with that index. */
    void end(int string, int index) {
        put(string);
        if (next < MAX_CODES) {
            remember(string, index);
        } else {
            judge(string);
        }
    }

    /** Writes the last string and what must follow it. @return the data, not yet split into sub-blocks */
    byte[] finish(int string) {
        put(string);
        // The reader grows its table once more on that last code, and its code size with it.
        if (next == 1 << codeSize && codeSize < LARGEST_CODE_SIZE) {
            codeSize++;
        }
        put(clear + 1);
        putLastBits();
        return Arrays.copyOf(out, written);
    }

    private void remember(int string, int index) {
        int key = string << 8 | index;
        int slot = slot(key);
        while (slots[slot] != EMPTY) {
            slot = slot + 1 & (1 << SLOT_BITS) - 1;
        }
        slots[slot] = key << CODE_BITS | next;
        continuations[WORDS * string + (index >> 6)] |= 1L << index;
        for (int word = 0; word < WORDS; word++) {
            continuations[WORDS * next + word] = 0;
        }
        length[next] = length[string] + 1;
        if (next == 1 << codeSize) {
            codeSize++;
        }
        next++;
    }

    private void judge(int string) {
        windowPixels += length[string];
        if (++windowCodes < WINDOW) {
            return;
        }
        double pixelsPerCode = windowPixels / (double) windowCodes;
        windowPixels = 0;
        windowCodes = 0;
        if (pixelsPerCode < STILL_GOOD * bestPixelsPerCode) {
            clearTable();
        } else {
            bestPixelsPerCode = Math.max(bestPixelsPerCode, pixelsPerCode);
        }
    }

    private void clearTable() {
        put(clear);
        Arrays.fill(slots, EMPTY);
        Arrays.fill(continuations, 0, WORDS * clear, 0);
        codeSize = minimumCodeSize + 1;
        next = clear + 2;
        windowPixels = 0;
        windowCodes = 0;
        bestPixelsPerCode = 0;
    }

    private void put(int code) {
        bits |= (long) code << bitCount;
        bitCount += codeSize;
        if (bitCount >= 32) {
            if (written + 4 > out.length) {
                out = Arrays.copyOf(out, 2 * out.length);
            }
            out[written] = (byte) bits;
            out[written + 1] = (byte) (bits >>> 8);
            out[written + 2] = (byte) (bits >>> 16);
            out[written + 3] = (byte) (bits >>> 24);
            written += 4;
            bits >>>= 32;
            bitCount -= 32;
        }
    }

    private void putLastBits() {
        while (bitCount > 0) {
            if (written == out.length) {
                out = Arrays.copyOf(out, 2 * out.length);
            }
            out[written++] = (byte) bits;
            bits >>>= 8;
            bitCount -= 8;
        }
    }
}
