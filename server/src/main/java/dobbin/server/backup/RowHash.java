package dobbin.server.backup;

import dobbin.reel.ContentName;
import java.math.BigInteger;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.List;

/**
 * The hash of a row of a table.
 *
 * @param bytes how many its values have
 */
record RowHash(BigInteger number, long bytes) {
    private static final int NONE = -1;

    /** @param values text, bytes, numbers, truths, moments or nulls */
    static RowHash of(List<Object> values) {
        MessageDigest digest = ContentName.digest();
        long all = 0;
        for (Object value : values) {
            byte[] bytes = bytes(value);
            digest.update(ByteBuffer.allocate(Integer.BYTES)
                    .putInt(bytes == null ? NONE : bytes.length)
                    .array());
            if (bytes != null) {
                digest.update(bytes);
                all += bytes.length;
            }
        }
        return new RowHash(new BigInteger(1, digest.digest()), all);
    }

    private static byte[] bytes(Object value) {
        if (value == null || value instanceof byte[]) {
            return (byte[]) value;
        }
        return value.toString().getBytes(StandardCharsets.UTF_8);
    }
}
