package dobbin.ora;

import dobbin.still.DecodeLimits;
import dobbin.still.UnreadablePicture;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.function.Predicate;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;

/** The files in an OpenRaster file, by their names, as far as they are needed. Nothing is unpacked to a disk. */
final class OraZip {
    static final String MIME_TYPE = "image/openraster";
    static final String STACK = "stack.xml";

    private static final int MOST_ENTRIES = 10_000;
    private static final int BUFFER_BYTES = 64 * 1024;
    /** Pictures in it are packed already: all of it unpacked is hardly more than the file. */
    static final int MOST_TIMES = 4;

    private final Map<String, byte[]> files = new HashMap<>();

    private OraZip() {}

    /** @param head the file, or its first bytes: the first entry is called "mimetype" and is not packed */
    static boolean isOne(byte[] head) {
        String start = new String(head, 0, Math.min(head.length, 120), StandardCharsets.ISO_8859_1);
        return start.startsWith("PK\3\4") && start.startsWith("mimetype", 30) && start.contains(MIME_TYPE);
    }

    /** @throws UnreadablePicture where it is damaged, or unpacks to more than a file of its size would hold */
    static OraZip open(byte[] file, DecodeLimits limits) throws UnreadablePicture {
        return open(file, limits, name -> name.equals(STACK) || name.startsWith("data/"));
    }

    /** Opens it for its list of layers alone; the layers themselves are passed over. */
    static OraZip openStack(byte[] file, DecodeLimits limits) throws UnreadablePicture {
        return open(file, limits, STACK::equals);
    }

    private static OraZip open(byte[] file, DecodeLimits limits, Predicate<String> keeps) throws UnreadablePicture {
        OraZip zip = new OraZip();
        long left = MOST_TIMES * Math.max(file.length, 1_000_000L);
        int entries = 0;
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(file))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                if (++entries > MOST_ENTRIES) {
                    throw new UnreadablePicture("holds more than " + MOST_ENTRIES + " files");
                }
                String name = entry.getName();
                ByteArrayOutputStream kept = keeps.test(name) ? new ByteArrayOutputStream() : null;
                left -= read(in, Math.min(left, limits.maxBytes()), name, kept);
                if (kept != null) {
                    zip.files.put(name, kept.toByteArray());
                }
            }
        } catch (IOException | IllegalArgumentException e) {
            throw new UnreadablePicture("is damaged and cannot be read. Copy or export it again", e);
        }
        return zip;
    }

    /** @throws UnreadablePicture where it is not there */
    byte[] file(String name) throws UnreadablePicture {
        byte[] bytes = files.get(name);
        if (bytes == null) {
            throw new UnreadablePicture("lacks the part “" + name + "”");
        }
        return bytes;
    }

    /** @param kept gets the bytes; null to pass over them. @return how many there were */
    private static long read(ZipInputStream in, long most, String name, ByteArrayOutputStream kept)
            throws IOException, UnreadablePicture {
        long read = 0;
        byte[] buffer = new byte[BUFFER_BYTES];
        for (int count = in.read(buffer); count >= 0; count = in.read(buffer)) {
            read += count;
            if (read > most) {
                throw new UnreadablePicture("unpacks to far more than it is (“" + name + "”)");
            }
            if (kept != null) {
                kept.write(buffer, 0, count);
            }
        }
        return read;
    }
}
