package dobbin.gif;

/** Indices to GIF's LZW, each string as long as the table knows it. */
final class LzwEncoder {
    private final LzwStrings strings = new LzwStrings();

    /**
     * @param indices all below {@code 1 << minimumCodeSize}, at least one
     * @param minimumCodeSize bits of a palette index, 2 to 8
     * @return the codes packed into bytes, not yet split into sub-blocks
     */
    byte[] encode(byte[] indices, int minimumCodeSize) {
        return encode(indices, null, 0, minimumCodeSize);
    }

    /**
     * Some pixels may be written as another index where that makes strings longer.
     *
     * @param indices all below {@code 1 << minimumCodeSize}, at least one
     * @param optional not 0 where a pixel may be {@code other} instead, or null
     */
    byte[] encode(byte[] indices, byte[] optional, int other, int minimumCodeSize) {
        strings.begin(minimumCodeSize);
        int string = optional != null && optional[0] != 0 ? other : indices[0] & 0xFF;
        for (int i = 1; i < indices.length; i++) {
            int index = indices[i] & 0xFF;
            boolean free = optional != null && optional[i] != 0;
            int longer = free ? strings.continued(string, other) : LzwStrings.NONE;
            if (longer < 0) {
                longer = strings.continued(string, index);
            }
            if (longer >= 0) {
                string = longer;
            } else {
                int next = free ? other : index;
                strings.end(string, next);
                string = next;
            }
        }
        return strings.finish(string);
    }
}
