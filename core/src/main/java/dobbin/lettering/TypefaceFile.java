package dobbin.lettering;

import java.awt.Font;
import java.awt.FontFormatException;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;

/**
 * Reads TrueType and OpenType files (ISO/IEC 14496-22). The JDK hands them to native code, so their size and their tables are
 * checked before: that all of them lie within the file, and that those are there without which no letter can be drawn.
 */
final class TypefaceFile {
    private static final int TRUE_TYPE = 0x00010000;
    private static final int OLD_TRUE_TYPE = 0x74727565;
    private static final int OPEN_TYPE = 0x4F54544F;
    private static final int COLLECTION = 0x74746366;
    private static final int HEAD_SIGN = 0x5F0F3CF5;
    private static final int HEADER = 12;
    private static final int ENTRY = 16;
    private static final int MOST_TABLES = 100;
    private static final int HEAD_LENGTH = 54;
    private static final int MAXP_LENGTH = 6;
    private static final Set<String> NEEDED = Set.of("cmap", "head", "hhea", "hmtx", "maxp", "name");

    private final ByteBuffer bytes;
    private final Map<String, ByteBuffer> tables = new HashMap<>();

    private TypefaceFile(byte[] file) {
        this.bytes = ByteBuffer.wrap(file);
    }

    /** @return its font at a size of 1 pixel */
    static Font read(byte[] file) throws UnusableTypeface {
        if (file.length > OwnTypeface.LARGEST_FILE) {
            throw new UnusableTypeface("is larger than " + OwnTypeface.LARGEST_FILE / 1_000_000 + " MB");
        }
        new TypefaceFile(file).check();
        try {
            return Font.createFont(Font.TRUETYPE_FONT, new ByteArrayInputStream(file));
        } catch (FontFormatException | IOException e) {
            throw new UnusableTypeface("is a damaged typeface");
        }
    }

    private void check() throws UnusableTypeface {
        int sign = bytes.capacity() < HEADER ? 0 : bytes.getInt(0);
        if (sign == COLLECTION) {
            throw new UnusableTypeface("holds several typefaces. Take one of them out of it, as a TTF or OTF");
        }
        if (sign != TRUE_TYPE && sign != OLD_TRUE_TYPE && sign != OPEN_TYPE) {
            throw new UnusableTypeface("is no typeface in the form of TTF or OTF");
        }
        readTables(bytes.getShort(4) & 0xFFFF);
        boolean outlines = sign == OPEN_TYPE
                ? tables.containsKey("CFF ")
                : tables.containsKey("glyf") && tables.containsKey("loca");
        if (!tables.keySet().containsAll(NEEDED) || !outlines) {
            throw new UnusableTypeface("has no letters that can be drawn");
        }
        checkNumbers();
    }

    private void readTables(int count) throws UnusableTypeface {
        if (count > MOST_TABLES || HEADER + count * ENTRY > bytes.capacity()) {
            throw damaged();
        }
        for (int i = 0; i < count; i++) {
            int entry = HEADER + i * ENTRY;
            byte[] tag = new byte[4];
            bytes.get(entry, tag);
            long offset = bytes.getInt(entry + 8) & 0xFFFFFFFFL;
            long length = bytes.getInt(entry + 12) & 0xFFFFFFFFL;
            if (offset + length > bytes.capacity()) {
                throw damaged();
            }
            tables.put(new String(tag, StandardCharsets.ISO_8859_1), bytes.slice((int) offset, (int) length));
        }
    }

    /** Checks the numbers by which other tables are read: units per em, counts of glyphs and metrics. */
    private void checkNumbers() throws UnusableTypeface {
        ByteBuffer head = tables.get("head");
        ByteBuffer maxp = tables.get("maxp");
        if (head.capacity() < HEAD_LENGTH || maxp.capacity() < MAXP_LENGTH || head.getInt(12) != HEAD_SIGN) {
            throw damaged();
        }
        int unitsPerEm = head.getShort(18) & 0xFFFF;
        int glyphs = maxp.getShort(4) & 0xFFFF;
        boolean longOffsets = head.getShort(50) == 1;
        ByteBuffer loca = tables.get("loca");
        boolean tooShort = loca != null && loca.capacity() < (glyphs + 1L) * (longOffsets ? 4 : 2);
        if (unitsPerEm < 16 || unitsPerEm > 16_384 || glyphs == 0 || tooShort) {
            throw damaged();
        }
    }

    private static UnusableTypeface damaged() {
        return new UnusableTypeface("is a damaged typeface");
    }
}
