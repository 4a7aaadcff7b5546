package dobbin.draw;

import static dobbin.draw.Inks.INK;
import static dobbin.draw.Inks.PIXELS;
import static dobbin.draw.Inks.drawn;
import static dobbin.draw.Inks.empty;
import static dobbin.draw.Inks.inked;
import static dobbin.draw.Inks.mirrored;
import static dobbin.draw.Inks.picture;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.raster.Raster;
import dobbin.raster.Region;
import dobbin.raster.Size;
import dobbin.reel.Ink;
import dobbin.reel.OutOfRange;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class FigureTest {
    private static Figure figure(Figure.Kind kind, Pen pen, double line, String fill, double... box) {
        return new Figure(kind, pen, box[0], box[1], box[2], box[3], line, fill, Mirroring.NONE);
    }

    @Test
    void aHardCircleIsOfWholePixels() {
        Raster circle = drawn(empty(9, 9), figure(Figure.Kind.ELLIPSE, PIXELS, 1, "", 1.5, 1.5, 7.5, 7.5));
        assertThat(picture(circle)).isEqualTo("""
                .........
                ...###...
                ..#...#..
                .#.....#.
                .#.....#.
                .#.....#.
                ..#...#..
                ...###...
                .........""");
    }

    @ParameterizedTest
    @ValueSource(ints = {3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16})
    void aHardCircleIsTheSameFromAllSides(int across) {
        Raster circle = drawn(
                empty(across, across),
                figure(Figure.Kind.ELLIPSE, PIXELS, 1, "", 0.5, 0.5, across - 0.5, across - 0.5));
        assertThat(circle).isEqualTo(mirrored(circle, true, false)).isEqualTo(mirrored(circle, false, true));
        Raster full = drawn(
                empty(across, across),
                figure(Figure.Kind.ELLIPSE, PIXELS, 0, "b23a24", 0.5, 0.5, across - 0.5, across - 0.5));
        double area = Math.PI * across * across / 4;
        assertThat((double) inked(full)).isBetween(area - across, area + across);
    }

    @Test
    void aRectangleCoversWhatItCovers() {
        Raster box = drawn(empty(6, 5), figure(Figure.Kind.RECTANGLE, INK, 0, "b23a24", 1.5, 1, 4, 3.25));
        assertThat(box.pixel(1, 1)).as("half a column").isEqualTo(0x80B23A24);
        assertThat(box.pixel(2, 1)).isEqualTo(0xFFB23A24);
        assertThat(box.pixel(2, 3)).as("a quarter of a row").isEqualTo(0x40B23A24);
        assertThat(box.pixel(4, 1)).isZero();
    }

    @Test
    void lineAndFillHaveColorsOfTheirOwn() {
        Raster both = drawn(empty(12, 12), figure(Figure.Kind.RECTANGLE, PIXELS, 2, "b23a24", 2.5, 2.5, 9.5, 9.5));
        assertThat(both.pixel(2, 2)).isEqualTo(0xFF202830);
        assertThat(both.pixel(3, 3)).isEqualTo(0xFF202830);
        assertThat(both.pixel(4, 4)).isEqualTo(0xFFB23A24);
        assertThat(inked(both)).isEqualTo(64);
    }

    @Test
    void theAreaOfAnEllipseIsThatOfAnEllipse() {
        Raster ellipse = drawn(empty(100, 60), figure(Figure.Kind.ELLIPSE, INK, 0, "202830", 5.3, 6.1, 92.9, 50.4));
        double covered = 0;
        for (int pixel : ellipse.argb()) {
            covered += (pixel >>> 24) / 255.0;
        }
        assertThat(covered).isBetween(0.999 * Math.PI * 43.8 * 22.15, 1.001 * Math.PI * 43.8 * 22.15);
    }

    @Test
    void aFigureOfNothingIsRefused() {
        assertThatThrownBy(() -> figure(Figure.Kind.ELLIPSE, INK, 0, "", 0, 0, 5, 5))
                .isInstanceOf(OutOfRange.class)
                .hasMessageContaining("no fill");
        assertThatThrownBy(() -> figure(Figure.Kind.ELLIPSE, INK, 2, "", 0, 0, 5, 1e9))
                .isInstanceOfSatisfying(
                        OutOfRange.class, e -> assertThat(e.field()).isEqualTo("toY"));
    }

    @Test
    void inkInABoxMovesAndScalesByWholePixels() {
        Raster box = drawn(empty(12, 12), figure(Figure.Kind.RECTANGLE, PIXELS, 0, "b23a24", 1.5, 1.5, 2.5, 2.5));
        Shift shift = new Shift(List.of(1.0, 1.0, 3.0, 3.0), new Region(5, 6, 4, 4), Ink.NONE, false, true);
        Raster moved = drawn(box, shift);
        assertThat(inked(moved)).isEqualTo(16);
        assertThat(moved.pixel(1, 1)).isZero();
        assertThat(moved.pixel(5, 6)).isEqualTo(0xFFB23A24);
        assertThat(moved.pixel(8, 9)).isEqualTo(0xFFB23A24);
        Raster copied =
                drawn(box, new Shift(List.of(1.0, 1.0, 3.0, 3.0), new Region(5, 6, 2, 2), Ink.NONE, true, true));
        assertThat(inked(copied)).isEqualTo(8);
    }

    @Test
    void inkInAFreeOutlineIsTakenFromAnotherFrame() {
        Raster other = drawn(empty(10, 10), figure(Figure.Kind.RECTANGLE, PIXELS, 0, "b23a24", 0.5, 0.5, 9.5, 9.5));
        Shift shift = new Shift(
                List.of(0.0, 0.0, 8.0, 0.0, 0.0, 8.0),
                new Region(0, 0, 8, 8),
                new Ink("0f".repeat(32), new Size(10, 10), 0, 0),
                true,
                true);
        Raster here = empty(10, 10);
        Raster pasted = shift.on(here, new Scene(() -> here, () -> here, () -> other, () -> other));
        assertThat(pasted.pixel(1, 1)).isEqualTo(0xFFB23A24);
        assertThat(pasted.pixel(7, 7)).as("outside of the triangle").isZero();
        assertThat(inked(pasted)).isBetween(28L, 36L);
    }
}
