package dobbin.draw;

import static dobbin.draw.Inks.INK;
import static dobbin.draw.Inks.PIXELS;
import static dobbin.draw.Inks.drawn;
import static dobbin.draw.Inks.empty;
import static dobbin.draw.Inks.inked;
import static dobbin.draw.Inks.stroke;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.raster.Raster;
import dobbin.reel.OutOfRange;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PourTest {
    private static final Pen RED = new Pen("b23a24", 100, 0, false, false);
    private static final Pen HARD_RED = new Pen("b23a24", 100, 0, true, false);
    private static final int RED_PIXEL = 0xFFB23A24;

    private static Pour pour(Pen pen, int x, int y) {
        return new Pour(pen, x, y, 0, 0, Pour.By.INK, false, 2);
    }

    private static Figure box(double x, double y, double toX, double toY) {
        return new Figure(Figure.Kind.RECTANGLE, PIXELS, x, y, toX, toY, 1, "", Mirroring.NONE);
    }

    /** A box of whole pixels from 2,2 to 12,12, with an opening of that many pixels in its upper side. */
    private static Raster opened(int gap) {
        Raster box = drawn(empty(20, 20), box(2.5, 2.5, 12.5, 12.5));
        int[] argb = box.argb().clone();
        for (int x = 6; x < 6 + gap; x++) {
            argb[2 * 20 + x] = 0;
        }
        return Raster.of(box.size(), argb);
    }

    @Test
    void whatALineEnclosesIsFilledAndNoMore() {
        Raster filled = drawn(opened(0), pour(HARD_RED, 5, 5));
        assertThat(inked(filled)).isEqualTo(11 * 11);
        assertThat(filled.pixel(3, 3)).isEqualTo(RED_PIXEL);
        assertThat(filled.pixel(2, 2)).isEqualTo(0xFF202830);
        assertThat(filled.pixel(1, 1)).isZero();
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4})
    void gapsUpToTheirWidthAreClosed(int gap) {
        Raster open = opened(gap);
        assertThat(inked(drawn(open, pour(HARD_RED, 7, 8)))).as("it runs out").isEqualTo(20 * 20);
        Raster closed = drawn(open, new Pour(HARD_RED, 7, 8, 0, gap, Pour.By.INK, false, 0));
        assertThat(closed.pixel(0, 0)).isZero();
        assertThat(closed.pixel(3, 3)).as("it still reaches the corners").isEqualTo(RED_PIXEL);
        assertThat(closed.pixel(11, 11)).isEqualTo(RED_PIXEL);
    }

    /** A wedge of whole pixels that narrows to its tip on the left, open by some pixels at its blunt end. */
    private static Raster wedge(int opening) {
        Raster wedge =
                drawn(empty(80, 50), stroke(PIXELS, 5.5, 25.5, 1.0, 70.5, 5.5, 1.0, 70.5, 45.5, 1.0, 5.5, 25.5, 1.0));
        int[] argb = wedge.argb().clone();
        for (int y = 20; y < 20 + opening; y++) {
            argb[y * 80 + 70] = 0;
        }
        return Raster.of(wedge.size(), argb);
    }

    @Test
    void aTipThatIsNarrowerThanTheGapIsFilledAllTheSame() {
        long enclosed = inked(drawn(wedge(0), pour(HARD_RED, 50, 25)));
        Raster closed = drawn(wedge(0), new Pour(HARD_RED, 50, 25, 0, 10, Pour.By.INK, false, 0));
        assertThat(inked(closed)).isEqualTo(enclosed);
        Raster open = drawn(wedge(6), new Pour(HARD_RED, 50, 25, 0, 10, Pour.By.INK, false, 0));
        assertThat(open.pixel(8, 25)).as("the tip").isEqualTo(RED_PIXEL);
        assertThat(open.pixel(79, 25)).as("beyond the opening").isZero();
        assertThat(open.pixel(2, 2)).isZero();
    }

    @Test
    void pixelsThatTouchAtACornerAreNeighborsWhereThatIsWanted() {
        Raster diagonal = drawn(empty(6, 6), stroke(PIXELS, 0.5, 5.5, 1.0, 5.5, 0.5, 1.0));
        assertThat(inked(drawn(diagonal, pour(HARD_RED, 0, 0)))).isEqualTo(6 + 15);
        Pour corners = new Pour(HARD_RED, 0, 0, 0, 0, Pour.By.INK, true, 0);
        assertThat(inked(drawn(diagonal, corners))).isEqualTo(36);
    }

    @Test
    void itGoesUnderSoftEdgesSoThatNoFringeStays() {
        Raster ring = drawn(empty(40, 40), new Figure(Figure.Kind.ELLIPSE, INK, 6, 6, 34, 34, 4, "", Mirroring.NONE));
        Raster filled = drawn(ring, new Pour(RED, 20, 20, 0, 0, Pour.By.INK, false, 2));
        for (int x = 20; x < 34; x++) {
            assertThat(filled.pixel(x, 20) >>> 24)
                    .as("column %d, up to the line", x)
                    .isEqualTo(255);
        }
        Raster fringed = drawn(ring, new Pour(RED, 20, 20, 0, 0, Pour.By.INK, false, 0));
        assertThat(IntStream.range(20, 34).filter(x -> fringed.pixel(x, 20) >>> 24 < 255))
                .as("without it, there is one")
                .isNotEmpty();
        assertThat(filled.pixel(0, 0)).isZero();
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
    void fillingTwiceIsFillingOnce(int seed) {
        Random random = new Random(seed);
        Raster lines = empty(50, 40);
        for (int i = 0; i < 6; i++) {
            Pen pen = i % 2 == 0 ? INK : PIXELS;
            lines = drawn(
                    lines,
                    stroke(
                            pen,
                            random.nextInt(50) + 0.3,
                            random.nextInt(40) + 0.8,
                            2.5,
                            random.nextInt(50) + 0.1,
                            random.nextInt(40) + 0.6,
                            3.0));
        }
        int x = random.nextInt(50);
        int y = random.nextInt(40);
        Pour pour = new Pour(RED, x, y, 0, 0, Pour.By.INK, seed % 2 == 0, 2);
        Raster once = drawn(lines, pour);
        assertThat(drawn(once, pour)).isEqualTo(once);
    }

    @Test
    void aPhotoIsGoneByWhereThatIsWanted() {
        Raster photo = drawn(
                empty(10, 10),
                pour(new Pen("8090a0", 100, 0, true, false), 0, 0),
                new Figure(Figure.Kind.RECTANGLE, PIXELS, 0.5, 0.5, 4.5, 9.5, 0, "405060", Mirroring.NONE));
        Raster nothing = empty(10, 10);
        Raster filled = new Pour(HARD_RED, 7, 5, 10, 0, Pour.By.STILL, false, 0)
                .on(nothing, new Scene(() -> photo, () -> photo, () -> photo, () -> photo));
        assertThat(inked(filled)).isEqualTo(50);
        assertThat(filled.pixel(4, 5)).isZero();
        assertThat(filled.pixel(5, 5)).isEqualTo(RED_PIXEL);
        assertThat(inked(new Pour(HARD_RED, 7, 5, 100, 0, Pour.By.STILL, false, 0)
                        .on(nothing, new Scene(() -> photo, () -> photo, () -> photo, () -> photo))))
                .as("any color will do")
                .isEqualTo(100);
    }

    @Test
    void aColorIsReplacedAndItsSoftEdgesStaySoft() {
        Raster dot = drawn(empty(9, 9), stroke(INK, 4.5, 4.5, 5.0));
        Raster red = drawn(dot, new Recolor("202830", "b23a24", 0));
        for (int i = 0; i < dot.argb().length; i++) {
            assertThat(red.argb()[i] >>> 24).isEqualTo(dot.argb()[i] >>> 24);
            assertThat(red.argb()[i] == 0 || (red.argb()[i] & 0xFFFFFF) == 0xB23A24)
                    .isTrue();
        }
        assertThat(drawn(dot, new Recolor("ffffff", "b23a24", 5))).isEqualTo(dot);
    }

    @Test
    void aPlaceOffTheCanvasIsRefused() {
        assertThatThrownBy(() -> drawn(empty(5, 5), pour(RED, 5, 0)))
                .isInstanceOf(OutOfRange.class)
                .hasMessageContaining("from 0 to 4");
    }
}
