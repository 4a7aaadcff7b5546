package dobbin.server.pictures;

import com.github.luben.zstd.Zstd;
import com.github.luben.zstd.ZstdCompressCtx;
import com.github.luben.zstd.ZstdException;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.UnreadablePicture;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;

/**
 * A picture as what differs from an earlier one: ink after a stroke is nearly the ink before it. What is the same is 0, and
 * takes next to nothing once it is compressed with Zstandard, with a checksum.
 *
 * <p>The bytes: the word "Diff"; how many pictures it goes back to one that is stored whole; width and height; where the
 * corner of the earlier picture lies in this one, x and y (4 bytes each); the earlier picture's name (64 digits); then the
 * compressed differences, four bytes a pixel.
 *
 * @param base the name of the earlier picture
 */
record StoredPatch(String base, Size size, int x, int y, byte[] differences) {
    /** Reading one reads all that it goes back to, so every so often one is stored whole. */
    static final int DEEPEST = 16;

    private static final int MARK = 'D' << 24 | 'i' << 16 | 'f' << 8 | 'f';
    private static final int NUMBERS = 6;
    private static final int NAME_LENGTH = 64;
    private static final int HEAD_BYTES = 4 * NUMBERS + NAME_LENGTH;
    private static final int LEVEL = 3;

    /**
     * @param depth of the earlier picture, plus 1
     * @param x and {@code y} where the earlier picture's corner lies in this one; may be outside
     */
    static byte[] pack(Raster picture, int depth, String base, Raster earlier, int x, int y) {
        ByteBuffer differences = ByteBuffer.allocate(4 * picture.argb().length);
        for (int row = 0; row < picture.height(); row++) {
            for (int column = 0; column < picture.width(); column++) {
                differences.putInt(picture.pixel(column, row) ^ at(earlier, column - x, row - y));
            }
        }
        byte[] compressed;
        try (ZstdCompressCtx context = new ZstdCompressCtx()) {
            context.setLevel(LEVEL);
            context.setChecksum(true);
            compressed = context.compress(differences.array());
        }
        return ByteBuffer.allocate(HEAD_BYTES + compressed.length)
                .putInt(MARK)
                .putInt(depth)
                .putInt(picture.width())
                .putInt(picture.height())
                .putInt(x)
                .putInt(y)
                .put(base.getBytes(StandardCharsets.US_ASCII))
                .put(compressed)
                .array();
    }

    static boolean isPatch(byte[] bytes) {
        return bytes.length > HEAD_BYTES && ByteBuffer.wrap(bytes).getInt() == MARK;
    }

    /** @return how many others must be read before it; 0 where the bytes are no patch */
    static int depthOf(byte[] bytes) {
        return isPatch(bytes) ? ByteBuffer.wrap(bytes).getInt(4) : 0;
    }

    /** @throws UnreadablePicture where it is damaged */
    static StoredPatch unpack(byte[] packed) throws UnreadablePicture {
        ByteBuffer head = ByteBuffer.wrap(packed);
        head.getInt();
        head.getInt();
        int width = head.getInt();
        int height = head.getInt();
        int x = head.getInt();
        int y = head.getInt();
        byte[] name = new byte[NAME_LENGTH];
        head.get(name);
        try {
            Size size = new Size(width, height);
            byte[] differences = new byte[Math.toIntExact(4 * size.area())];
            long got = Zstd.decompressByteArray(
                    differences, 0, differences.length, packed, HEAD_BYTES, packed.length - HEAD_BYTES);
            if (got != differences.length) {
                throw new UnreadablePicture("is damaged");
            }
            return new StoredPatch(new String(name, StandardCharsets.US_ASCII), size, x, y, differences);
        } catch (ZstdException | IllegalArgumentException | ArithmeticException e) {
            throw new UnreadablePicture("is damaged", e);
        }
    }

    /** @param earlier the picture it is told from */
    Raster on(Raster earlier) {
        int[] argb = new int[Math.toIntExact(size.area())];
        ByteBuffer.wrap(differences).asIntBuffer().get(argb);
        for (int row = 0; row < size.height(); row++) {
            for (int column = 0; column < size.width(); column++) {
                argb[row * size.width() + column] ^= at(earlier, column - x, row - y);
            }
        }
        return Raster.of(size, argb);
    }

    private static int at(Raster picture, int x, int y) {
        return x >= 0 && y >= 0 && x < picture.width() && y < picture.height() ? picture.pixel(x, y) : 0;
    }
}
