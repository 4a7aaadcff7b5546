package dobbin.still;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.HashSet;
import java.util.Set;

/**
 * Counts the pages of a TIFF file (TIFF 6.0, 1992): each has a directory, 12 bytes an entry, and where the next one lies.
 * Directories that lead in a circle are counted once.
 */
final class TiffPages {
    private static final int FIRST = 4;
    private static final int ENTRY_BYTES = 12;

    private TiffPages() {}

    /** @return 1 and more */
    static int count(byte[] file) {
        ByteBuffer bytes = ByteBuffer.wrap(file).order(file[0] == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
        Set<Long> directories = new HashSet<>();
        long at = number(bytes, FIRST);
        while (at != 0 && at + 2 <= file.length && directories.add(at)) {
            int entries = bytes.getShort((int) at) & 0xFFFF;
            at = number(bytes, at + 2 + (long) ENTRY_BYTES * entries);
        }
        return Math.max(1, directories.size());
    }

    private static long number(ByteBuffer bytes, long at) {
        return at + 4 <= bytes.limit() ? bytes.getInt((int) at) & 0xFFFFFFFFL : 0;
    }
}
