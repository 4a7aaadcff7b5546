package dobbin.reel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.dither.Dither;
import dobbin.edit.AddStills;
import dobbin.edit.Edit;
import dobbin.edit.NewStill;
import dobbin.edit.SetCanvas;
import dobbin.edit.SetDelay;
import dobbin.edit.SetDelivery;
import dobbin.palette.ColorChoice;
import dobbin.raster.Size;
import java.util.ArrayList;
import java.util.List;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DeliveryTest {
    private static final Size CANVAS = new Size(480, 320);

    private static Reel reel(int frames) {
        List<NewStill> stills = new ArrayList<>();
        for (int i = 0; i < frames; i++) {
            stills.add(new NewStill(String.format("%064x", i), "Tide " + i, CANVAS, 100));
        }
        return Edit.apply(new AddStills(stills, 0), Reel.empty("Tide"));
    }

    private static Framing framing(Crop crop, int width, int height, int enlarge, int every) {
        return new Framing(crop, width, height, enlarge, Scaling.SMOOTH, every);
    }

    private static Reel with(Reel reel, Framing framing) {
        return Edit.apply(new SetDelivery(reel.delivery().with(framing)), reel);
    }

    private static void refuses(String field, String reason, ThrowingCallable made) {
        assertThatThrownBy(made)
                .isInstanceOf(OutOfRange.class)
                .hasMessageContaining(reason)
                .extracting("field")
                .isEqualTo(field);
    }

    @ParameterizedTest
    @CsvSource({
        "0, 0, 1, 480, 320",
        "300, 0, 1, 300, 200",
        "0, 100, 1, 150, 100",
        "0, 0, 3, 1440, 960",
    })
    void theOneSizeThatIsSetGivesTheOther(int width, int height, int enlarge, int wide, int high) {
        assertThat(framing(Crop.WHOLE, width, height, enlarge, 1).sizeOf(CANVAS))
                .isEqualTo(new Size(wide, high));
    }

    @Test
    void theRatioIsThatOfTheCrop() {
        Crop square = new Crop(100, 20, 200, 200);
        assertThat(framing(square, 300, 0, 1, 1).sizeOf(CANVAS)).isEqualTo(new Size(300, 300));
        assertThat(framing(square, 0, 0, 4, 1).sizeOf(CANVAS)).isEqualTo(new Size(800, 800));
        assertThat(Framing.USUAL.sizeOf(new Size(1600, 1200))).isEqualTo(new Size(480, 360));
        assertThat(Framing.USUAL.seenSize(new Size(1600, 1200))).isEqualTo(new Size(800, 600));
        assertThat(Framing.USUAL.seenSize(new Size(1000, 8000))).isEqualTo(new Size(200, 1600));
    }

    @Test
    void refusesWhatCannotBeHad() {
        refuses("width", "1 to 1,600, not -1", () -> Framing.ofWidth(-1));
        refuses("height", "1 to 1,600", () -> framing(Crop.WHOLE, 0, 1601, 1, 1));
        refuses("enlarge", "1 to 20", () -> framing(Crop.WHOLE, 0, 0, 21, 1));
        refuses("every", "1 to 20", () -> framing(Crop.WHOLE, 0, 0, 1, 0));
        refuses("width", "cannot be set together", () -> framing(Crop.WHOLE, 100, 0, 2, 1));
        refuses("crop", "a width and a height", () -> new Crop(0, 0, 10, 0));
        refuses("x", "not -1", () -> new Crop(-1, 0, 10, 10));
        refuses("own", "at least one", () -> new Coloring(ColorChoice.OWN, List.of()));
        refuses("own", "empty", () -> new Coloring(ColorChoice.SEEN, List.of("b23a2e")));
        refuses("own", "six hexadecimal", () -> new Coloring(ColorChoice.OWN, List.of("red")));
        refuses("colors", "2 to 256", () -> new Delivery(480, 1, Dither.NONE, "", Encoding.USUAL));
        refuses("colors", "not 257", () -> new Delivery(480, 257, Dither.NONE, "", Encoding.USUAL));
        refuses("matte", "six hexadecimal", () -> new Delivery(480, 64, Dither.NONE, "red", Encoding.USUAL));
        refuses(
                "matte",
                "must be given",
                () -> new Delivery(Framing.USUAL, 64, Coloring.USUAL, Dither.NONE, "", true, Encoding.USUAL));
    }

    @Test
    void aCropLiesOnTheCanvasAndAnEnlargementHasAnEnd() {
        Reel reel = reel(2);
        assertThatThrownBy(() -> with(reel, framing(new Crop(400, 0, 100, 100), 0, 0, 1, 1)))
                .hasMessage("must lie on the canvas of 480 × 320");
        assertThatThrownBy(() -> with(reel, framing(Crop.WHOLE, 0, 0, 4, 1))).hasMessageContaining("at most 3");
    }

    @Test
    void aSmallerCanvasKeepsWhatIsLeftOfTheCrop() {
        Reel cropped = with(reel(2), framing(new Crop(200, 100, 200, 200), 0, 0, 1, 1));
        assertThat(Edit.apply(new SetCanvas(300, 300), cropped)
                        .delivery()
                        .framing()
                        .crop())
                .isEqualTo(new Crop(200, 100, 100, 200));
        assertThat(Edit.apply(new SetCanvas(100, 100), cropped)
                        .delivery()
                        .framing()
                        .crop())
                .isEqualTo(Crop.WHOLE);
    }

    @ParameterizedTest
    @CsvSource({"1, 7", "2, 4", "3, 3", "20, 1"})
    void everySoManyFramesKeepTheTime(int every, int frames) {
        Reel reel = Edit.apply(new SetDelay(List.of(2, 5), 350), reel(7));
        Reel fewer = with(reel, framing(Crop.WHOLE, 0, 0, 1, every));
        assertThat(fewer.deliveredFrames())
                .hasSize(frames)
                .startsWith(reel.frames().get(0));
        assertThat(fewer.deliveredDelaysMillis()).hasSize(frames);
        assertThat(java.util.Arrays.stream(fewer.deliveredDelaysMillis()).sum())
                .isEqualTo(java.util.Arrays.stream(reel.deliveredDelaysMillis()).sum());
        assertThat(fewer.frames()).isEqualTo(reel.frames());
    }

    @ParameterizedTest
    @CsvSource({
        "0, 0, 0, 0, 300, 0, 1, 1, Deliver 300 px wide",
        "0, 0, 0, 0, 0, 200, 1, 1, Deliver 200 px high",
        "0, 0, 0, 0, 0, 0, 2, 1, Enlarge 2 times",
        "0, 0, 0, 0, 0, 0, 1, 2, Deliver every second frame",
        "9, 9, 100, 80, 0, 0, 1, 1, Crop to 100 × 80",
    })
    void undoSaysWhatWasSet(int x, int y, int w, int h, int width, int height, int enlarge, int every, String title) {
        Reel reel = reel(4);
        Framing framing = framing(new Crop(x, y, w, h), width, height, enlarge, every);
        assertThat(new SetDelivery(reel.delivery().with(framing)).title(reel)).isEqualTo(title);
    }
}
