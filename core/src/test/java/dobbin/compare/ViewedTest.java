package dobbin.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dobbin.raster.Bilinear;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The figures were computed by an independent program that defines the measure. */
class ViewedTest {
    private static Raster pattern(int width, int height, int seed, int step) {
        int[] argb = new int[width * height];
        for (int i = 0; i < argb.length; i++) {
            int x = i % width;
            int y = i / width;
            int red = (x * 7 + y * 3 + seed * 11) % 256 / step * step;
            int green = (x * x + y * 5 + seed * 29) % 256 / step * step;
            int blue = (x * y + seed * 53) % 256 / step * step;
            argb[i] = 0xFF000000 | red << 16 | green << 8 | blue;
        }
        return Raster.of(new Size(width, height), argb);
    }

    @ParameterizedTest
    @CsvSource({
        "40, 30, 6.792336702346802, 10.872126370668411",
        "3, 2, 12.036166340112686, 12.46102824807167",
        "1, 1, 10.094209015369415, 12.698832154273987",
        "9, 1, 10.55188924074173, 11.675446480512619",
    })
    void theErrorIsTheMeasuresOwn(int width, int height, double quantized, double other) {
        Viewed picture = Viewed.of(pattern(width, height, 1, 1));
        assertThat(picture.meanError(Viewed.of(pattern(width, height, 1, 48))))
                .isCloseTo(quantized, Percentage.withPercentage(0.1));
        assertThat(picture.meanError(Viewed.of(pattern(width, height, 2, 1))))
                .isCloseTo(other, Percentage.withPercentage(0.1));
    }

    @Test
    void theSamePictureHasNoErrorAndBlackIsAHundredFromWhite() {
        Size size = new Size(20, 10);
        Viewed white = Viewed.of(Raster.filled(size, 0xFFFFFFFF));
        assertThat(white.meanError(white)).isZero();
        assertThat(white.meanError(Viewed.of(Raster.filled(size, 0xFF000000)))).isCloseTo(100, within(0.01));
    }

    @Test
    void aFineCheckeredPatternIsSeenAsItsMeanLight() {
        Size size = new Size(32, 32);
        int[] argb = new int[32 * 32];
        for (int i = 0; i < argb.length; i++) {
            argb[i] = (i % 32 + i / 32) % 2 == 0 ? 0xFFFFFFFF : 0xFF000000;
        }
        Viewed checkered = Viewed.of(Raster.of(size, argb));
        assertThat(checkered.meanError(Viewed.of(Raster.filled(size, 0xFFBCBCBC))))
                .isLessThan(0.5);
    }

    @Test
    void heatIsWhereTheDifferenceIs() {
        Size size = new Size(30, 20);
        int[] spot = Raster.filled(size, 0xFF808080).argb().clone();
        for (int y = 5; y < 12; y++) {
            for (int x = 20; x < 27; x++) {
                spot[y * 30 + x] = 0xFFB23A2E;
            }
        }
        Raster drawn = Raster.filled(size, 0xFF808080);
        float[] errors = Viewed.of(drawn).errors(Viewed.of(Raster.of(size, spot)));
        Raster heat = Heat.of(drawn, errors);
        assertThat(errors[8 * 30 + 23]).isGreaterThan(10);
        assertThat(errors[8 * 30 + 3]).isZero();
        assertThat(heat.pixel(23, 8)).as("darkest where most differs").isEqualTo(0xFF3A0A10);
        assertThat(heat.pixel(3, 8) & 0xFF).as("gray elsewhere").isEqualTo(heat.pixel(3, 8) >> 16 & 0xFF);
    }

    @Test
    void enlargingGoesEvenlyFromPixelToPixel() {
        Raster two = Raster.of(new Size(2, 1), new int[] {0xFF000000, 0xFF808040});
        assertThat(Bilinear.resize(two, new Size(4, 1)).argb())
                .containsExactly(0xFF000000, 0xFF202010, 0xFF606030, 0xFF808040);
        assertThat(Bilinear.resize(two, two.size())).isSameAs(two);
    }
}
