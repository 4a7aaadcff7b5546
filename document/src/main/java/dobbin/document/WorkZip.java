package dobbin.document;

import java.io.Closeable;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;

/** The parts of a working file on the disk, read one at a time. Nothing is unpacked to the disk. */
final class WorkZip implements Closeable {
    private static final int MOST_PARTS = 200_000;
    /** Text packs well, and steps are much like one another; what unpacks to more than this was made to do harm. */
    private static final int MOST_TIMES = 300;

    private static final long SMALL = 100_000;

    private final ZipFile zip;
    private final Map<String, ZipEntry> parts = new HashMap<>();
    /** How much may still be unpacked of documents. */
    private long left = MOST_TIMES * SMALL;

    private WorkZip(ZipFile zip) {
        this.zip = zip;
    }

    /** @throws UnreadableWork where it is no zip, or has parts that no working file has */
    static WorkZip open(Path file) throws IOException {
        WorkZip opened;
        try {
            opened = new WorkZip(new ZipFile(file.toFile()));
        } catch (ZipException | IllegalArgumentException e) {
            throw new UnreadableWork("is no working file, or is damaged", e);
        }
        try {
            opened.list();
            return opened;
        } catch (IOException e) {
            opened.close();
            throw e;
        }
    }

    private void list() throws UnreadableWork {
        if (zip.size() > MOST_PARTS) {
            throw new UnreadableWork("has more than " + MOST_PARTS + " parts");
        }
        for (var entries = zip.entries(); entries.hasMoreElements(); ) {
            ZipEntry entry = entries.nextElement();
            String name = entry.getName();
            if (WorkParts.isFolder(name)) {
                continue;
            }
            if (!WorkParts.isOne(name)) {
                throw new UnreadableWork("has a part “" + printable(name) + "”, which no working file has");
            }
            if (parts.put(keyOf(name), entry) != null) {
                throw new UnreadableWork("has the part “" + name + "” twice");
            }
            left += isDocument(name) ? MOST_TIMES * Math.max(0, entry.getCompressedSize()) : 0;
        }
    }

    private static String keyOf(String name) {
        return isDocument(name) ? name : WorkParts.stem(name);
    }

    private static boolean isDocument(String name) {
        return name.endsWith(".json");
    }

    private static String printable(String name) {
        String shown = name.replaceAll("\\p{Cntrl}", "?");
        return shown.length() <= 100 ? shown : shown.substring(0, 99) + "…";
    }

    /** @return the names of all parts; those of pictures and typefaces without ending */
    Set<String> names() {
        return parts.keySet();
    }

    boolean has(String part) {
        return parts.containsKey(part);
    }

    /**
     * @param most bytes it may have
     * @throws UnreadableWork where it is missing, too large or damaged
     */
    byte[] read(String part, long most) throws IOException {
        ZipEntry entry = parts.get(part);
        if (entry == null) {
            throw new UnreadableWork("lacks the part “" + part + "”");
        }
        long bound = isDocument(part) ? Math.min(most, left) : most;
        try (InputStream in = zip.getInputStream(entry)) {
            byte[] bytes = in.readNBytes((int) Math.min(bound + 1, Integer.MAX_VALUE - 8));
            if (bytes.length > bound) {
                throw new UnreadableWork(
                        bound < most
                                ? "unpacks to far more than it is (“" + entry.getName() + "”)"
                                : "has a part “" + entry.getName() + "” of more than " + most / 1_000_000 + " MB");
            }
            left -= isDocument(part) ? bytes.length : 0;
            CRC32 checksum = new CRC32();
            checksum.update(bytes);
            if (checksum.getValue() != entry.getCrc()) {
                throw new ZipException("wrong checksum");
            }
            return bytes;
        } catch (ZipException | EOFException e) {
            throw new UnreadableWork("has a damaged part “" + entry.getName() + "”", e);
        }
    }

    @Override
    public void close() throws IOException {
        zip.close();
    }
}
