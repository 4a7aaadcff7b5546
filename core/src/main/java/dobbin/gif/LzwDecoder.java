package dobbin.gif;

import java.util.Arrays;

/**
 * GIF's variable-length LZW (appendix F of the specification): codes of up to 12 bits, least significant bit first, a
 * clear code that empties the table and an end code. A full table stays as it is until it is cleared.
 */
final class LzwDecoder {
    private static final int MAX_CODES = 4096;

    private final short[] prefix = new short[MAX_CODES];
    private final byte[] suffix = new byte[MAX_CODES];
    private final byte[] stack = new byte[MAX_CODES + 1];

    /**
     * @param data the joined sub-blocks
     * @param minimumCodeSize bits of a palette index, 1 to 11
     * @param pixels receives as many indices as it can hold; surplus data is passed over
     * @return how many pixels the data gave, fewer than asked where it ends early or holds an impossible code
     */
    int decode(byte[] data, int minimumCodeSize, byte[] pixels) {
        int clear = 1 << minimumCodeSize;
        int end = clear + 1;
        Arrays.fill(prefix, (short) 0);
        for (int code = 0; code < clear; code++) {
            suffix[code] = (byte) code;
        }
        int codeSize = minimumCodeSize + 1;
        int next = clear + 2;
        int previous = -1;
        int first = 0;
        int bits = 0;
        int bitCount = 0;
        int in = 0;
        int out = 0;
        while (out < pixels.length) {
            while (bitCount < codeSize) {
                if (in == data.length) {
                    return out;
                }
                bits |= (data[in++] & 0xFF) << bitCount;
                bitCount += 8;
            }
            int code = bits & (1 << codeSize) - 1;
            bits >>>= codeSize;
            bitCount -= codeSize;
            if (code == clear) {
                codeSize = minimumCodeSize + 1;
                next = clear + 2;
                previous = -1;
                continue;
            }
            if (code == end || code > next || (code == next && previous < 0)) {
                return out;
            }
            if (previous < 0) {
                if (code >= clear) {
                    return out;
                }
                first = code;
                pixels[out++] = (byte) code;
                previous = code;
                continue;
            }
            int depth = 0;
            int at = code;
            if (code == next) {
                stack[depth++] = (byte) first;
                at = previous;
            }
            while (at >= clear) {
                stack[depth++] = suffix[at];
                at = prefix[at];
            }
            first = at;
            stack[depth++] = (byte) at;
            while (depth > 0 && out < pixels.length) {
                pixels[out++] = stack[--depth];
            }
            if (next < MAX_CODES) {
                prefix[next] = (short) previous;
                suffix[next++] = (byte) first;
                if (next == 1 << codeSize && codeSize < 12) {
                    codeSize++;
                }
            }
            previous = code;
        }
        return out;
    }
}
