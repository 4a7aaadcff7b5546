package dobbin.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.draw.Mark;
import dobbin.draw.Scene;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Card;
import dobbin.reel.CrossFade;
import dobbin.reel.Cycle;
import dobbin.reel.Frame;
import dobbin.reel.Ink;
import dobbin.reel.PictureRef;
import dobbin.reel.Reel;
import dobbin.render.Pictures;
import dobbin.render.RenderKeys;
import dobbin.render.Renderer;
import dobbin.skerry.FlipBook;
import dobbin.timing.Easing;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is drawn on frames belongs to them, and can be moved about among them. */
class InkTest {
    private static final Size CANVAS = new Size(60, 40);
    private static final Ink WAVE = new Ink("0a".repeat(32), new Size(20, 10), 5, 8);
    private static final Ink GULL = new Ink("0b".repeat(32), new Size(6, 6), 30, 2);

    private static Reel pages(int count) {
        Reel reel = Edit.apply(new SetCanvas(CANVAS.width(), CANVAS.height()), Reel.empty("Flip book"));
        for (int i = 0; i < count; i++) {
            reel = Edit.apply(new AddPage(i, false), reel);
        }
        return reel;
    }

    private static Reel drawn(Reel reel, int frame, Ink ink) {
        String before = ink(reel, frame).picture();
        return Edit.apply(setInk(frame, before, ink, "Draw"), reel);
    }

    private static SetInk setInk(int frame, String before, Ink ink, String verb) {
        return new SetInk(List.of(new SetInk.Drawn(frame, before, ink)), verb);
    }

