package dobbin.dither;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dobbin.palette.NearestColor;
import dobbin.palette.Palette;
import dobbin.raster.Bounds;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.util.Arrays;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class DitherTest {
    private static final Palette BLACK_AND_WHITE = Palette.of(false, 0x000000, 0xFFFFFF);
    private static final int GRAY = 0xFF646464;

    @ParameterizedTest
    @EnumSource(Dither.class)
    void colorsOfThePaletteStayThemselves(Dither dither) {
        Palette palette = Palette.of(true, 0x102030, 0xFFEEDD, 0x00AA00);
        int[] argb = {0xFFFFEEDD, 0xFF102030, 0, 0xFF00AA00, 0, 0xFFFFEEDD};
        assertThat(indices(dither, 30, Raster.of(new Size(3, 2), argb), palette))
                .containsExactly(2, 1, 0, 3, 0, 2);
    }

    /** Lightness in Oklab is the cube root of linear light for grays; that is what is kept on average. */
    @ParameterizedTest
    @CsvSource({
        "FLOYD_STEINBERG, 32",
        "FLOYD_STEINBERG, 100",
        "FLOYD_STEINBERG, 200",
        "SIERRA_LITE, 100",
        "SIERRA_LITE, 230"
    })
    void errorDiffusionKeepsTheMean(Dither dither, int gray) {
        Raster flat = Raster.filled(new Size(120, 90), 0xFF000000 | gray * 0x010101);
        byte[] indices = indices(dither, 100, flat, BLACK_AND_WHITE);
        double white = IntStream.range(0, indices.length)
                .map(i -> indices[i])
                .average()
                .orElseThrow();
        double light = Math.pow((gray / 255.0 + 0.055) / 1.055, 2.4);
        assertThat(white).isCloseTo(Math.cbrt(light), within(0.015));
    }

    /** By hand: lightness 0.5 is white at first, and what it is short of goes on by the shares of the paper. */
    @Test
    void errorDiffusionFollowsThePaperPixelForPixel() {
        // Lightness 0.501: 1, then 0.501 - 7/16 * 0.499 = 0.283, 0; then 0.501 + 7/16 * 0.283 = 0.625, 1; and so on.
        Raster flat = Raster.filled(new Size(4, 1), 0xFF646464);
        assertThat(indices(Dither.FLOYD_STEINBERG, 100, flat, BLACK_AND_WHITE)).containsExactly(1, 0, 1, 0);
    }

    @Test
    void errorsDoNotCrossTransparencyOrWhatIsHeld() {
        int[] argb = {GRAY, 0, GRAY, GRAY};
        Palette palette = Palette.of(true, 0x000000, 0xFFFFFF);
        Raster row = Raster.of(new Size(4, 1), argb);
        assertThat(indices(Dither.FLOYD_STEINBERG, 100, row, palette)).containsExactly(2, 0, 2, 1);
        byte[] held = {0, 0, 1, 0};
        assertThat(Indexer.indices(
                        argb,
                        4,
                        new Bounds(0, 0, 4, 1),
                        held,
                        new NearestColor(palette),
                        new Dithering(Dither.FLOYD_STEINBERG, 100)))
                .containsExactly(2, 0, 0, 2);
    }

    /** A gray that cannot be mixed well beside colors that are there: those stay clean. */
    @ParameterizedTest
    @EnumSource(
            value = Dither.class,
            names = {"FLOYD_STEINBERG", "SIERRA_LITE", "ATKINSON"})
    void nothingSmearsOverAHardEdge(Dither dither) {
        Palette palette = Palette.of(false, 0x000000, 0x808080, 0xFFFFFF);
        Size size = new Size(60, 40);
        int[] argb = new int[(int) size.area()];
        for (int i = 0; i < argb.length; i++) {
            argb[i] = i % 60 < 30 ? 0xFFB8B8B8 : 0xFF000000;
        }
        byte[] indices = indices(dither, 85, Raster.of(size, argb), palette);
        long specks = IntStream.range(0, indices.length)
                .filter(i -> i % 60 >= 32 && indices[i] != 0)
                .count();
        assertThat(specks).isZero();
    }

    @ParameterizedTest
    @EnumSource(Dither.class)
    void anAmountOfNothingIsTheNearestColor(Dither dither) {
        Raster ramp = ramp();
        assertThat(indices(dither, 0, ramp, BLACK_AND_WHITE))
                .isEqualTo(indices(Dither.NONE, 85, ramp, BLACK_AND_WHITE));
        assertThat(Arrays.equals(
                        indices(dither, 85, ramp, BLACK_AND_WHITE), indices(Dither.NONE, 85, ramp, BLACK_AND_WHITE)))
                .isEqualTo(dither == Dither.NONE);
    }

    @ParameterizedTest
    @EnumSource(
            value = Dither.class,
            names = {"BAYER", "BLUE_NOISE"})
    void thresholdsStayWhereTheyAreWhateverIsAskedFor(Dither dither) {
        Raster ramp = ramp();
        byte[] whole = indices(dither, 85, ramp, BLACK_AND_WHITE);
        Bounds box = new Bounds(13, 5, 29, 20);
        byte[] part = Indexer.indices(
                ramp.argb(), 64, box, null, new NearestColor(BLACK_AND_WHITE), new Dithering(dither, 85));
        for (int y = 0; y < box.height(); y++) {
            for (int x = 0; x < box.width(); x++) {
                assertThat(part[y * box.width() + x]).isEqualTo(whole[(5 + y) * 64 + 13 + x]);
            }
        }
    }

    @Test
    void blueNoiseHasEveryRankOnceAndSpreadsTheFirst() {
        int[] ranks = VoidAndCluster.ranks();
        assertThat(Arrays.stream(ranks).sorted().toArray())
                .isEqualTo(IntStream.range(0, ranks.length).toArray());
        int side = VoidAndCluster.SIDE;
        int close = 0;
        for (int i = 0; i < ranks.length; i++) {
            boolean beside = ranks[i] < 200
                    && (ranks[i + 1 & ranks.length - 1] < 200 || ranks[i + side & ranks.length - 1] < 200);
            close += beside ? 1 : 0;
        }
        assertThat(close).as("of a random 200 of 4096 about 20 would touch").isZero();
    }

    @Test
    void bayersFirstThresholdsAreThePapers() {
        ThresholdMap map = ThresholdMap.bayer();
        int[] ranks = {0, 32, 8, 40, 48, 16, 56, 24};
        for (int i = 0; i < 4; i++) {
            assertThat(map.at(i, 0)).isCloseTo((ranks[i] + 0.5f) / 64 - 0.5f, within(1e-6f));
            assertThat(map.at(i, 1)).isCloseTo((ranks[4 + i] + 0.5f) / 64 - 0.5f, within(1e-6f));
        }
    }

    private static Raster ramp() {
        return Raster.of(
                new Size(64, 24),
                IntStream.range(0, 64 * 24)
                        .map(i -> 0xFF000000 | (i % 64) * 4 * 0x010101)
                        .toArray());
    }

    private static byte[] indices(Dither dither, int amount, Raster raster, Palette palette) {
        return Indexer.indices(
                raster.argb(),
                raster.width(),
                Bounds.all(raster.size()),
                null,
                new NearestColor(palette),
                new Dithering(dither, amount));
    }
}
