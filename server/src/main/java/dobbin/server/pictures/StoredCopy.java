package dobbin.server.pictures;

import com.github.luben.zstd.Zstd;
import com.github.luben.zstd.ZstdException;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.UnreadablePicture;
import java.nio.ByteBuffer;

/**
 * A reduced copy of a picture as it lies in the database. Nobody outside reads it, so it need not be a PNG: each sample's
 * difference from the one to its left, compressed with Zstandard, is smaller and takes a third of the time.
 *
 * <p>The bytes: the word "Copy", width, height and channels (3, or 4 with alpha; 4 bytes each), then the compressed samples
 * in the order red, green, blue, alpha.
 */
final class StoredCopy {
    private static final int MARK = 'C' << 24 | 'o' << 16 | 'p' << 8 | 'y';
    private static final int HEAD_BYTES = 16;
    private static final int LEVEL = 1;

    private StoredCopy() {}

    static byte[] pack(Raster raster) {
        int channels = raster.isOpaque() ? 3 : 4;
        byte[] compressed = Zstd.compress(differences(raster, channels), LEVEL);
        return ByteBuffer.allocate(HEAD_BYTES + compressed.length)
                .putInt(MARK)
                .putInt(raster.width())
                .putInt(raster.height())
                .putInt(channels)
                .put(compressed)
                .array();
    }

    /** @return whether it was packed here; copies from earlier versions are PNG */
    static boolean isPacked(byte[] bytes) {
        return bytes.length >= HEAD_BYTES && ByteBuffer.wrap(bytes).getInt() == MARK;
    }

    /** @throws UnreadablePicture where it is damaged */
    static Raster unpack(byte[] packed) throws UnreadablePicture {
        ByteBuffer head = ByteBuffer.wrap(packed);
        head.getInt();
        int width = head.getInt();
        int height = head.getInt();
        int channels = head.getInt();
        try {
            Size size = new Size(width, height);
            byte[] differences = new byte[Math.toIntExact(channels * size.area())];
            long got = Zstd.decompressByteArray(
                    differences, 0, differences.length, packed, HEAD_BYTES, packed.length - HEAD_BYTES);
            if (got != differences.length || channels != 3 && channels != 4) {
                throw new UnreadablePicture("is damaged");
            }
            return sum(size, differences, channels);
        } catch (ZstdException | IllegalArgumentException | ArithmeticException e) {
            throw new UnreadablePicture("is damaged", e);
        }
    }

    private static byte[] differences(Raster raster, int channels) {
        int[] argb = raster.argb();
        byte[] differences = new byte[channels * argb.length];
        int out = 0;
        for (int y = 0, in = 0; y < raster.height(); y++) {
            int left = 0;
            for (int x = 0; x < raster.width(); x++, in++, out += channels) {
                int pixel = argb[in];
                differences[out] = (byte) ((pixel >> 16) - (left >> 16));
                differences[out + 1] = (byte) ((pixel >> 8) - (left >> 8));
                differences[out + 2] = (byte) (pixel - left);
                if (channels == 4) {
                    differences[out + 3] = (byte) ((pixel >>> 24) - (left >>> 24));
                }
                left = pixel;
            }
        }
        return differences;
    }

    private static Raster sum(Size size, byte[] differences, int channels) {
        int[] argb = new int[Math.toIntExact(size.area())];
        int in = 0;
        for (int y = 0, out = 0; y < size.height(); y++) {
            int red = 0;
            int green = 0;
            int blue = 0;
            int alpha = channels == 4 ? 0 : 255;
            for (int x = 0; x < size.width(); x++, in += channels, out++) {
                red += differences[in];
                green += differences[in + 1];
                blue += differences[in + 2];
                if (channels == 4) {
                    alpha += differences[in + 3];
                }
                argb[out] = alpha << 24 | (red & 0xFF) << 16 | (green & 0xFF) << 8 | blue & 0xFF;
            }
        }
        return Raster.of(size, argb);
    }
}
