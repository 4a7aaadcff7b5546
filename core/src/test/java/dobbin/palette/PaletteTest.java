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
        ColorCounts counts = counted(0xFF000000, 0xFF010000, 0xFFFFFFFF, 0xFF010000, 0x00123456);
        assertThat(PaletteBuilder.build(counts, 256, false).colors()).containsExactly(0x000000, 0x010000, 0xFFFFFF);
        Palette transparent = PaletteBuilder.build(counts, 4, true);
        assertThat(transparent.colors()).containsExactly(0x000000, 0x010000, 0xFFFFFF);
        assertThat(transparent.transparentIndex()).isEqualTo(3);
    }

    @Test
    void countsExactlyUpToAFullPalette() {
        int[] ramp = new int[256];
        Arrays.setAll(ramp, i -> 0xFF000000 | i * 0x000101);
        ColorCounts counts = counted(ramp);
        assertThat(counts.distinct()).isEqualTo(256);
        assertThat(PaletteBuilder.build(counts, 256, false).entries()).isEqualTo(256);
        counts.add(new int[] {0xFFFF0000});
        assertThat(counts.distinct()).isGreaterThan(256);
    }

    @ParameterizedTest
    @ValueSource(ints = {2, 3, 16, 64, 255, 256})
    void neverPassesTheNumberAskedFor(int entries) {
        assertThat(PaletteBuilder.build(sunriseCounts(), entries, true).entries())
                .isBetween(2, entries);
        assertThat(PaletteBuilder.build(sunriseCounts(), entries, false).entries())
                .isBetween(2, entries);
    }

    @Test
    void looksMuchBetterThanAUniformCut() {
        int[] uniform = new int[256];
        Arrays.setAll(uniform, i -> (i >> 5) * 255 / 7 << 16 | (i >> 2 & 7) * 255 / 7 << 8 | (i & 3) * 255 / 3);
        double plain = error(Palette.opaque(uniform));
        double chosen = error(PaletteBuilder.build(sunriseCounts(), 256, false));
        assertThat(chosen).isLessThan(plain / 4);
        assertThat(error(PaletteBuilder.build(sunriseCounts(), 64, false))).isBetween(chosen, plain / 2);
    }

    @Test
    void aPictureOfNothingHasAPaletteAllTheSame() {
        ColorCounts counts = counted(0, 0, 0);
        assertThat(counts.transparentSeen()).isTrue();
        assertThat(PaletteBuilder.build(counts, 2, true).entries()).isEqualTo(2);
    }

    @Test
    void theNearestColorIsTheNearest() {
        for (int seed = 0; seed < 30; seed++) {
            Random random = new Random(seed);
            int spread = seed % 2 == 0 ? 0xFFFFFF : 0x1F1F3F;
            int[] colors = random.ints(2 + random.nextInt(255), 0, 1 << 24)
                    .map(rgb -> rgb & spread)
                    .distinct()
                    .toArray();
            NearestColor nearest = new NearestColor(Palette.opaque(colors));
            for (int i = 0; i < 2_000; i++) {
                int wanted = random.nextInt(1 << 24) & (i % 2 == 0 ? 0xFFFFFF : spread);
                double least = Arrays.stream(colors)
                        .mapToDouble(rgb -> Oklab.distance(rgb, wanted))
                        .min()
                        .orElseThrow();
                assertThat(Oklab.distance(colors[nearest.indexOf(wanted)], wanted))
                        .as("seed %d, color %06x", seed, wanted)
                        .isLessThanOrEqualTo(least + 1e-6);
            }
        }
    }

    @Test
    void hasOneTo256Entries() {
        assertThatThrownBy(() -> Palette.opaque()).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Palette.withTransparency(new int[256])).hasMessageContaining("257");
    }

    private static ColorCounts counted(int... argb) {
        ColorCounts counts = new ColorCounts();
        counts.add(argb);
        return counts;
    }

    private static ColorCounts sunriseCounts() {
        ColorCounts counts = new ColorCounts();
        SUNRISE.forEach(still -> counts.add(still.argb()));
        return counts;
    }

    private static double error(Palette palette) {
        NearestColor nearest = new NearestColor(palette);
        int[] colors = palette.colors();
        return SUNRISE.stream()
                .flatMapToInt(still -> Arrays.stream(still.argb()))
                .map(argb -> argb & 0xFFFFFF)
                .mapToDouble(rgb -> Math.pow(Oklab.distance(rgb, colors[nearest.indexOf(rgb)]), 2))
                .average()
                .orElseThrow();
    }
}
