package dobbin.reel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dobbin.raster.Affine;
import dobbin.raster.Size;
import java.util.Random;
import org.junit.jupiter.api.Test;

class AlignedTest {
    private static final Size SIZE = new Size(640, 480);

    private static Still still(Fit.Way way, Aligned aligned) {
        return new Still("a".repeat(64), "Tide.jpg", SIZE, new Fit(way, 0.5, 0.5, "")).withAligned(aligned);
    }

    @Test
    void whatAPlaceIsMadeOfIsReadFromItAgain() {
        for (int seed = 0; seed < 100; seed++) {
            Random random = new Random(seed);
            Aligned aligned = new Aligned(
                    random.nextInt(200) - 100,
                    random.nextInt(200) - 100,
                    random.nextInt(340) - 170,
                    0.5 + random.nextDouble(),
                    0.9);
            Aligned again = Aligned.of(aligned.place(SIZE), SIZE, 0.9);
            assertThat(again.dx()).isCloseTo(aligned.dx(), within(1e-9));
            assertThat(again.dy()).isCloseTo(aligned.dy(), within(1e-9));
            assertThat(again.turn()).isCloseTo(aligned.turn(), within(1e-9));
            assertThat(again.scale()).isCloseTo(aligned.scale(), within(1e-9));
        }
    }

    @Test
    void aStillIsMovedBeforeItIsFitted() {
        Affine place = still(Fit.Way.INSIDE, new Aligned(20, -10, 0, 1, 1)).place(new Size(320, 240));
        assertThat(place).isEqualTo(new Affine(0.5, 0, 0, 0.5, 10, -5));
        assertThat(still(Fit.Way.INSIDE, Aligned.NONE).leavesBare(new Size(320, 240)))
                .isFalse();
    }

    @Test
    void whatIsMovedAwayLeavesTheCanvasBare() {
        Size canvas = new Size(640, 480);
        assertThat(still(Fit.Way.FILL, new Aligned(3, 0, 0, 1, 1)).leavesBare(canvas))
                .isTrue();
        assertThat(still(Fit.Way.FILL, new Aligned(3, 0, 0, 1.1, 1)).leavesBare(canvas))
                .isFalse();
        assertThat(still(Fit.Way.FILL, new Aligned(0, 0, 4, 1, 1)).leavesBare(canvas))
                .isTrue();
    }

    @Test
    void whatIsOutOfRangeIsRefusedByName() {
        assertThatThrownBy(() -> new Aligned(0, 0, 0, 0, 0)).hasMessageContaining("must be from 0.1 to 10");
        assertThatThrownBy(() -> new Aligned(Double.NaN, 0, 0, 1, 0)).isInstanceOf(OutOfRange.class);
    }
}
