package dobbin.still;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class StillReaderTest {
    @Test
    void pngKeepsEveryPixelAndItsTransparency() throws Exception {
        Raster raster = Raster.of(new Size(3, 1), new int[] {0xFF123456, 0x80FF0000, 0x00000000});
        assertThat(StillReader.read(png(raster), DecodeLimits.USUAL).raster()).isEqualTo(raster);
    }

    @Test
    void graySamplesAreTakenAsTheyAre() throws Exception {
        BufferedImage gray = new BufferedImage(256, 1, BufferedImage.TYPE_BYTE_GRAY);
        for (int value = 0; value < 256; value++) {
            gray.getRaster().setSample(value, 0, 0, value);
        }
        Raster read = StillReader.read(written(gray, "png"), DecodeLimits.USUAL).raster();
        for (int value = 0; value < 256; value++) {
            assertThat(read.pixel(value, 0)).isEqualTo(0xFF000000 | value * 0x010101);
        }
    }

    @Test
    void jpegIsTurnedUprightByItsExif() throws Exception {
        BufferedImage lying = new BufferedImage(64, 32, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < 32; y++) {
            for (int x = 0; x < 16; x++) {
                lying.setRGB(x, y, 0xFFFFFF);
            }
        }
        byte[] file = withOrientation(written(lying, "jpg"), 6);
        StillReader.StillPicture read = StillReader.read(file, DecodeLimits.USUAL);
        assertThat(read.size()).isEqualTo(new Size(32, 64));
        assertThat(read.raster().pixel(16, 4) & 0xFF).isGreaterThan(240);
        assertThat(read.raster().pixel(16, 60) & 0xFF).isLessThan(15);
    }

    @Test
    void largePicturesComeAtWorkingSizeAndKeepTheirOwn() throws Exception {
        StillReader.StillPicture read = StillReader.read(
                written(new BufferedImage(3200, 1000, BufferedImage.TYPE_INT_RGB), "png"), DecodeLimits.USUAL);
        assertThat(read.size()).isEqualTo(new Size(3200, 1000));
        assertThat(read.raster().size()).isEqualTo(new Size(1600, 500));
    }

    @Test
    void refusesWhatIsNoPictureInOneSentence() {
        assertRefused(new byte[0], "is empty");
        assertRefused("ferry times".getBytes(StandardCharsets.UTF_8), "is not a picture");
    }

    @Test
    void refusesABrokenOffJpegRatherThanShowItHalfGray() throws Exception {
        byte[] whole = written(new BufferedImage(300, 200, BufferedImage.TYPE_INT_RGB), "jpg");
        assertRefused(Arrays.copyOf(whole, whole.length * 2 / 3), "breaks off in the middle");
        assertRefused(Arrays.copyOf(whole, 12), "");
    }

    @ParameterizedTest
    @ValueSource(ints = {9, 20, 40, 60})
    void refusesABrokenOffPng(int length) throws Exception {
        byte[] whole = written(new BufferedImage(300, 200, BufferedImage.TYPE_INT_RGB), "png");
        assertRefused(Arrays.copyOf(whole, length), "is damaged");
    }

    @Test
    void refusesHugePicturesByTheirHead() throws Exception {
        assertRefused(pngHead(20_000, 20_000), "is 20000 × 20000 pixels; at most 50 megapixels");
        DecodeLimits tight = new DecodeLimits(50, 10, 1_000);
        assertThatThrownBy(() -> StillReader.read(new byte[1_001], tight)).hasMessageContaining("MB can be read");
    }

    private static void assertRefused(byte[] file, String reason) {
        assertThatThrownBy(() -> StillReader.read(file, DecodeLimits.USUAL))
                .isInstanceOf(UnreadablePicture.class)
                .hasMessageContaining(reason);
    }

    private static byte[] png(Raster raster) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PngWriter.write(raster, out);
        return out.toByteArray();
    }

    private static byte[] written(BufferedImage image, String format) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, format, out);
        return out.toByteArray();
    }

    /** Puts an APP1 segment after the start of the image: "Exif", a little-endian TIFF head, one tag 0x0112. */
    private static byte[] withOrientation(byte[] jpeg, int orientation) {
        int[] segment = {
            0xFF,
            0xE1,
            0,
            34,
            'E',
            'x',
            'i',
            'f',
            0,
            0,
            'I',
            'I',
            42,
            0,
            8,
            0,
            0,
            0,
            1,
            0,
            0x12,
            1,
            3,
            0,
            1,
            0,
            0,
            0,
            orientation,
            0,
            0,
            0,
            0,
            0,
            0,
            0
        };
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(jpeg, 0, 2);
        for (int value : segment) {
            out.write(value);
        }
        out.write(jpeg, 2, jpeg.length - 2);
        return out.toByteArray();
    }

    /** A PNG that says how large it is and then holds next to nothing. */
    private static byte[] pngHead(int width, int height) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(bytes);
        out.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'});
        ByteArrayOutputStream head = new ByteArrayOutputStream();
        DataOutputStream fields = new DataOutputStream(head);
        fields.writeBytes("IHDR");
        fields.writeInt(width);
        fields.writeInt(height);
        fields.write(new byte[] {8, 2, 0, 0, 0});
        CRC32 crc = new CRC32();
        crc.update(head.toByteArray());
        out.writeInt(13);
        out.write(head.toByteArray());
        out.writeInt((int) crc.getValue());
        out.writeInt(0);
        out.writeBytes("IEND");
        return bytes.toByteArray();
    }
}
