package dobbin.render;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.lettering.OwnTypeface;
import dobbin.lettering.TextBlock.Align;
import dobbin.lettering.Typeface;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Card;
import dobbin.reel.Fit;
import dobbin.reel.Frame;
import dobbin.reel.FrameContent;
import dobbin.reel.Reel;
import dobbin.reel.Still;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class RendererTest {
    private static final Size CANVAS = new Size(60, 40);
    private static final int NIGHT = 0xFF101830;
    private static final int DAWN = 0xFFE06848;

    /** Tall: its upper half night, its lower half dawn. */
    private static final Raster TALL = tall();

    private static Raster tall() {
        int[] argb = new int[20 * 80];
        Arrays.fill(argb, 0, 20 * 40, NIGHT);
        Arrays.fill(argb, 20 * 40, 20 * 80, DAWN);
        return Raster.of(new Size(20, 80), argb);
    }

    private static Raster drawn(FrameContent content, Size size) {
        Reel reel = Reel.empty("Tide").withCanvas(CANVAS);
        return Renderer.draw(reel, Frame.of(1, 100, content), (name, level) -> level.of(TALL), size);
    }

    private static Raster drawn(Fit.Way way, double focusX, double focusY, String background) {
        Fit fit = new Fit(way, focusX, focusY, background);
        return drawn(new Still("a".repeat(64), "tall.png", TALL.size(), fit), CANVAS);
    }

    @Test
    void insideShowsAllOfItAndTheBackgroundBeside() {
        Raster drawn = drawn(Fit.Way.INSIDE, 0.5, 0.5, "9cc3e0");
        assertThat(drawn.pixel(0, 20)).isEqualTo(0xFF9CC3E0);
        assertThat(drawn.pixel(24, 20)).isEqualTo(0xFF9CC3E0);
        assertThat(drawn.pixel(25, 2)).isEqualTo(NIGHT);
        assertThat(drawn.pixel(34, 38)).isEqualTo(DAWN);
        assertThat(drawn.pixel(35, 38)).isEqualTo(0xFF9CC3E0);
        assertThat(drawn(Fit.Way.INSIDE, 0, 0.5, "").pixel(0, 2))
                .as("focus puts it to the left")
                .isEqualTo(NIGHT);
        assertThat(drawn(Fit.Way.INSIDE, 0, 0.5, "").pixel(30, 2))
                .as("no background")
                .isZero();
    }

    @ParameterizedTest
    @CsvSource({"0, ff101830, ff101830", "1, ffe06848, ffe06848", "0.5, ff101830, ffe06848"})
    void fillCoversAllAndKeepsTheFocusInSight(double focus, String top, String bottom) {
        Raster drawn = drawn(Fit.Way.FILL, 0.5, focus, "");
        assertThat(drawn.isOpaque()).isTrue();
        assertThat(Integer.toHexString(drawn.pixel(30, 1))).isEqualTo(top);
        assertThat(Integer.toHexString(drawn.pixel(30, 38))).isEqualTo(bottom);
    }

    @Test
    void stretchMakesItTheCanvassShape() {
        Raster drawn = drawn(Fit.Way.STRETCH, 0, 0, "");
        assertThat(drawn.pixel(0, 0)).isEqualTo(NIGHT);
        assertThat(drawn.pixel(59, 15)).isEqualTo(NIGHT);
        assertThat(drawn.pixel(59, 39)).isEqualTo(DAWN);
    }

    @Test
    void asIsKeepsEveryPixel() {
        Raster drawn = drawn(Fit.Way.AS_IS, 1, 1, "");
        assertThat(drawn.pixel(39, 39)).isZero();
        for (int y = 0; y < 40; y++) {
            assertThat(drawn.pixel(40, y)).isEqualTo(DAWN);
        }
        assertThat(drawn(Fit.Way.AS_IS, 1, 0.5, "").pixel(59, 19)).isEqualTo(NIGHT);
        assertThat(drawn(Fit.Way.AS_IS, 1, 0.5, "").pixel(59, 20)).isEqualTo(DAWN);
    }

    @ParameterizedTest
    @EnumSource(value = Fit.Way.class, names = "PLACED", mode = EnumSource.Mode.EXCLUDE)
    void aStillOfTheCanvassSizeIsItselfWhateverTheFit(Fit.Way way) {
        Fit fit = new Fit(way, 0.2, 0.9, "ffffff");
        Reel reel = Reel.empty("Tide").withCanvas(TALL.size());
        Frame frame = Frame.of(1, 100, new Still("a".repeat(64), "tall.png", TALL.size(), fit));
        assertThat(Renderer.draw(reel, frame, (name, level) -> TALL, TALL.size()))
                .isEqualTo(TALL);
    }

    @Test
    void cardsHaveTheirColorAndTheirWords() {
        assertThat(drawn(Card.blank("1e2a32"), CANVAS)).isEqualTo(Raster.filled(CANVAS, 0xFF1E2A32));
        assertThat(drawn(Card.blank(""), CANVAS)).isEqualTo(Raster.filled(CANVAS, 0));
        Raster words = drawn(card("Low", Align.LEFT), CANVAS);
        assertThat(inked(words, 0, 30)).isGreaterThan(60);
        assertThat(inked(words, 50, 60)).as("nothing on the right").isZero();
        assertThat(inked(drawn(card("Low", Align.RIGHT), CANVAS), 0, 10)).isZero();
    }

    @Test
    void linesBreakAlikeAtEverySize() {
        Raster small = drawn(card("Low tide at six", Align.CENTER), CANVAS);
        Raster large = drawn(card("Low tide at six", Align.CENTER), new Size(240, 160));
        assertThat(inked(large, 0, 240) / 16.0).isBetween(inked(small, 0, 60) * 0.6, inked(small, 0, 60) * 1.1);
        assertThat(rows(large) / 4.0).isBetween(rows(small) - 2.0, rows(small) + 2.0);
    }

    private static Card card(String text, Align align) {
        return new Card("ffffff", text, Typeface.PLAIN, OwnTypeface.NONE, 14, "000000", align);
    }

    private static int inked(Raster raster, int from, int to) {
        int inked = 0;
        for (int i = 0; i < raster.argb().length; i++) {
            int x = i % raster.width();
            inked += x >= from && x < to && (raster.argb()[i] & 0xFF) < 200 ? 1 : 0;
        }
        return inked;
    }

    private static int rows(Raster raster) {
        int first = -1;
        int last = -1;
        for (int i = 0; i < raster.argb().length; i++) {
            if ((raster.argb()[i] & 0xFF) < 200) {
                last = i / raster.width();
                first = first < 0 ? last : first;
            }
        }
        return last - first + 1;
    }
}
