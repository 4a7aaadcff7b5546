package dobbin.reel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dobbin.raster.Affine;
import dobbin.raster.Homography;
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
                    new Perspective(
                            random.nextDouble() * 0.8 - 0.4,
                            random.nextDouble() * 0.8 - 0.4,
                            0.6 + random.nextDouble(),
                            random.nextDouble() - 0.5),
                    0.9);
            Aligned again = Aligned.of(aligned.place(SIZE), SIZE, 0.9);
            assertThat(again.dx()).isCloseTo(aligned.dx(), within(1e-9));
            assertThat(again.dy()).isCloseTo(aligned.dy(), within(1e-9));
            assertThat(again.turn()).isCloseTo(aligned.turn(), within(1e-9));
            assertThat(again.scale()).isCloseTo(aligned.scale(), within(1e-9));
            Perspective perspective = again.perspective();
            assertThat(perspective.across()).isCloseTo(aligned.perspective().across(), within(1e-8));
            assertThat(perspective.down()).isCloseTo(aligned.perspective().down(), within(1e-8));
            assertThat(perspective.stretch()).isCloseTo(aligned.perspective().stretch(), within(1e-8));
            assertThat(perspective.lean()).isCloseTo(aligned.perspective().lean(), within(1e-8));
        }
    }

    @Test
    void aStillIsMovedBeforeItIsFitted() {
        Homography place = still(Fit.Way.INSIDE, new Aligned(20, -10, 0, 1, 1)).place(new Size(320, 240));
        assertThat(place).isEqualTo(Homography.of(new Affine(0.5, 0, 0, 0.5, 10, -5)));
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
    void perspectiveMakesOneEdgeSmallerAndKeepsTheMiddle() {
        Homography place =
                Aligned.NONE.withPerspective(new Perspective(0.25, 0, 1, 0)).place(SIZE);
        assertThat(place.x(320, 240)).isCloseTo(320, within(1e-9));
        assertThat(place.y(320, 240)).isCloseTo(240, within(1e-9));
        assertThat(place.y(640, 480) - place.y(640, 0)).as("the right edge").isCloseTo(480 / 1.25, within(1e-9));
        assertThat(place.y(0, 480) - place.y(0, 0)).as("the left edge").isCloseTo(480 / 0.75, within(1e-9));
    }

    @Test
    void whatIsOutOfRangeIsRefusedByName() {
        assertThatThrownBy(() -> new Aligned(0, 0, 0, 0, 0)).hasMessageContaining("must be from 0.1 to 10");
        assertThatThrownBy(() -> new Aligned(Double.NaN, 0, 0, 1, 0)).isInstanceOf(OutOfRange.class);
        assertThatThrownBy(() -> new Perspective(0.5, 0, 1, 0)).hasMessageContaining("must be from -0.45 to 0.45");
        assertThatThrownBy(() -> new Perspective(0, 0, 0.4, 0)).hasMessageContaining("must be from 0.5 to 2");
    }
}
