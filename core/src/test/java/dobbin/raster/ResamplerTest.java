package dobbin.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dobbin.color.LinearLight;
import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ResamplerTest {
    @Test
    void rowsThatAreReadOneByOneGiveTheSamePixels() {
        Size size = new Size(37, 23);
        int[] argb = new java.util.Random(4).ints(size.area()).toArray();
        Raster source = Raster.of(size, argb);
        PixelRows rows = new PixelRows() {
            @Override
            public Size size() {
                return size;
            }

            @Override
            public boolean isOpaque() {
                return false;
            }

            @Override
            public void read(int y, int[] row) {
                System.arraycopy(argb, y * row.length, row, 0, row.length);
            }
        };
        assertThat(Resampler.resize(rows, new Size(20, 13))).isEqualTo(Resampler.resize(source, new Size(20, 13)));
        assertThat(Resampler.resize(rows, size)).isEqualTo(source);
        Raster halved = Resampler.resize(rows, new Size(11, 7));
        Raster cubic = Resampler.resize(source, new Size(11, 7));
        double off = 0;
        for (int i = 0; i < 77; i++) {
            off += Math.abs((halved.argb()[i] >>> 24) - (cubic.argb()[i] >>> 24)) / 77.0;
        }
        assertThat(off).as("averaged first, noise comes out much the same").isLessThan(16);
    }

    @Test
    void sameSizeIsTheSameRaster() {
        Raster raster = Raster.filled(new Size(7, 5), 0xFF102030);
        assertThat(Resampler.resize(raster, new Size(7, 5))).isSameAs(raster);
    }

    @ParameterizedTest
    @CsvSource({"31, 17, 7, 5", "7, 5, 31, 17", "1, 1, 9, 9", "200, 3, 1, 1", "13, 1, 13, 40"})
    void aFlatPictureStaysFlatToItsEdges(int width, int height, int newWidth, int newHeight) {
        for (int color : new int[] {0xFF6E91C3, 0x806E91C3}) {
            Raster flat = Raster.filled(new Size(width, height), color);
            Size size = new Size(newWidth, newHeight);
            assertThat(Resampler.resize(flat, size)).isEqualTo(Raster.filled(size, color));
        }
    }

    @Test
    void blackAndWhiteMixToHalfTheLightNotToHalfTheNumber() {
        int[] checkered = new int[64 * 64];
        for (int i = 0; i < checkered.length; i++) {
            checkered[i] = (i + i / 64) % 2 == 0 ? 0xFFFFFFFF : 0xFF000000;
        }
        Raster half = Resampler.resize(Raster.of(new Size(64, 64), checkered), new Size(8, 8));
        assertThat(half.pixel(4, 4) & 0xFF).isBetween(186, 190);
    }

    @Test
    void invisibleColorDoesNotBleedIntoEdges() {
        int[] pixels = new int[40];
        Arrays.fill(pixels, 0, 20, 0xFFFF0000);
        Arrays.fill(pixels, 20, 40, 0x0000FF00);
        Raster reduced = Resampler.resize(Raster.of(new Size(40, 1), pixels), new Size(9, 1));
        for (int pixel : reduced.argb()) {
            assertThat(pixel >> 8 & 0xFF).as("green of %08x", pixel).isZero();
        }
    }

    @Test
    void keepsTheLightOfAPicture() {
        Random random = new Random(5);
        int[] pixels = random.ints(96 * 96).map(p -> 0xFF000000 | p & 0x7F7F7F).toArray();
        Raster picture = Raster.of(new Size(96, 96), pixels);
        Raster reduced = Resampler.resize(picture, new Size(24, 24));
        assertThat(meanGreen(reduced)).isCloseTo(meanGreen(picture), within(0.003));
    }

    private static double meanGreen(Raster raster) {
        return Arrays.stream(raster.argb())
                .mapToDouble(p -> LinearLight.of(p >> 8 & 0xFF))
                .average()
                .orElseThrow();
    }
}
