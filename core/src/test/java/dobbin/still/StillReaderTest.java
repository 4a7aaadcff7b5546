package dobbin.still;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.zip.CRC32;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
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
    void jpegsHaveThePixelsTheDecoderGives() throws Exception {
        BufferedImage picture = new BufferedImage(61, 37, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < 37; y++) {
            for (int x = 0; x < 61; x++) {
                picture.setRGB(x, y, x * 4 << 16 | y * 6 << 8 | (x * y & 0xFF));
            }
        }
        for (byte[] file : List.of(written(picture, "jpg"), progressive(picture))) {
            BufferedImage expected = ImageIO.read(new ByteArrayInputStream(file));
            int[] argb = expected.getRGB(0, 0, 61, 37, null, 0, 61);
            assertThat(StillReader.read(file, DecodeLimits.USUAL).raster())
                    .isEqualTo(Raster.of(new Size(61, 37), argb));
        }
    }

    /** Of the class loader of the thread that asks first, nothing depends. */
    @Test
    void readersAreThereWhicheverThreadAsks() throws Exception {
        byte[] file = written(new BufferedImage(64, 32, BufferedImage.TYPE_INT_RGB), "jpg");
        Thread plain = new Thread(() -> {
            try {
                assertThat(StillReader.read(file, DecodeLimits.USUAL).size()).isEqualTo(new Size(64, 32));
            } catch (UnreadablePicture e) {
                throw new AssertionError(e);
            }
        });
        List<Throwable> failures = new ArrayList<>();
        plain.setContextClassLoader(ClassLoader.getPlatformClassLoader());
        plain.setUncaughtExceptionHandler((thread, failure) -> failures.add(failure));
        plain.start();
        plain.join();
        assertThat(failures).isEmpty();
    }

    @Test
    void readingCanBeEndedAtAnyRow() throws Exception {
        byte[] file = written(new BufferedImage(64, 3200, BufferedImage.TYPE_INT_RGB), "png");
        int[] asked = {0};
        assertThatThrownBy(() -> StillReader.read(file, DecodeLimits.USUAL, () -> {
                    if (asked[0]++ == 1_000) {
                        throw new CancellationException("takes too long");
                    }
                }))
                .isInstanceOf(CancellationException.class)
                .hasMessage("takes too long");
    }

    /** Progressive, and its last scan again and again: each is work for the whole picture, and takes a few bytes. */
    @Test
    void aJpegOfThousandsOfScansCanBeEnded() throws Exception {
        byte[] file = withManyScans(progressive(new BufferedImage(800, 800, BufferedImage.TYPE_INT_RGB)), 2_000);
        int[] asked = {0};
        assertThatThrownBy(() -> StillReader.read(file, DecodeLimits.USUAL, () -> {
                    if (asked[0]++ == 40) {
                        throw new CancellationException("takes too long");
                    }
                }))
                .isInstanceOf(CancellationException.class);
    }

    private static byte[] progressive(BufferedImage image) throws IOException {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ImageWriteParam how = writer.getDefaultWriteParam();
        how.setProgressiveMode(ImageWriteParam.MODE_DEFAULT);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
            writer.setOutput(stream);
            writer.write(null, new IIOImage(image, null, null), how);
        }
        writer.dispose();
        return out.toByteArray();
    }

    private static byte[] withManyScans(byte[] jpeg, int times) {
        int last = jpeg.length - 2;
        while ((jpeg[last] & 0xFF) != 0xFF || (jpeg[last + 1] & 0xFF) != 0xDA) {
            last--;
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(jpeg, 0, last);
        for (int i = 0; i < times; i++) {
            out.write(jpeg, last, jpeg.length - 2 - last);
        }
        out.writeBytes(new byte[] {(byte) 0xFF, (byte) 0xD9});
        return out.toByteArray();
    }

    @Test
    void aSideThatIsTooLongIsSaid() throws Exception {
        byte[] panorama = written(new BufferedImage(30_001, 2, BufferedImage.TYPE_BYTE_GRAY), "png");
        assertThatThrownBy(() -> StillReader.read(panorama, DecodeLimits.USUAL))
                .isInstanceOf(UnreadablePicture.class)
                .hasMessageStartingWith("is 30001 × 2 pixels; a side may have at most 30000");
    }

    @Test
    void sixteenBitsAChannelAreReadAndCounted() throws Exception {
        BufferedImage deep = new BufferedImage(
                new ComponentColorModel(
                        ColorSpace.getInstance(ColorSpace.CS_sRGB), false, false, 1, DataBuffer.TYPE_USHORT),
                java.awt.image.Raster.createInterleavedRaster(DataBuffer.TYPE_USHORT, 40, 20, 3, null),
                false,
                null);
        byte[] file = written(deep, "png");
        assertThat(StillReader.read(file, DecodeLimits.USUAL).raster())
                .isEqualTo(Raster.filled(new Size(40, 20), 0xFF000000));
        assertThat(StillReader.head(file, DecodeLimits.USUAL).bytes()
                        - StillReader.head(
                                        written(new BufferedImage(40, 20, BufferedImage.TYPE_3BYTE_BGR), "png"),
                                        DecodeLimits.USUAL)
                                .bytes())
                .as("three bytes a pixel more")
                .isEqualTo(3 * 800);
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
