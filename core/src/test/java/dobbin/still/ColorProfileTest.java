package dobbin.still;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dobbin.color.LinearLight;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import org.junit.jupiter.api.Test;

/** Samples of linear light, as their profile says, become the sRGB values that show the same. */
class ColorProfileTest {
    private static final byte[] LINEAR =
            ICC_Profile.getInstance(ColorSpace.CS_LINEAR_RGB).getData();
    private static final byte[] GRAY =
            ICC_Profile.getInstance(ColorSpace.CS_GRAY).getData();
    private static final Raster RAMP = ramp();

    private static Raster ramp() {
        int[] argb = new int[256];
        for (int value = 0; value < 256; value++) {
            argb[value] = (value % 2 == 0 ? 0xFF : 0x80) << 24 | value << 16 | (255 - value) << 8 | 0x40;
        }
        return Raster.of(new Size(256, 1), argb);
    }

    private static Raster read(byte[] file) throws UnreadablePicture {
        return StillReader.read(file, DecodeLimits.USUAL).raster();
    }

    @Test
    void theProfileOfAPngIsApplied() throws Exception {
        Raster read = read(withProfile(deflated(LINEAR)));
        for (int value = 0; value < 256; value++) {
            int pixel = read.pixel(value, 0);
            assertThat(pixel >>> 24).isEqualTo(RAMP.pixel(value, 0) >>> 24);
            assertThat(pixel >> 16 & 0xFF).isCloseTo(LinearLight.toSrgb(value / 255f), within(2));
            assertThat(pixel >> 8 & 0xFF).isCloseTo(LinearLight.toSrgb((255 - value) / 255f), within(2));
        }
    }

    @Test
    void aProfileThatCannotBeUsedChangesNothing() throws Exception {
        assertThat(read(withProfile(deflated(GRAY)))).isEqualTo(RAMP);
        assertThat(read(withProfile(deflated(new byte[] {1, 2, 3})))).isEqualTo(RAMP);
        assertThat(read(withProfile(new byte[] {1, 2, 3}))).isEqualTo(RAMP);
        assertThat(read(PngWriter.bytes(RAMP))).isEqualTo(RAMP);
    }

    private static byte[] deflated(byte[] profile) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (DeflaterOutputStream deflated = new DeflaterOutputStream(out)) {
            deflated.write(profile);
        }
        return out.toByteArray();
    }

    /** Puts a chunk with a profile after the header. */
    private static byte[] withProfile(byte[] deflated) {
        byte[] png = PngWriter.bytes(RAMP);
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        body.writeBytes("iCCPLinear\0\0".getBytes(StandardCharsets.ISO_8859_1));
        body.writeBytes(deflated);
        CRC32 checksum = new CRC32();
        checksum.update(body.toByteArray());
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(png, 0, 33);
        out.writeBytes(ByteBuffer.allocate(4).putInt(body.size() - 4).array());
        out.writeBytes(body.toByteArray());
        out.writeBytes(ByteBuffer.allocate(4).putInt((int) checksum.getValue()).array());
        out.write(png, 33, png.length - 33);
        return out.toByteArray();
    }
}
