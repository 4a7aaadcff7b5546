package dobbin.dither;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dobbin.palette.NearestColor;
import dobbin.palette.Palette;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class DitherTest {
    private static final Palette BLACK_AND_WHITE = Palette.opaque(0x000000, 0xFFFFFF);

    @ParameterizedTest
    @EnumSource(Dither.class)
    void colorsOfThePaletteStayThemselves(Dither dither) {
        Palette palette = Palette.withTransparency(0x102030, 0xFFEEDD, 0x00AA00);
        int[] argb = {0xFFFFEEDD, 0xFF102030, 0x00FFFFFF, 0xFF00AA00, 0x7FFFEEDD, 0x80FFEEDD};
        assertThat(indices(dither, Raster.of(new Size(3, 2), argb), palette)).containsExactly(1, 0, 3, 2, 3, 1);
    }

    @ParameterizedTest
    @ValueSource(ints = {20, 64, 128, 200, 250})
    void errorDiffusionKeepsTheMean(int gray) {
        Raster flat = Raster.filled(new Size(120, 90), 0xFF000000 | gray * 0x010101);
        byte[] indices = indices(Dither.ERROR, flat, BLACK_AND_WHITE);
        double white = IntStream.range(0, indices.length)
                .map(i -> indices[i])
                .average()
                .orElseThrow();
        assertThat(255 * white).isCloseTo(gray, within(2.0));
    }

    /** By hand: 120 becomes white, being past the middle in Oklab (99), and 135 too much is handed on in sixteenths. */
    @Test
    void errorDiffusionFollowsThePaperPixelForPixel() {
        Raster flat = Raster.filled(new Size(4, 2), 0xFF787878);
        assertThat(indices(Dither.ERROR, flat, BLACK_AND_WHITE)).containsExactly(1, 0, 1, 0, 0, 1, 0, 1);
    }

    @Test
    void errorsDoNotCrossTransparency() {
        int[] argb = {0xFF787878, 0x00000000, 0xFF787878};
        Palette palette = Palette.withTransparency(0x000000, 0xFFFFFF);
        assertThat(indices(Dither.ERROR, Raster.of(new Size(3, 1), argb), palette))
                .containsExactly(1, 2, 1);
    }

    private static byte[] indices(Dither dither, Raster raster, Palette palette) {
        return dither.indices(raster, palette, new NearestColor(palette));
    }
}
