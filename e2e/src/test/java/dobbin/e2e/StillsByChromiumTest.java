package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.skerry.SkerryPoint;
import dobbin.still.DecodeLimits;
import dobbin.still.PngWriter;
import dobbin.still.StillReader;
import java.awt.Transparency;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.WritableRaster;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Stills of kinds that are easily read wrong: they look as in the browser, to two levels in the mean. */
class StillsByChromiumTest {
    private static final double MOST_APART = 2;
    private static final String SHOWN = """
            async base64 => {
              const data = Uint8Array.from(atob(base64), c => c.charCodeAt(0))
              const bitmap = await createImageBitmap(new Blob([data]), { premultiplyAlpha: 'none' })
              const canvas = new OffscreenCanvas(bitmap.width, bitmap.height)
              const pen = canvas.getContext('2d')
              pen.drawImage(bitmap, 0, 0)
              return [...pen.getImageData(0, 0, canvas.width, canvas.height).data]
            }""";
    private static final Size SIZE = new Size(96, 64);
    private static final Raster SCENE = SkerryPoint.sunrise(12, SIZE).get(11);

    @RegisterExtension
    private static final Visit visit = new Visit();

    private static Page page;

    @BeforeAll
    static void start() {
        page = visit.browser().open(visit.address());
    }

    @AfterAll
    static void stop() {
        page.close();
    }

    private record Kind(String name, byte[] file) {
        @Override
        public String toString() {
            return name;
        }
    }

    static Stream<Kind> kinds() throws IOException {
        BufferedImage plain = new BufferedImage(SIZE.width(), SIZE.height(), BufferedImage.TYPE_INT_RGB);
        plain.setRGB(0, 0, SIZE.width(), SIZE.height(), SCENE.argb(), 0, SIZE.width());
        return Stream.of(
                new Kind("PNG of 16 bits", written(deep(), "png")),
                new Kind("PNG of gray and alpha", written(grayAndAlpha(), "png")),
                new Kind("PNG with a palette", written(indexed(plain), "png")),
                new Kind("PNG with a profile", withLinearProfile()),
                new Kind("PNG with a gamma", with("gAMA", 60_000)),
                new Kind(
                        "PNG with a gamma and primaries",
                        with(
                                "cHRM",
                                with("gAMA", 52_000),
                                34_000,
                                35_000,
                                68_000,
                                32_000,
                                26_500,
                                69_000,
                                15_000,
                                6_000)),
                new Kind("JPEG", written(plain, "jpeg")),
                new Kind("JPEG of gray", written(gray(plain), "jpeg")),
                new Kind("JPEG with a profile", written(linear(), "jpeg")),
                new Kind("JPEG of four inks", written(fourInks(), "jpeg")),
                new Kind("BMP", written(plain, "bmp")));
    }

    private static BufferedImage deep() {
        BufferedImage image = image(ColorSpace.getInstance(ColorSpace.CS_sRGB), false, DataBuffer.TYPE_USHORT);
        for (int i = 0; i < SCENE.argb().length; i++) {
            for (int channel = 0; channel < 3; channel++) {
                // The lower eight bits are not those of the upper ones.
                set(image, i, channel, channel(i, channel) << 8 | i * 37 & 0xFF);
            }
        }
        return image;
    }

    private static BufferedImage grayAndAlpha() {
        BufferedImage image = image(ColorSpace.getInstance(ColorSpace.CS_GRAY), true, DataBuffer.TYPE_BYTE);
        for (int i = 0; i < SCENE.argb().length; i++) {
            set(image, i, 0, channel(i, 1));
            set(image, i, 1, i % SIZE.width() < 40 ? 255 : 128);
        }
        return image;
    }

    private static BufferedImage indexed(BufferedImage plain) {
        BufferedImage image = new BufferedImage(SIZE.width(), SIZE.height(), BufferedImage.TYPE_BYTE_INDEXED);
        image.createGraphics().drawImage(plain, 0, 0, null);
        return image;
    }

    private static BufferedImage gray(BufferedImage plain) {
        BufferedImage image = new BufferedImage(SIZE.width(), SIZE.height(), BufferedImage.TYPE_BYTE_GRAY);
        for (int i = 0; i < SCENE.argb().length; i++) {
            set(image, i, 0, channel(i, 1));
        }
        return image;
    }

    private static BufferedImage linear() {
        BufferedImage image = image(ColorSpace.getInstance(ColorSpace.CS_LINEAR_RGB), false, DataBuffer.TYPE_BYTE);
        for (int i = 0; i < SCENE.argb().length; i++) {
            for (int channel = 0; channel < 3; channel++) {
                set(image, i, channel, channel(i, channel));
            }
        }
        return image;
    }

