package dobbin.gif;

import java.util.Arrays;

/**
 * The growing table of strings of GIF's variable-length LZW, the writing side (appendix F; T. Welch, "A technique for
 * high-performance data compression", 1984), and the codes written so far.
 *
 * <p>The strings are a tree: each knows the first of those that are longer by one index, and each of those the next.
 * They are few, two on average, so looking through them is as fast as any search, and whoever may choose among indices
 * sees which cost nothing. Once all 4096 codes are taken the table is kept as long as it serves: it is cleared when codes
 * begin to cover clearly fewer pixels than they did.
 */
final class LzwStrings {
    static final int NONE = -1;
    /** Marks the end of a list: no string longer than one index has this code. */
    static final int NO_MORE = 0;

    static final int CODE_BITS = 12;
    private static final int MAX_CODES = 1 << CODE_BITS;
    private static final int INDEX_BITS = 8;
    private static final int INDEX_MASK = (1 << INDEX_BITS) - 1;
    /** How many codes are judged together once the table is full. */
    private static final int WINDOW = 256;

    private static final double STILL_GOOD = 0.9;

    private final short[] firstLonger = new short[MAX_CODES];
    /** The next longer string and the last index of each, side by side: whoever looks at one needs the other. */
    private final int[] links = new int[MAX_CODES];

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

    /** @return the first string that is this one and an index, or {@link #NO_MORE} */
    int firstLonger(int string) {
        return firstLonger[string];
    }

    /** @return of a string of two or more its last index and the next longer string, for the two methods below */
    int link(int longer) {
        return links[longer];
    }

    /** @return the next string that is as long and differs in the last index alone, or {@link #NO_MORE} */
    static int nextLongerOf(int link) {
        return link >>> INDEX_BITS;
    }

    static int lastIndexOf(int link) {
        return link & INDEX_MASK;
    }

    /** @return the last index of a string of two or more */
    int lastIndex(int longer) {
        return lastIndexOf(links[longer]);
    }

    /** @return the string that is this one and the index, or {@link #NONE} */
    int continued(int string, int index) {
        int longer = firstLonger[string];
        while (longer != NO_MORE) {
            int link = links[longer];
            if (lastIndexOf(link) == index) {
                return longer;
            }
            longer = nextLongerOf(link);
        }
        return NONE;
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
        if (next == 1 << codeSize && codeSize < CODE_BITS) {
            codeSize++;
        }
        put(clear + 1);
        putLastBits();
        return Arrays.copyOf(out, written);
    }

    private void remember(int string, int index) {
        links[next] = firstLonger[string] << INDEX_BITS | index;
        firstLonger[string] = (short) next;
        firstLonger[next] = NO_MORE;
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
        Arrays.fill(firstLonger, 0, clear, (short) NO_MORE);
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
