package dobbin.still;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import java.util.zip.CRC32;

/** The chunks of a PNG file, one after the other: length (4 bytes), type (4), data, checksum (4). */
public final class PngChunks {
    public static final int SIGNATURE_BYTES = 8;

    private static final int FRAME_BYTES = 12;

    private final byte[] file;
    private int at = SIGNATURE_BYTES;

    public PngChunks(byte[] file) {
        this.file = file;
    }

    /** @param start of its data in the file */
    public record Chunk(byte[] file, String type, int start, int length) {
        /** @return the four bytes of its data from {@code offset} on, as an unsigned number */
        public long number(int offset) {
            return ByteBuffer.wrap(file).getInt(start + offset) & 0xFFFFFFFFL;
        }

        public int shortNumber(int offset) {
            return ByteBuffer.wrap(file).getShort(start + offset) & 0xFFFF;
        }

        public int octet(int offset) {
            return file[start + offset] & 0xFF;
        }

        /** @return its data as text of Latin-1 */
        public String text() {
            return new String(file, start, length, StandardCharsets.ISO_8859_1);
        }

        private boolean isSound() {
            CRC32 checksum = new CRC32();
            checksum.update(file, start - 4, 4 + length);
            return (int) checksum.getValue() == ByteBuffer.wrap(file).getInt(start + length);
        }
    }

    /**
     * Leaves out all chunks but those. Others may hold notes that unpack to any size, which readers unpack without being asked.
     *
     * @return the same file where there are no others; as far as the last chunk that fits into it
     */
    public static byte[] keeping(Set<String> types, byte[] file) {
        int[] others = new int[1];
        walk(file, (type, at, bytes) -> others[0] += types.contains(type) ? 0 : 1);
        if (others[0] == 0) {
            return file;
        }
        ByteArrayOutputStream kept = new ByteArrayOutputStream(file.length);
        kept.write(file, 0, SIGNATURE_BYTES);
        walk(file, (type, at, bytes) -> {
            if (types.contains(type)) {
                kept.write(file, at, bytes);
            }
        });
        return kept.toByteArray();
    }

    private interface Visitor {
        /** @param at where the chunk begins; {@code bytes} all of it, as far as it fits into the file */
        void visit(String type, int at, int bytes);
    }

    /** By the lengths alone, whether or not the chunks are sound. */
    private static void walk(byte[] file, Visitor visitor) {
        for (long at = SIGNATURE_BYTES; at + FRAME_BYTES <= file.length; ) {
            int here = (int) at;
            String type = new String(file, here + 4, 4, StandardCharsets.ISO_8859_1);
            long bytes = FRAME_BYTES + (ByteBuffer.wrap(file).getInt(here) & 0xFFFFFFFFL);
            visitor.visit(type, here, (int) Math.min(bytes, file.length - at));
            at += bytes;
        }
    }

    /** @return how many chunks of that type there are, by the lengths of all, whether or not they are sound */
    public static int count(byte[] file, String type) {
        int[] count = new int[1];
        walk(file, (each, at, bytes) -> count[0] += each.equals(type) ? 1 : 0);
        return count[0];
    }

    public boolean hasNext() {
        return at + FRAME_BYTES <= file.length;
    }

    /** @throws UnreadablePicture where it breaks off or its checksum is wrong */
    public Chunk next() throws UnreadablePicture {
        ByteBuffer bytes = ByteBuffer.wrap(file);
        long length = bytes.getInt(at) & 0xFFFFFFFFL;
        String type = new String(file, at + 4, 4, StandardCharsets.ISO_8859_1);
        if (at + FRAME_BYTES + length > file.length) {
            throw new UnreadablePicture("breaks off in the middle of a part (" + type + ")");
        }
        Chunk chunk = new Chunk(file, type, at + 8, (int) length);
        if (!chunk.isSound()) {
            throw new UnreadablePicture("has a damaged part (" + type + ")");
        }
        at += FRAME_BYTES + (int) length;
        return chunk;
    }
}
