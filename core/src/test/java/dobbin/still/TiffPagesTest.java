package dobbin.still;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Each page of a TIFF says itself how it lies. */
class TiffPagesTest {
    private static final int PAGE_BYTES = 128;

    /** Pages of 2 x 1 gray pixels, 16 and 240, each with an orientation. */
    private static byte[] tiff(ByteOrder order, int... orientations) {
        ByteBuffer file =
                ByteBuffer.allocate(8 + PAGE_BYTES * orientations.length).order(order);
        file.put((order == ByteOrder.LITTLE_ENDIAN ? "II" : "MM").getBytes())
                .putShort((short) 42)
                .putInt(8);
        for (int page = 0; page < orientations.length; page++) {
            int start = 8 + PAGE_BYTES * page;
            int pixels = start + PAGE_BYTES - 2;
            file.position(start).putShort((short) 9);
            entry(file, 256, 2);
            entry(file, 257, 1);
            entry(file, 258, 8);
            entry(file, 259, 1);
            entry(file, 262, 1);
            file.putShort((short) 273).putShort((short) 4).putInt(1).putInt(pixels);
            entry(file, 274, orientations[page]);
            entry(file, 278, 1);
            file.putShort((short) 279).putShort((short) 4).putInt(1).putInt(2);
            file.putInt(page + 1 < orientations.length ? start + PAGE_BYTES : 0);
            file.position(pixels).put((byte) 16).put((byte) 240);
        }
        return file.array();
    }

    private static void entry(ByteBuffer file, int tag, int value) {
        file.putShort((short) tag)
                .putShort((short) 3)
                .putInt(1)
                .putShort((short) value)
                .putShort((short) 0);
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void eachPageStandsUpright(boolean lowestFirst) throws Exception {
        byte[] file = tiff(lowestFirst ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN, 1, 6, 3, 8);
        assertThat(StillReader.pages(file)).isEqualTo(4);
        Size upright = new Size(2, 1);
        Size turned = new Size(1, 2);
        assertThat(page(file, 0)).isEqualTo(gray(upright, 16, 240));
        assertThat(page(file, 1)).isEqualTo(gray(turned, 16, 240));
        assertThat(page(file, 2)).isEqualTo(gray(upright, 240, 16));
        assertThat(page(file, 3)).isEqualTo(gray(turned, 240, 16));
    }

    private static Raster page(byte[] file, int page) throws UnreadablePicture {
        return StillReader.read(file, page, DecodeLimits.USUAL, Checkpoint.NONE).raster();
    }

    private static Raster gray(Size size, int first, int second) {
        return Raster.of(size, new int[] {0xFF000000 | first * 0x010101, 0xFF000000 | second * 0x010101});
    }
}