    /** Cyan, magenta, yellow and black in four bands, of no profile. */
    private static BufferedImage fourInks() {
        BufferedImage image = image(new FourInks(), false, DataBuffer.TYPE_BYTE);
        for (int i = 0; i < SCENE.argb().length; i++) {
            int black = 40;
            for (int ink = 0; ink < 3; ink++) {
                set(image, i, ink, Math.max(0, 255 - channel(i, ink) - black));
            }
            set(image, i, 3, black);
        }
        return image;
    }

    /** Only a name for four bands: the writer stores them as they are. */
    private static final class FourInks extends ColorSpace {
        private static final long serialVersionUID = 1;

        FourInks() {
            super(TYPE_CMYK, 4);
        }

        @Override
        public float[] toRGB(float[] inks) {
            float light = 1 - inks[3];
            return new float[] {(1 - inks[0]) * light, (1 - inks[1]) * light, (1 - inks[2]) * light};
        }

        @Override
        public float[] fromRGB(float[] rgb) {
            return new float[] {1 - rgb[0], 1 - rgb[1], 1 - rgb[2], 0};
        }

        @Override
        public float[] toCIEXYZ(float[] inks) {
            return getInstance(CS_sRGB).toCIEXYZ(toRGB(inks));
        }

        @Override
        public float[] fromCIEXYZ(float[] xyz) {
            return fromRGB(getInstance(CS_sRGB).fromCIEXYZ(xyz));
        }
    }

    private static BufferedImage image(ColorSpace space, boolean alpha, int type) {
        ComponentColorModel model = new ComponentColorModel(
                space, alpha, false, alpha ? Transparency.TRANSLUCENT : Transparency.OPAQUE, type);
        WritableRaster raster = model.createCompatibleWritableRaster(SIZE.width(), SIZE.height());
        return new BufferedImage(model, raster, false, null);
    }

    private static int channel(int pixel, int channel) {
        return SCENE.argb()[pixel] >> 16 - 8 * channel & 0xFF;
    }

    private static void set(BufferedImage image, int pixel, int band, int value) {
        image.getRaster().setSample(pixel % SIZE.width(), pixel / SIZE.width(), band, value);
    }

    private static byte[] written(BufferedImage image, String format) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageWriter writer =
                ImageIO.getImageWriters(new ImageTypeSpecifier(image), format).next();
        try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
            writer.setOutput(stream);
            writer.write(null, new IIOImage(image, null, null), null);
        } finally {
            writer.dispose();
        }
        return out.toByteArray();
    }

    private static byte[] with(String chunk, int... numbers) {
        return with(chunk, PngWriter.bytes(SCENE), numbers);
    }

    private static byte[] with(String chunk, byte[] png, int... numbers) {
        ByteBuffer data = ByteBuffer.allocate(4 * numbers.length);
        Arrays.stream(numbers).forEach(data::putInt);
        return with(chunk, png, data.array());
    }

    /** A chunk right after the head of a PNG. */
    private static byte[] with(String chunk, byte[] png, byte[] data) {
        int head = 8 + 25;
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(png, 0, head);
        PngWriter.writeChunk(out, chunk, data);
        out.write(png, head, png.length - head);
        return out.toByteArray();
    }

    private static byte[] withLinearProfile() throws IOException {
        ByteArrayOutputStream profile = new ByteArrayOutputStream();
        profile.writeBytes("linear\0\0".getBytes(StandardCharsets.ISO_8859_1));
        try (DeflaterOutputStream deflated = new DeflaterOutputStream(profile)) {
            deflated.write(ICC_Profile.getInstance(ColorSpace.CS_LINEAR_RGB).getData());
        }
        return with("iCCP", PngWriter.bytes(SCENE), profile.toByteArray());
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void looksAsInTheBrowser(Kind kind) throws Exception {
        Raster ours = StillReader.read(kind.file, DecodeLimits.USUAL).raster();
        List<?> theirs = (List<?>) page.evaluate(SHOWN, Base64.getEncoder().encodeToString(kind.file));
        assertThat(theirs).hasSize(4 * ours.argb().length);
        double sum = 0;
        for (int i = 0; i < ours.argb().length; i++) {
            int pixel = ours.argb()[i];
            int[] channels = {pixel >> 16 & 0xFF, pixel >> 8 & 0xFF, pixel & 0xFF, pixel >>> 24};
            for (int channel = 0; channel < 4; channel++) {
                sum += Math.abs(channels[channel] - ((Number) theirs.get(4 * i + channel)).intValue());
            }
        }
        assertThat(sum / (4 * ours.argb().length)).isLessThanOrEqualTo(MOST_APART);
    }
}
