package dobbin.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PlacementTest {
    private static final Bounds CANVAS = new Bounds(0, 0, 40, 40);

    /** Any colors, some of them half transparent. */
    private static Raster art(int width, int height) {
        Random random = new Random(7);
        int[] argb = new int[width * height];
        for (int i = 0; i < argb.length; i++) {
            argb[i] = random.nextInt() | (random.nextInt(3) > 0 ? 0xFF000000 : 0x40000000);
        }
        return Raster.of(new Size(width, height), argb);
    }

    private static int[] drawn(Raster art, Affine place) {
        int[] canvas = new int[40 * 40];
        Placement.draw(art, place, CANVAS)
                .ifPresent(layer -> Compositor.over(layer.raster(), layer.x(), layer.y(), canvas, CANVAS.size()));
        return canvas;
    }

    @Test
    void shiftsByWholePixelsKeepThePixels() {
        Raster art = art(9, 7);
        int[] canvas = drawn(art, Affine.shift(11, 5));
        for (int y = 0; y < 7; y++) {
            for (int x = 0; x < 9; x++) {
                assertThat(canvas[(y + 5) * 40 + x + 11]).isEqualTo(art.pixel(x, y));
            }
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {90, 180, 270, 360, -90, 3690})
    void quarterTurnsMoveThePixelsAndNothingElse(int degrees) {
        Raster art = art(8, 6);
        Affine place = Affine.shift(-4, -3).then(Affine.turn(degrees)).then(Affine.shift(20, 20));
        int[] canvas = drawn(art, place);
        for (int y = 0; y < 6; y++) {
            for (int x = 0; x < 8; x++) {
                int atX = (int) Math.floor(place.x(x + 0.5, y + 0.5));
                int atY = (int) Math.floor(place.y(x + 0.5, y + 0.5));
                assertThat(canvas[atY * 40 + atX]).as("%d, %d", x, y).isEqualTo(art.pixel(x, y));
            }
        }
    }

    @Test
    void halfAPixelIsHalfOnEach() {
        Raster line = Raster.filled(new Size(4, 10), 0xFFFFFFFF);
        int[] canvas = drawn(line, Affine.shift(10.5, 10));
        assertThat(canvas[15 * 40 + 10] >>> 24).isBetween(120, 136);
        assertThat(canvas[15 * 40 + 14] >>> 24).isBetween(120, 136);
        assertThat(canvas[15 * 40 + 12]).isEqualTo(0xFFFFFFFF);
    }

    @Test
    void edgesOfWhatIsTurnedGetNoDarkFringe() {
        Raster white = Raster.filled(new Size(12, 12), 0xFFFFFFFF);
        int[] canvas = drawn(white, Affine.shift(-6, -6).then(Affine.turn(17)).then(Affine.shift(20.3, 19.8)));
        for (int pixel : canvas) {
            if (pixel >>> 24 > 0) {
                assertThat(pixel & 0xFFFFFF).isEqualTo(0xFFFFFF);
            }
        }
    }

    @Test
    void turningKeepsTheArea() {
        Raster white = Raster.filled(new Size(12, 10), 0xFFFFFFFF);
        double covered = 0;
        for (int pixel : drawn(white, Affine.shift(-6, -5).then(Affine.turn(33)).then(Affine.shift(20, 20)))) {
            covered += (pixel >>> 24) / 255.0;
        }
        assertThat(covered).isCloseTo(120, within(2.0));
    }

    @Test
    void whatIsFlatOrElsewhereIsNotDrawn() {
        assertThat(Placement.draw(art(3, 3), Affine.scale(0, 2), CANVAS)).isEmpty();
        assertThat(Placement.draw(art(3, 3), Affine.shift(90, 0), CANVAS)).isEmpty();
        assertThat(Placement.draw(art(3, 3), Affine.scale(1000, 1000), CANVAS)
                        .orElseThrow()
                        .raster()
                        .size())
                .as("no larger than what is seen")
                .isEqualTo(CANVAS.size());
    }

    @Test
    void thereAndBackIsNothing() {
        Affine place = Affine.scale(1.5, -0.7).then(Affine.turn(37)).then(Affine.shift(3, -8));
        Affine nothing = place.then(place.inverse());
        assertThat(nothing.x(5, 9)).isCloseTo(5, within(1e-9));
        assertThat(nothing.y(5, 9)).isCloseTo(9, within(1e-9));
    }

    /** Values of the W3C's formulas, by hand: below 0x80, above 0x40. */
    @Test
    void blendModes() {
        assertThat(Blend.NORMAL.of(0x80, 0x40)).isEqualTo(0x40);
        assertThat(Blend.MULTIPLY.of(0x80, 0x40)).isEqualTo(0x20);
        assertThat(Blend.SCREEN.of(0x80, 0x40)).isEqualTo(0xA0);
        assertThat(Blend.OVERLAY.of(0x80, 0x40)).isEqualTo(0x41);
        assertThat(Blend.OVERLAY.of(0x20, 0x40)).isEqualTo(0x10);
        assertThat(Blend.DARKEN.of(0x80, 0x40)).isEqualTo(0x40);
        assertThat(Blend.LIGHTEN.of(0x80, 0x40)).isEqualTo(0x80);
    }

    @Test
    void blendingCountsOnlyWhereThereIsSomethingBelow() {
        int[] canvas = {0xFF808080, 0, 0xFF808080};
        Raster gray = Raster.of(new Size(3, 1), new int[] {0xFF404040, 0xFF404040, 0});
        Compositor.blend(new Layer(gray, 0, 0), Blend.MULTIPLY, canvas, new Size(3, 1));
        assertThat(canvas).containsExactly(0xFF202020, 0xFF404040, 0xFF808080);
    }

    @Test
    void picturesMixInLinearLight() {
        Raster black = Raster.filled(new Size(1, 1), 0xFF000000);
        Raster white = Raster.filled(new Size(1, 1), 0xFFFFFFFF);
        Raster clear = Raster.filled(new Size(1, 1), 0);
        assertThat(Compositor.mix(black, white, 0.5).pixel(0, 0)).isEqualTo(0xFFBCBCBC);
        assertThat(Compositor.mix(white, clear, 0.25).pixel(0, 0)).isEqualTo(0xBFFFFFFF);
        assertThat(Compositor.mix(black, white, 0)).isEqualTo(black);
        assertThat(Compositor.mix(black, white, 1)).isEqualTo(white);
    }
}
