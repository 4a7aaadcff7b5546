package dobbin.still;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dobbin.color.LinearLight;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A gamma and chromaticities in a PNG become the sRGB values that show the same. */
class PngColorsTest {
    private static final int[] SRGB = {31270, 32900, 64000, 33000, 30000, 60000, 15000, 6000};
    private static final int[] WIDER = {31270, 32900, 68000, 32000, 26500, 69000, 15000, 6000};
    private static final int[] OTHER_WHITE = {33333, 33333, 64000, 33000, 30000, 60000, 15000, 6000};
    private static final Raster RAMP = ramp();

    private static Raster ramp() {
        int[] argb = new int[256];
        for (int value = 0; value < 256; value++) {
            argb[value] = (value % 2 == 0 ? 0xFF : 0x80) << 24 | value << 16 | (255 - value) << 8 | value * 7 & 0xFF;
        }
        return Raster.of(new Size(256, 1), argb);
    }

    /** The ramp with chunks after its header. */
    private static Raster read(byte[]... chunks) throws UnreadablePicture {
        byte[] png = PngWriter.bytes(RAMP);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(png, 0, 33);
        for (byte[] chunk : chunks) {
            out.writeBytes(chunk);
        }
        out.write(png, 33, png.length - 33);
        return StillReader.read(out.toByteArray(), DecodeLimits.USUAL).raster();
    }

    private static byte[] gamma(int value) {
        return chunk("gAMA", ByteBuffer.allocate(4).putInt(value).array());
    }

    private static byte[] chromaticities(int... values) {
        ByteBuffer data = ByteBuffer.allocate(32);
        for (int value : values) {
            data.putInt(value);
        }
        return chunk("cHRM", data.array());
    }

    private static byte[] chunk(String type, byte... data) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PngWriter.writeChunk(out, type, data);
        return out.toByteArray();
    }

    @Test
    void aGammaOfOneIsLinearLight() throws Exception {
        Raster read = read(gamma(100_000));
        for (int value = 0; value < 256; value++) {
            int pixel = read.pixel(value, 0);
            assertThat(pixel >>> 24).isEqualTo(RAMP.pixel(value, 0) >>> 24);
            assertThat(pixel >> 16 & 0xFF).isCloseTo(LinearLight.toSrgb(value / 255f), within(1));
            assertThat(pixel >> 8 & 0xFF).isCloseTo(LinearLight.toSrgb((255 - value) / 255f), within(1));
        }
        assertThat(read(gamma(100_000), chromaticities(SRGB))).isEqualTo(read);
    }

    /** The values are those that Chromium shows. */
    @ParameterizedTest
    @CsvSource({
        "100, 509ec1, a3ccdf",
        "200, db1b7a, ee81b6",
        "250, ff00de, ff2dec",
    })
    void primariesAndWhiteAreThoseOfTheFile(int value, String wider, String otherWhite) throws Exception {
        assertClose(read(gamma(45_455), chromaticities(WIDER)).pixel(value, 0), wider);
        assertClose(read(gamma(100_000), chromaticities(OTHER_WHITE)).pixel(value, 0), otherWhite);
    }

    private static void assertClose(int pixel, String rgb) {
        for (int shift = 0; shift < 24; shift += 8) {
            assertThat(pixel >> shift & 0xFF)
                    .as("%06x", pixel & 0xFFFFFF)
                    .isCloseTo(Integer.parseInt(rgb, 16) >> shift & 0xFF, within(2));
        }
    }

    @Test
    void whatSaysNothingOrIsOverruledChangesNothing() throws Exception {
        assertThat(read()).isEqualTo(RAMP);
        assertThat(read(gamma(45_455))).as("what programs write for sRGB").isEqualTo(RAMP);
        assertThat(read(chromaticities(WIDER))).as("no gamma").isEqualTo(RAMP);
        assertThat(read(gamma(0), chromaticities(WIDER))).isEqualTo(RAMP);
        assertThat(read(gamma(100_000), chunk("sRGB", (byte) 0))).isEqualTo(RAMP);
        assertThat(read(gamma(100_000), chromaticities(31270, 32900, 1, 1, 2, 2, 3, 3)))
                .as("primaries on a line")
                .isEqualTo(RAMP);
    }
}
