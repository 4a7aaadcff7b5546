package dobbin.inspect;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.inspect.Flashes.Found;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Loops that cross the thresholds by one frame, one shade or one percent of the area, and loops that stay below. */
class FlashesTest {
    private static final Size SMALL = new Size(128, 96);
    /** A quarter of 341 by 256 pixels is a column 85 pixels wide, 17.8 % of it. */
    private static final Size DELIVERED = new Size(480, 320);

    private static final int DARK = 0xFF202020;
    private static final int LIGHT = 0xFFE0E0E0;

    /** A box at the left of the picture, over its whole height, that has another color. */
    private static Raster picture(int color, int ground, double share) {
        int[] argb = new int[(int) SMALL.area()];
        int columns = (int) Math.round(share * SMALL.width());
        for (int i = 0; i < argb.length; i++) {
            argb[i] = i % SMALL.width() < columns ? color : ground;
        }
        return Raster.of(SMALL, argb);
    }

    private static List<Found> found(boolean repeats, int millis, Raster... frames) {
        int[] delays = new int[frames.length];
        Arrays.fill(delays, millis);
        return Flashes.in(place -> frames[place], delays, repeats, DELIVERED);
    }

    /** @param changes how often it turns from dark to light or back */
    private static Raster[] flashing(int changes, int one, int other, double share, int after) {
        return IntStream.rangeClosed(0, changes + after)
                .mapToObj(i -> picture(Math.min(i, changes) % 2 == 0 ? one : other, one, share))
                .toArray(Raster[]::new);
    }

    @Test
    void threeFlashesInASecondAreAllowedAndFourAreNot() {
        assertThat(found(false, 100, flashing(7, DARK, LIGHT, 1, 9))).isEmpty();
        assertThat(found(false, 100, flashing(8, DARK, LIGHT, 1, 9)))
                .containsExactly(new Found(false, 4, List.of(1, 2, 3, 4, 5, 6, 7, 8), 700));
    }

    @Test
    void fourFlashesThatTakeLongerThanASecondAreAllowed() {
        assertThat(found(false, 150, flashing(30, DARK, LIGHT, 1, 0))).isEmpty();
        assertThat(found(false, 140, flashing(30, DARK, LIGHT, 1, 0))).hasSize(1);
    }

    @Test
    void theLoopsOwnRepetitionCounts() {
        Raster[] four = flashing(3, DARK, LIGHT, 1, 0);
        assertThat(found(false, 120, four)).isEmpty();
        assertThat(found(true, 120, four).get(0).count()).isEqualTo(4);
        assertThat(found(true, 150, four)).isEmpty();
    }

    /** The end of the loop flashes twice, and so does its beginning. */
    @Test
    void flashesAcrossTheSeamCount() {
        Raster[] loop = new Raster[30];
        for (int i = 0; i < loop.length; i++) {
            boolean light = i == 1 || i == 3 || i == 26 || i == 28;
            loop[i] = picture(light ? LIGHT : DARK, DARK, 1);
        }
        assertThat(found(false, 100, loop)).isEmpty();
        assertThat(found(true, 100, loop))
                .containsExactly(new Found(false, 4, List.of(1, 2, 3, 4, 26, 27, 28, 29), 800));
    }

    @ParameterizedTest
    @CsvSource({"0.172, false", "0.18, true"})
    void aQuarterOfWhatIsSeenAtOnceIsTheMost(double share, boolean isTooMuch) {
        assertThat(found(false, 100, flashing(8, DARK, LIGHT, share, 0)).isEmpty())
                .isNotEqualTo(isTooMuch);
    }

    @Test
    void aSmallFileNeverFlashesOverSoMuch() {
        Raster[] frames = flashing(8, DARK, LIGHT, 1, 0);
        int[] delays = new int[frames.length];
        Arrays.fill(delays, 100);
        assertThat(Flashes.in(place -> frames[place], delays, false, new Size(160, 120)))
                .isEmpty();
        assertThat(Flashes.in(place -> frames[place], delays, false, new Size(171, 128)))
                .hasSize(1);
    }

    /** Of gray shades, 0x59 has a luminance of 0.100, and 0xE7 one of 0.799. */
    @ParameterizedTest
    @CsvSource({"000000, 585858, false", "000000, 5a5a5a, true", "e7e7e7, ffffff, true", "e8e8e8, ffffff, false"})
    void aTenthOfLuminanceCountsWhereTheDarkerIsBelowFourFifths(String one, String other, boolean counts) {
        int from = 0xFF000000 | Integer.parseInt(one, 16);
        int to = 0xFF000000 | Integer.parseInt(other, 16);
        assertThat(found(false, 100, flashing(8, from, to, 1, 0)).isEmpty()).isNotEqualTo(counts);
    }

    @Test
    void aChangeOverSeveralFramesIsOneChange() {
        int[] shades = {0xFF000000, 0xFF404040, 0xFF585858, 0xFF909090};
        Raster[] fading = IntStream.range(0, 60)
                .mapToObj(i -> picture(shades[Math.abs(i % 6 - 3)], 0, 1))
                .toArray(Raster[]::new);
        assertThat(found(false, 50, fading).get(0).count()).isEqualTo(4);
        assertThat(found(false, 60, fading)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"ff0000, 606060, true", "ff6000, ff9000, false", "0000ff, 006000, false", "040000, 000000, false"})
    void flashesToSaturatedRedCountWhateverTheirLuminance(String one, String other, boolean counts) {
        int from = 0xFF000000 | Integer.parseInt(one, 16);
        int to = 0xFF000000 | Integer.parseInt(other, 16);
        List<Found> found = found(false, 100, flashing(8, from, to, 1, 0));
        assertThat(found.stream().anyMatch(Found::red)).isEqualTo(counts);
    }

    @Test
    void whatMovesAcrossThePictureIsNoFlash() {
        Raster[] moving = IntStream.range(0, 40)
                .mapToObj(i -> picture(LIGHT, DARK, i / 40.0))
                .toArray(Raster[]::new);
        assertThat(found(false, 50, moving)).isEmpty();
    }
}