    private static Ink ink(Reel reel, int frame) {
        return reel.frames().stream()
                .filter(each -> each.id() == frame)
                .map(Frame::ink)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aPageShowsAsLongAsTheOneBeforeAndMayKeepItsStill() {
        Reel reel = Edit.apply(new AddCard(Card.blank("9cc3e0"), 250, 0), pages(0));
        reel = drawn(reel, 1, WAVE);
        Reel still = Edit.apply(new AddPage(1, true), reel);
        assertThat(still.frames().get(1).content()).isEqualTo(Card.blank("9cc3e0"));
        assertThat(still.frames().get(1).delayMillis()).isEqualTo(250);
        assertThat(still.frames().get(1).ink()).isEqualTo(Ink.NONE);
        Reel empty = Edit.apply(new AddPage(1, false), reel);
        assertThat(empty.frames().get(1).content()).isEqualTo(Card.blank(""));
        assertThat(pages(1).frames().get(0).delayMillis()).isEqualTo(120);
    }

    @Test
    void whatWasDrawnOnOtherInkIsRefused() {
        Reel reel = drawn(pages(1), 1, WAVE);
        assertThatThrownBy(() -> Edit.apply(setInk(1, "", GULL, "Draw"), reel))
                .isInstanceOf(EditRejected.class)
                .hasMessageContaining("other ink by now");
        assertThatThrownBy(() -> setInk(1, "", GULL, " ")).hasMessageContaining("1 to 40");
        assertThat(setInk(1, "", GULL, "Draw").title(reel)).isEqualTo("Draw on frame 1");
    }

    @Test
    void inkIsCopiedExchangedMovedAndCleared() {
        Reel reel = drawn(drawn(pages(3), 1, WAVE), 2, GULL);
        Reel copied = Edit.apply(new CopyInk(List.of(1), List.of(2, 3)), reel);
        assertThat(copied.frames()).extracting(Frame::ink).containsOnly(WAVE);
        Reel swapped = Edit.apply(new SwapInk(1, 2), reel);
        assertThat(swapped.frames()).extracting(Frame::ink).containsExactly(GULL, WAVE, Ink.NONE);
        assertThat(Edit.apply(new SwapInk(1, 2), swapped)).isEqualTo(reel);
        Reel moved = Edit.apply(new MoveInk(List.of(1, 3), 4, -3), reel);
        assertThat(ink(moved, 1)).isEqualTo(new Ink(WAVE.picture(), WAVE.size(), 9, 5));
        assertThat(ink(moved, 3)).isEqualTo(Ink.NONE);
        assertThat(Edit.apply(new ClearInk(List.of(1, 2)), reel).frames())
                .extracting(Frame::ink)
                .containsOnly(Ink.NONE);
        assertThatThrownBy(() -> Edit.apply(new CopyInk(List.of(3), List.of(1)), reel))
                .hasMessageContaining("has no ink");
    }

    @Test
    void inksOfSeveralPagesTakeTurns() {
        Reel reel = drawn(drawn(pages(6), 1, WAVE), 2, GULL);
        Reel boiling = Edit.apply(new CopyInk(List.of(1, 2), List.of(3, 4, 5, 6)), reel);
        assertThat(boiling.frames()).extracting(Frame::ink).containsExactly(WAVE, GULL, WAVE, GULL, WAVE, GULL);
        assertThatThrownBy(() -> Edit.apply(new CopyInk(List.of(1, 3), List.of(4)), reel))
                .hasMessageContaining("has no ink");
    }

    @Test
    void whatIsDoneToSeveralPagesIsOneStepOrNone() {
        Reel reel = drawn(drawn(pages(3), 1, WAVE), 2, WAVE);
        SetInk.Drawn first = new SetInk.Drawn(1, WAVE.picture(), GULL);
        SetInk.Drawn second = new SetInk.Drawn(2, WAVE.picture(), Ink.NONE);
        SetInk both = new SetInk(List.of(first, second), "Replace a color");
        assertThat(Edit.apply(both, reel).frames()).extracting(Frame::ink).containsExactly(GULL, Ink.NONE, Ink.NONE);
        assertThat(both.title(reel)).isEqualTo("Replace a color on 2 frames");
        SetInk.Drawn stale = new SetInk.Drawn(3, WAVE.picture(), GULL);
        assertThatThrownBy(() -> Edit.apply(new SetInk(List.of(first, stale), "Draw"), reel))
                .hasMessageContaining("other ink by now");
        assertThatThrownBy(() -> new SetInk(List.of(first, first), "Draw")).hasMessageContaining("different frames");
    }

    @Test
    void aRowOfNudgesIsOneStep() {
        MoveInk first = new MoveInk(List.of(1), 4, 0);
        MoveInk second = new MoveInk(List.of(1), 1, 2);
        assertThat(second.continues(first)).isTrue();
        assertThat(second.joined(first)).isEqualTo(new MoveInk(List.of(1), 5, 2));
        assertThat(second.continues(new MoveInk(List.of(2), 1, 1))).isFalse();
    }

    @Test
    void inkBecomesACutoutThatIsSeenWhereItWas() {
        Reel reel = drawn(pages(2), 2, WAVE);
        Pictures pictures = (name, level) -> Raster.filled(WAVE.size(), 0xFF204060);
        Raster before = Renderer.draw(reel, reel.frames().get(1), pictures, CANVAS);
        Reel cut = Edit.apply(new InkToCutout(2), reel);
        assertThat(ink(cut, 2)).isEqualTo(Ink.NONE);
        assertThat(((Cycle) cut.cutouts().get(0).art()).pictures()).containsExactly(WAVE.ref());
        assertThat(Renderer.draw(cut, cut.frames().get(1), pictures, CANVAS)).isEqualTo(before);
        assertThat(Renderer.draw(cut, cut.frames().get(0), pictures, CANVAS))
                .isEqualTo(Renderer.draw(reel, reel.frames().get(0), pictures, CANVAS));
    }

    @Test
    void aReelNamesThePicturesOfItsInkAndALookTellsInkApart() {
        Reel reel = drawn(pages(2), 1, WAVE);
        assertThat(reel.pictures()).containsExactly(new PictureRef(WAVE.picture(), WAVE.size()));
        RenderKeys looks = new RenderKeys(reel);
        Frame inked = reel.frames().get(0);
        Frame bare = reel.frames().get(1);
        assertThat(looks.of(inked)).isNotEqualTo(looks.of(bare));
        assertThat(looks.ofUnderInk(inked)).isEqualTo(looks.ofUnderInk(bare));
        assertThat(looks.ofOverInk(inked)).isEmpty();
    }

    @Test
    void pagesOfInkFadeLikeStillsAndInkGoesAlongWhereNothingFades() {
        Reel reel = drawn(drawn(pages(2), 1, WAVE), 2, GULL);
        Reel faded = Edit.apply(new Tween(1, 1, 50, Easing.EVEN, true), reel);
        assertThat(faded.frames().get(1).content()).isEqualTo(CrossFade.between(WAVE.still(), GULL.still(), 0.5));
        assertThat(faded.frames().get(1).ink()).isEqualTo(Ink.NONE);
        Reel held = Edit.apply(new Tween(1, 1, 50, Easing.EVEN, false), reel);
        assertThat(held.frames().get(1).ink()).isEqualTo(WAVE);
    }

    @Test
    void swatchesAreKeptWithTheReelAndBounded() {
        Reel reel = Edit.apply(new SetSwatches(List.of("b23a24", "1e2a32", "b23a24")), pages(1));
        assertThat(reel.swatches()).containsExactly("b23a24", "1e2a32");
        assertThatThrownBy(() -> Edit.apply(new SetSwatches(List.of("red")), reel))
                .isInstanceOf(EditRejected.class);
    }

    @Test
    void theDemosFlipBookClosesItsFillsAndStaysOnThePage() {
        for (List<Mark> marks : FlipBook.pages()) {
            Raster ink = Raster.filled(FlipBook.CANVAS, 0);
            for (Mark mark : marks) {
                ink = mark.on(ink, Scene.of(ink));
            }
            assertThat(ink.pixel(2, 2)).as("no fill ran out").isZero();
            assertThat(Arrays.stream(ink.argb())
                            .filter(pixel -> pixel == 0xFFB23E28)
                            .count())
                    .as("the sail is red")
                    .isBetween(600L, 2_500L);
        }
    }
}
