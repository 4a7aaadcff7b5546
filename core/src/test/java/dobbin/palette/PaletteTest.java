package dobbin.palette;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.color.Oklab;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.skerry.SkerryPoint;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PaletteTest {
    private static final List<Raster> SUNRISE = SkerryPoint.sunrise(4, new Size(96, 64));

    @Test
    void fewColorsAreKeptExactly() {
        ColorCloud counts = counted(0xFF000000, 0xFF010000, 0xFFFFFFFF, 0xFF010000, 0);
        assertThat(built(counts, 256, false).colors())
                .as("the most frequent first")
                .containsExactly(0x010000, 0x000000, 0xFFFFFF);
        Palette transparent = built(counts, 4, true);
        assertThat(transparent.colors()).containsExactly(0x010000, 0x000000, 0xFFFFFF);
        assertThat(transparent.transparentIndex()).isZero();
        assertThat(transparent.rgb(1)).isEqualTo(0x010000);
    }

    @Test
    void countsExactlyUpToAFullPalette() {
        int[] ramp = new int[256];
        Arrays.setAll(ramp, i -> 0xFF000000 | i * 0x000101);
        ColorCloud counts = counted(ramp);
        assertThat(counts.distinct()).isEqualTo(256);
        assertThat(built(counts, 256, false).entries()).isEqualTo(256);
        ColorCloud more = ColorCloud.joined(List.of(counts, counted(0xFFFF0000)));
        assertThat(more.distinct()).isGreaterThan(256);
    }

    @ParameterizedTest
    @ValueSource(ints = {2, 3, 16, 64, 255, 256})
    void neverPassesTheNumberAskedFor(int entries) {
        assertThat(built(sunriseColors(), entries, true).entries()).isBetween(2, entries);
        assertThat(built(sunriseColors(), entries, false).entries()).isBetween(2, entries);
    }

    @Test
    void looksMuchBetterThanAUniformCut() {
        int[] uniform = new int[256];
        Arrays.setAll(uniform, i -> (i >> 5) * 255 / 7 << 16 | (i >> 2 & 7) * 255 / 7 << 8 | (i & 3) * 255 / 3);
        double plain = error(Palette.of(false, uniform));
        double chosen = error(built(sunriseColors(), 256, false));
        assertThat(chosen).isLessThan(plain / 4);
        assertThat(error(built(sunriseColors(), 64, false))).isBetween(chosen, plain / 2);
    }

    @Test
    void aPictureOfNothingHasAPaletteAllTheSame() {
        ColorCloud counts = counted(0, 0, 0);
        assertThat(counts.transparentSeen()).isTrue();
        assertThat(built(counts, 2, true).entries()).isEqualTo(2);
    }

    @Test
    void keptColorsAreInThePaletteToTheBit() {
        int[] kept = {0x123456, 0xFE0102, 0x00FF7F};
        for (int entries : new int[] {4, 16, 256}) {
            Palette palette = PaletteBuilder.build(
                    sunriseColors(),
                    new PaletteTerms(
                            entries,
                            false,
                            ColorChoice.SEEN,
                            List.of(),
                            Arrays.stream(kept).boxed().toList(),
                            true));
            assertThat(palette.colors()).contains(kept);
            assertThat(palette.entries()).isLessThanOrEqualTo(entries);
        }
    }

    /** Colors of one area that is almost all of the picture are not moved, whatever the rest asks for. */
    @Test
    void whatIsMostlyOneColorBecomesThatColor() {
        int[] argb = new int[4000];
        Random random = new Random(3);
        for (int i = 0; i < argb.length; i++) {
            argb[i] = i < 3000 ? 0xFF2A9D8F : 0xFF000000 | random.nextInt(1 << 24);
        }
        for (boolean forDithering : new boolean[] {false, true}) {
            assertThat(PaletteBuilder.build(counted(argb), PaletteTerms.seen(8, false, forDithering))
                            .colors())
                    .contains(0x2A9D8F);
        }
    }

    @Test
    void theNearestColorIsTheNearest() {
        float[] lab = new float[3];
        for (int seed = 0; seed < 30; seed++) {
            Random random = new Random(seed);
            int spread = seed % 2 == 0 ? 0xFFFFFF : 0x1F1F3F;
            int[] colors = random.ints(2 + random.nextInt(255), 0, 1 << 24)
                    .map(rgb -> rgb & spread)
                    .distinct()
                    .toArray();
            NearestColor nearest = new NearestColor(Palette.of(false, colors));
            for (int i = 0; i < 2_000; i++) {
                int wanted = random.nextInt(1 << 24) & (i % 2 == 0 ? 0xFFFFFF : spread);
                double least = Arrays.stream(colors)
                        .mapToDouble(rgb -> Oklab.distance(rgb, wanted))
                        .min()
                        .orElseThrow();
                Oklab.fromRgb(wanted, lab, 0);
                assertThat(Oklab.distance(colors[nearest.indexOf(lab[0], lab[1], lab[2])], wanted))
                        .as("seed %d, color %06x", seed, wanted)
                        .isLessThanOrEqualTo(least + 1e-6);
            }
        }
    }

    /** What error diffusion asks for may lie outside of sRGB. */
    @Test
    void theNearestColorIsTheNearestOutsideOfTheGridToo() {
        int[] colors = {0x000000, 0xFFFFFF, 0xFF0000, 0x00FF00, 0x0000FF};
        NearestColor nearest = new NearestColor(Palette.of(false, colors));
        Random random = new Random(5);
        for (int i = 0; i < 5_000; i++) {
            float l = random.nextFloat() * 2 - 0.5f;
            float a = random.nextFloat() * 1.6f - 0.8f;
            float b = random.nextFloat() * 1.6f - 0.8f;
            int best = 0;
            for (int color = 1; color < colors.length; color++) {
                best = nearest.squaredDistance(color, l, a, b) < nearest.squaredDistance(best, l, a, b) ? color : best;
            }
            assertThat(nearest.indexOf(l, a, b)).isEqualTo(best);
        }
    }

    @Test
    void hasOneTo256Entries() {
        assertThatThrownBy(() -> Palette.of(false)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Palette.of(true, new int[256])).hasMessageContaining("257");
    }

    private static Palette built(ColorCloud cloud, int entries, boolean transparent) {
        return PaletteBuilder.build(cloud, PaletteTerms.seen(entries, transparent, false));
    }

    private static ColorCloud counted(int... argb) {
        return new ColorTally().count(Raster.of(new Size(argb.length, 1), argb));
    }

    private static ColorCloud sunriseColors() {
        ColorTally tally = new ColorTally();
        return ColorCloud.joined(SUNRISE.stream().map(tally::count).toList());
    }

    private static double error(Palette palette) {
        NearestColor nearest = new NearestColor(palette);
        float[] lab = new float[3];
        return SUNRISE.stream()
                .flatMapToInt(still -> Arrays.stream(still.argb()))
                .mapToDouble(rgb -> {
                    Oklab.fromRgb(rgb, lab, 0);
                    int color = nearest.indexOf(lab[0], lab[1], lab[2]);
                    return nearest.squaredDistance(color, lab[0], lab[1], lab[2]);
                })
                .average()
                .orElseThrow();
    }
}
