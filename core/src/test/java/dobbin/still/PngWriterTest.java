package dobbin.still;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import javax.imageio.ImageIO;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PngWriterTest {
    /** The JDK's reader sees the very pixels, whatever is written. */
    @ParameterizedTest
    @CsvSource({"1, 1, noise", "3, 70, noise", "211, 157, ramp", "64, 64, flat", "900, 40, alpha"})
    void anIndependentReaderSeesTheSamePixels(int width, int height, String kind) throws Exception {
        Random random = new Random(11);
        int[] argb = new int[width * height];
        for (int i = 0; i < argb.length; i++) {
            argb[i] = switch (kind) {
                case "noise" -> 0xFF000000 | random.nextInt(1 << 24);
                case "ramp" -> 0xFF000000 | (i % width) << 16 | (i / width) << 8 | 0x40;
                case "alpha" -> random.nextInt();
                default -> 0xFF2B6F86;
            };
        }
        Raster raster = Raster.of(new Size(width, height), argb);
        for (byte[] file : new byte[][] {PngWriter.bytes(raster), PngWriter.bytes(raster, "Reduced from 9 x 9")}) {
            BufferedImage image = ImageIO.read(new ByteArrayInputStream(file));
            assertThat(image.getRGB(0, 0, width, height, null, 0, width)).isEqualTo(argb);
        }
        assertThat(new String(PngWriter.bytes(raster, "Reduced from 9 x 9"), StandardCharsets.ISO_8859_1))
                .contains("tEXtComment\0Reduced from 9 x 9");
    }
}
