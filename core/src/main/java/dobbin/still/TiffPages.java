package dobbin.still;

import dobbin.raster.Orientation;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * The pages of a TIFF file (TIFF 6.0, 1992): each has a directory of entries, and after those where the next one lies. An entry
 * has a tag (2 bytes), a type (2), how many values there are (4), and the values themselves where four bytes hold them.
 * Directories that lead in a circle are counted once.
 */
final class TiffPages {
    private static final int FIRST = 4;
    private static final int ENTRY_BYTES = 12;
    private static final int VALUE = 8;
    private static final int ORIENTATION_TAG = 274;

    private TiffPages() {}

    /** @return 1 and more */
    static int count(byte[] file) {
        return Math.max(1, directories(bytes(file)).size());
    }

    /** @param page from 0; @return how it lies, as its own directory says */
    static Orientation orientation(byte[] file, int page) {
        ByteBuffer bytes = bytes(file);
        List<Integer> directories = directories(bytes);
        if (page >= directories.size()) {
            return Orientation.UPRIGHT;
        }
        int at = directories.get(page) + 2;
        for (int entries = entries(bytes, directories.get(page)); entries > 0; entries--, at += ENTRY_BYTES) {
            if (at + ENTRY_BYTES <= file.length && bytes.getShort(at) == ORIENTATION_TAG) {
                return Orientation.ofExif(bytes.getShort(at + VALUE) & 0xFFFF);
            }
        }
        return Orientation.UPRIGHT;
    }

    private static ByteBuffer bytes(byte[] file) {
        return ByteBuffer.wrap(file).order(file[0] == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
    }

    private static List<Integer> directories(ByteBuffer bytes) {
        Set<Integer> directories = new LinkedHashSet<>();
        long at = number(bytes, FIRST);
        while (at != 0 && at + 2 <= bytes.limit() && directories.add((int) at)) {
            at = number(bytes, at + 2 + (long) ENTRY_BYTES * entries(bytes, (int) at));
        }
        return List.copyOf(directories);
    }

    private static int entries(ByteBuffer bytes, int directory) {
        return bytes.getShort(directory) & 0xFFFF;
    }

    private static long number(ByteBuffer bytes, long at) {
        return at + 4 <= bytes.limit() ? bytes.getInt((int) at) & 0xFFFFFFFFL : 0;
    }
}
