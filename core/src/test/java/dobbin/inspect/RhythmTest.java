package dobbin.inspect;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RhythmTest {
    @Test
    void changeIsNoneForEqualsAndOneForBlackAgainstWhite() {
        Raster black = Raster.filled(new Size(4, 4), 0xFF000000);
        Raster white = Raster.filled(new Size(4, 4), 0xFFFFFFFF);
        assertThat(change(black, black)).isZero();
        assertThat(change(black, white)).isCloseTo(1, within(1e-4));
        int[] quarter = black.argb().clone();
        Arrays.fill(quarter, 0, 4, 0xFFFFFFFF);
        assertThat(change(black, Raster.of(new Size(4, 4), quarter))).isCloseTo(0.5, within(1e-4));
        assertThat(change(black, Raster.filled(new Size(4, 4), 0))).isCloseTo(1, within(1e-4));
        assertThatThrownBy(() -> change(black, Raster.filled(new Size(1, 1), 0)))
                .isInstanceOf(IllegalArgumentException.class);
    }

    private static double change(Raster a, Raster b) {
        return Sample.of(a).changeTo(Sample.of(b));
    }

    @ParameterizedTest
    @CsvSource({
        "0.02, 0.02, 0.03, 0.02, SMOOTH, 1.0",
        "0.05, 0.02, 0.03, 0.02, VISIBLE, 2.5",
        "0.40, 0.02, 0.03, 0.02, JUMP, 20",
        "0.00, 0.02, 0.03, 0.02, REPEATS, 0",
        "0.00, 0.00, 0.00, 0.00, SMOOTH, 0"
    })
    void theSeamIsJudgedByTheUsualStep(double seam, double a, double b, double c, Rhythm.Seam verdict, double ratio) {
        Rhythm rhythm = Rhythm.of(new double[] {seam, a, b, c});
        assertThat(rhythm.seam()).isEqualTo(verdict);
        assertThat(rhythm.seamRatio()).isCloseTo(ratio, within(1e-9));
        assertThat(rhythm.changes()).containsExactly(seam, a, b, c);
    }

    @Test
    void oneFrameHasNoSeamAndOfTwoTheWayBackIsTheWayThere() {
        assertThat(Rhythm.of(new double[] {0}).seam()).isEqualTo(Rhythm.Seam.NONE);
        assertThat(Rhythm.of(new double[] {0.2, 0.2}).seam()).isEqualTo(Rhythm.Seam.NONE);
    }
}
