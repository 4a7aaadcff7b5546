package dobbin.palette;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.skerry.SkerryPoint;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** How colors are chosen, and palettes as text. */
class ChoicesTest {
    private static final ColorCloud SUNRISE =
            new ColorTally().count(SkerryPoint.sunrise(1, new Size(120, 80)).get(0));

    private static List<Integer> colors(ColorChoice choice, int entries, List<Integer> own, Integer... kept) {
        PaletteTerms terms = new PaletteTerms(entries, true, choice, own, List.of(kept), true);
        return Arrays.stream(PaletteBuilder.build(SUNRISE, terms).colors())
                .boxed()
                .toList();
    }

    @ParameterizedTest
    @ValueSource(ints = {2, 5, 64, 256})
    void graysHaveNoColor(int entries) {
        assertThat(colors(ColorChoice.GRAYS, entries, List.of()))
                .hasSizeBetween(1, entries - 1)
                .allSatisfy(color -> assertThat(color).isEqualTo((color & 0xFF) * 0x010101));
    }

    @ParameterizedTest
    @ValueSource(ints = {2, 16, 256})
    void webSafeColorsAreOfSixStepsAChannel(int entries) {
        assertThat(colors(ColorChoice.WEB, entries, List.of()))
                .hasSize(Math.min(216, entries - 1))
                .doesNotHaveDuplicates()
                .allSatisfy(color -> assertThat(IntStream.of(color >> 16, color >> 8 & 0xFF, color & 0xFF))
                        .allMatch(channel -> channel % 0x33 == 0));
    }

    /** Much gray mist and, on one pixel in forty, all reds of the lighthouse. */
    @Test
    void vividColorsAreFavored() {
        int[] argb = IntStream.range(0, 160 * 100)
                .map(i -> 0xFF000000 | (i % 40 == 0 ? (100 + i / 110) << 16 | i / 400 : i / 64 * 0x010101))
                .toArray();
        ColorCloud mist = new ColorTally().count(Raster.of(new Size(160, 100), argb));
        assertThat(reds(mist, ColorChoice.VIVID)).isGreaterThan(reds(mist, ColorChoice.SEEN) * 3 / 2);
    }

    private static long reds(ColorCloud cloud, ColorChoice choice) {
        PaletteTerms terms = new PaletteTerms(32, false, choice, List.of(), List.of(), false);
        return Arrays.stream(PaletteBuilder.build(cloud, terms).colors())
                .filter(color -> (color >> 16) - (color >> 8 & 0xFF) > 60)
                .count();
    }

    @Test
    void ofOnesOwnThoseMostUsedAreTaken() {
        List<Integer> own = List.of(0x00FF00, 0xFF9955, 0x223344, 0xEEBB99);
        assertThat(colors(ColorChoice.OWN, 256, own)).containsExactlyInAnyOrder(0x00FF00, 0xFF9955, 0x223344, 0xEEBB99);
        assertThat(colors(ColorChoice.OWN, 4, own)).hasSize(3).doesNotContain(0x00FF00);
    }

    @ParameterizedTest
    @EnumSource(ColorChoice.class)
    void keptColorsAreInEveryPalette(ColorChoice choice) {
        List<Integer> own = choice == ColorChoice.OWN ? List.of(0xFF9955, 0x223344, 0x445566) : List.of();
        assertThat(colors(choice, 4, own, 0x12AB56)).contains(0x12AB56).hasSizeLessThanOrEqualTo(3);
    }

    @Test
    void textIsReadInEveryFormAndComesBackTheSame() {
        List<Integer> read = PaletteText.read("#b23a2e\n\n  #FFF \r\nrgb(1, 2, 3)\nrgb(255 0 16)\nb23a2e\n");
        assertThat(read).containsExactly(0xB23A2E, 0xFFFFFF, 0x010203, 0xFF0010);
        String written = PaletteText.write(read.stream().mapToInt(each -> each).toArray());
        assertThat(written).isEqualTo("#b23a2e\n#ffffff\n#010203\n#ff0010\n");
        assertThat(PaletteText.read(written)).isEqualTo(read);
    }

    @ParameterizedTest
    @CsvSource({
        "'#b23a2e\nrein red\n', 'no color in line 2: “rein red”'",
        "'rgb(256, 0, 0)', 'channel of 256 in line 1'",
        "' \n\n', 'holds no color'",
    })
    void whatIsNoPaletteIsSaid(String text, String reason) {
        assertThatThrownBy(() -> PaletteText.read(text))
                .isInstanceOf(PaletteText.NoPalette.class)
                .hasMessageContaining(reason);
    }

    @Test
    void threeHundredColorsAreTooMany() {
        int[] many = IntStream.range(0, 300).toArray();
        assertThatThrownBy(() -> PaletteText.read(PaletteText.write(many)))
                .hasMessage("holds 300 colors; a palette has at most 256");
    }
}
