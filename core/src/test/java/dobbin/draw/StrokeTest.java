package dobbin.draw;

import static dobbin.draw.Inks.INK;
import static dobbin.draw.Inks.PIXELS;
import static dobbin.draw.Inks.drawn;
import static dobbin.draw.Inks.empty;
import static dobbin.draw.Inks.erasing;
import static dobbin.draw.Inks.inked;
import static dobbin.draw.Inks.mirrored;
import static dobbin.draw.Inks.picture;
import static dobbin.draw.Inks.stroke;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.raster.Raster;
import dobbin.reel.OutOfRange;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class StrokeTest {
    private static final int WIDTH = 60;
    private static final int HEIGHT = 40;

    /** A wandering line of changing width, with fractions of pixels as a hand gives them. */
    private static List<Double> wander(int seed) {
        Random random = new Random(seed);
        List<Double> points = new ArrayList<>();
        double x = 30;
        double y = 20;
        for (int i = 0; i < 12; i++) {
            x += random.nextGaussian() * 6;
            y += random.nextGaussian() * 5;
            points.addAll(List.of(x, y, 1 + 8 * random.nextDouble()));
        }
        return points;
    }

    private static List<Double> backwards(List<Double> points) {
        List<Double> turned = new ArrayList<>();
        for (int i = points.size() - 3; i >= 0; i -= 3) {
            turned.addAll(points.subList(i, i + 3));
        }
        return turned;
    }

    private static List<Double> mirroredPoints(List<Double> points, boolean across, boolean down) {
        List<Double> turned = new ArrayList<>();
        for (int i = 0; i < points.size(); i += 3) {
            turned.add(across ? WIDTH - points.get(i) : points.get(i));
            turned.add(down ? HEIGHT - points.get(i + 1) : points.get(i + 1));
            turned.add(points.get(i + 2));
        }
        return turned;
    }

    private static Raster of(Pen pen, List<Double> points) {
        return drawn(empty(WIDTH, HEIGHT), new Stroke(pen, points, Mirroring.NONE));
    }

    @Test
    void aDotIsRoundAndCoversItsPixels() {
        Raster dot = drawn(empty(7, 7), stroke(INK, 3.5, 3.5, 4.0));
        assertThat(picture(dot)).isEqualTo("""
                .......
                ..+++..
                .+###+.
                .+###+.
                .+###+.
                ..+++..
                .......""");
        // The middle of this pixel is 2 from the dot's, which is its radius: half of the pixel is covered.
        assertThat(dot.pixel(1, 3)).isEqualTo(0x80202830);
    }

    @Test
    void aThinLineIsFaintAndNotBroken() {
        Raster line = drawn(empty(8, 3), stroke(INK, 0.5, 1.5, 0.5, 7.5, 1.5, 0.5));
        for (int x = 0; x < 8; x++) {
            assertThat(line.pixel(x, 1) >>> 24).as("column %d", x).isEqualTo(128);
            assertThat(line.pixel(x, 0)).isZero();
        }
    }

    @Test
    void aSoftEdgeFallsEvenlyToTheRim() {
        Raster dot = drawn(empty(21, 21), stroke(new Pen("202830", 100, 100, false, false), 10.5, 10.5, 20.0));
        for (int x = 10; x < 20; x++) {
            assertThat(dot.pixel(x, 10) >>> 24).as("column %d", x).isGreaterThan(dot.pixel(x + 1, 10) >>> 24);
        }
        assertThat(dot.pixel(10, 10) >>> 24).isGreaterThan(240);
        assertThat(dot.pixel(15, 10) >>> 24).isBetween(120, 150);
    }

    @Test
    void opacityHoldsForTheWholeStrokeHoweverOftenItCrossesItself() {
        Pen half = new Pen("202830", 50, 0, false, false);
        Raster there = drawn(empty(20, 9), stroke(half, 2.5, 4.5, 5.0, 17.5, 4.5, 5.0, 2.5, 4.5, 5.0));
        assertThat(there.pixel(10, 4)).isEqualTo(0x80202830);
        assertThat(there).isEqualTo(drawn(empty(20, 9), stroke(half, 2.5, 4.5, 5.0, 17.5, 4.5, 5.0)));
    }

    @Test
    void inkIsMixedInLinearLight() {
        Pen halfWhite = new Pen("ffffff", 50, 0, false, false);
        Pen black = new Pen("000000", 100, 0, false, false);
        Raster mixed = drawn(empty(9, 9), stroke(black, 4.5, 4.5, 8.0), stroke(halfWhite, 4.5, 4.5, 8.0));
        assertThat(mixed.pixel(4, 4)).as("half the light of white").isEqualTo(0xFFBCBCBC);
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void drawnBackwardsItIsTheSame(int seed) {
        List<Double> points = wander(seed);
        Pen soft = new Pen("202830", 80, 60, false, false);
        assertThat(of(INK, backwards(points))).isEqualTo(of(INK, points));
        assertThat(of(soft, backwards(points))).isEqualTo(of(soft, points));
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void mirroredItIsMirrored(int seed) {
        List<Double> points = wander(seed);
        assertThat(of(INK, mirroredPoints(points, true, false))).isEqualTo(mirrored(of(INK, points), true, false));
        assertThat(of(INK, mirroredPoints(points, false, true))).isEqualTo(mirrored(of(INK, points), false, true));
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4})
    void mirroringDrawsOnAllHalvesAtOnce(int seed) {
        List<Double> points = wander(seed);
        Raster both = drawn(empty(WIDTH, HEIGHT), new Stroke(INK, points, Mirroring.BOTH));
        assertThat(both).isEqualTo(mirrored(both, true, false)).isEqualTo(mirrored(both, false, true));
        Raster pixels = drawn(empty(WIDTH, HEIGHT), new Stroke(PIXELS, points, Mirroring.LEFT_RIGHT));
        assertThat(inked(pixels)).isGreaterThan(inked(of(PIXELS, points)));
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6})
    void whatAStrokeDrewTheSameStrokeErases(int seed) {
        List<Double> points = wander(seed);
        for (Pen pen : List.of(INK, PIXELS, new Pen("a03020", 35, 70, false, false))) {
            Raster erased = drawn(
                    empty(WIDTH, HEIGHT),
                    new Stroke(pen, points, Mirroring.NONE),
                    new Stroke(erasing(pen), points, Mirroring.NONE));
            assertThat(inked(erased)).isZero();
        }
    }

    @Test
    void erasingLeavesOtherInkAsItIs() {
        Raster line = drawn(empty(20, 20), stroke(INK, 2.5, 10.5, 3.0, 17.5, 10.5, 3.0));
        Raster cut = drawn(line, stroke(erasing(INK), 10.5, 2.5, 4.0, 10.5, 17.5, 4.0));
        assertThat(cut.pixel(10, 10)).isZero();
        assertThat(cut.pixel(4, 10)).isEqualTo(line.pixel(4, 10)).isEqualTo(0xFF202830);
    }

    @Test
    void hardLinesHaveNoDoubledCorners() {
        Raster line = drawn(
                empty(7, 6), stroke(PIXELS, 0.5, 0.5, 1.0, 1.5, 0.5, 1.0, 1.5, 1.5, 1.0, 2.5, 1.5, 1.0, 6.5, 5.5, 1.0));
        assertThat(picture(line)).isEqualTo("""
                #......
                .##....
                ...#...
                ....#..
                .....#.
                ......#""");
    }

    @Test
    void hardLinesAreTheSameFromEitherEnd() {
        Random random = new Random(5);
        for (int i = 0; i < 200; i++) {
            double x = random.nextInt(WIDTH) + 0.5;
            double y = random.nextInt(HEIGHT) + 0.5;
            double toX = random.nextInt(WIDTH) + 0.5;
            double toY = random.nextInt(HEIGHT) + 0.5;
            Raster there = drawn(empty(WIDTH, HEIGHT), stroke(PIXELS, x, y, 1.0, toX, toY, 1.0));
            assertThat(drawn(empty(WIDTH, HEIGHT), stroke(PIXELS, toX, toY, 1.0, x, y, 1.0)))
                    .isEqualTo(there);
            assertThat(inked(there)).isEqualTo((long) Math.max(Math.abs(toX - x), Math.abs(toY - y)) + 1);
        }
    }

    @Test
    void whatLiesOutsideOfTheCanvasIsNotDrawnAndDoesNoHarm() {
        Raster ink = drawn(empty(8, 8), stroke(INK, -900.0, -900.0, 30.0, -40.0, 4.0, 30.0));
        assertThat(inked(ink)).isZero();
        assertThat(inked(drawn(empty(8, 8), stroke(INK, -4.0, 4.0, 12.0)))).isPositive();
        assertThat(inked(drawn(empty(8, 8), stroke(PIXELS, -4.0, 4.0, 3.0, 20.0, 4.0, 3.0))))
                .isEqualTo(24);
    }

    @Test
    void numbersThatMakeNoStrokeAreRefusedByName() {
        assertThatThrownBy(() -> stroke(INK, 1.0, 2.0, 3.0, 4.0))
                .isInstanceOf(OutOfRange.class)
                .hasMessageContaining("three numbers");
        assertThatThrownBy(() -> stroke(INK, 1.0, Double.NaN, 3.0)).isInstanceOf(OutOfRange.class);
        assertThatThrownBy(() -> stroke(INK, 1.0, 1.0, 501.0)).hasMessageContaining("500");
        assertThatThrownBy(() -> new Pen("20283", 100, 0, false, false)).hasMessageContaining("six hexadecimal");
        assertThatThrownBy(() -> new Pen("202830", 0, 0, false, false)).hasMessageContaining("from 1 to 100");
    }
}
