package dobbin.e2e;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;

/** Changes files as accidents and attackers do: a bit here, a length there, a piece gone or there many times. */
final class Mutation {
    private static final int MOST_CHANGES = 6;
    private static final int LONGEST_PIECE = 4_000;
    private static final int MOST_BYTES = 4_000_000;
    private static final int PNG_SIGN = 0x89504E47;
    private static final int PNG_HEAD = 8;
    /** Length, name and checksum. */
    private static final int CHUNK_EXTRA = 12;

    /** Numbers that lengths and counts are near of where they overflow. */
    private static final List<Integer> EDGES = List.of(
            0, 1, -1, 0x7F, 0x80, 0xFF, 0x7FFF, 0x8000, 0xFFFF, 0x10000, 0x7FFFFFFF, 0x80000000, 0x0FFFFFFF, 100_000);

    private final Random random;

    Mutation(Random random) {
        this.random = random;
    }

    /** @return the file, changed. Of a zip the parts are changed, and sometimes the zip itself */
    byte[] of(byte[] file) throws IOException {
        return isZip(file) && random.nextInt(4) > 0 ? ofZip(file) : withChecksums(ofBytes(file));
    }

    /** A PNG with a wrong checksum is refused before anything else is looked at. */
    private static byte[] withChecksums(byte[] file) {
        ByteBuffer bytes = ByteBuffer.wrap(file);
        if (file.length < PNG_HEAD || bytes.getInt(0) != PNG_SIGN) {
            return file;
        }
        int at = PNG_HEAD;
        while (at + CHUNK_EXTRA <= file.length) {
            int length = bytes.getInt(at);
            if (length < 0 || length > file.length - at - CHUNK_EXTRA) {
                break;
            }
            CRC32 checksum = new CRC32();
            checksum.update(file, at + 4, length + 4);
            bytes.putInt(at + 8 + length, (int) checksum.getValue());
            at += length + CHUNK_EXTRA;
        }
        return file;
    }

    private static boolean isZip(byte[] file) {
        return file.length > 4 && file[0] == 'P' && file[1] == 'K';
    }

    private byte[] ofZip(byte[] file) throws IOException {
        Map<String, byte[]> parts = new LinkedHashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                parts.put(entry.getName(), zip.readAllBytes());
            }
        }
        List<String> names = List.copyOf(parts.keySet());
        String changed = names.get(random.nextInt(names.size()));
        parts.put(changed, ofBytes(parts.get(changed)));
        if (random.nextInt(8) == 0) {
            parts.remove(names.get(random.nextInt(names.size())));
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> part : parts.entrySet()) {
                zip.putNextEntry(new ZipEntry(part.getKey()));
                zip.write(part.getValue());
            }
        } catch (ZipException e) {
            return ofBytes(file);
        }
        return out.toByteArray();
    }

    private byte[] ofBytes(byte[] file) {
        byte[] changed = file.clone();
        for (int i = 1 + random.nextInt(MOST_CHANGES); i > 0 && changed.length > 0; i--) {
            changed = changedOnce(changed);
        }
        return changed;
    }

    private byte[] changedOnce(byte[] file) {
        int at = place(file.length);
        byte[] changed = file.clone();
        switch (random.nextInt(7)) {
            case 0 -> changed[at] ^= (byte) (1 << random.nextInt(8));
            case 1 -> changed[at] = (byte) random.nextInt();
            case 2 -> putEdge(changed, at);
            case 3 ->
                changed = spliced(file, at, Math.min(file.length, at + random.nextInt(LONGEST_PIECE)), new byte[0]);
            case 4 -> changed = spliced(file, at, at, many(piece(file)));
            case 5 -> changed = spliced(file, at, file.length, new byte[0]);
            default -> changed = spliced(file, at, at, piece(file));
        }
        return changed;
    }

    /** Heads decide most. */
    private int place(int length) {
        return random.nextBoolean() ? random.nextInt(Math.min(length, 200)) : random.nextInt(length);
    }

    private void putEdge(byte[] file, int at) {
        int edge = EDGES.get(random.nextInt(EDGES.size()));
        ByteBuffer bytes = ByteBuffer.wrap(file);
        if (at + Integer.BYTES <= file.length && random.nextBoolean()) {
            bytes.putInt(at, random.nextBoolean() ? edge : Integer.reverseBytes(edge));
        } else if (at + Short.BYTES <= file.length) {
            bytes.putShort(at, (short) edge);
        }
    }

    private byte[] piece(byte[] file) {
        int from = random.nextInt(file.length);
        int to = Math.min(file.length, from + 1 + random.nextInt(LONGEST_PIECE));
        return java.util.Arrays.copyOfRange(file, from, to);
    }

    private byte[] many(byte[] piece) {
        int times = Math.min(1 + random.nextInt(1_000), MOST_BYTES / piece.length);
        ByteBuffer all = ByteBuffer.allocate(times * piece.length);
        for (int i = 0; i < times; i++) {
            all.put(piece);
        }
        return all.array();
    }

    private static byte[] spliced(byte[] file, int from, int to, byte[] instead) {
        if (file.length + instead.length > MOST_BYTES) {
            return file;
        }
        return ByteBuffer.allocate(file.length - (to - from) + instead.length)
                .put(file, 0, from)
                .put(instead)
                .put(file, to, file.length - to)
                .array();
    }
}
