package dobbin.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.raster.Size;
import dobbin.reel.Card;
import dobbin.reel.Fit;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.reel.Still;
import java.util.List;
import org.junit.jupiter.api.Test;

class ArrangingTest {
    private static final Reel REEL = EditTest.reel(6);

    private static List<Integer> ids(Reel reel) {
        return reel.frames().stream().map(Frame::id).toList();
    }

    private static List<String> names(Reel reel) {
        return reel.frames().stream().map(frame -> frame.content().name()).toList();
    }

    @Test
    void thereAndBackHasEachEndOnceUnlessAskedTwice() {
        assertThat(names(Edit.apply(new ThereAndBack(List.of(1, 2, 3, 4), false), REEL)))
                .containsExactly("Tide 1", "Tide 2", "Tide 3", "Tide 4", "Tide 3", "Tide 2", "Tide 5", "Tide 6");
        assertThat(names(Edit.apply(new ThereAndBack(List.of(1, 2), true), REEL)))
                .startsWith("Tide 1", "Tide 2", "Tide 2", "Tide 1", "Tide 3");
        assertThatThrownBy(() -> Edit.apply(new ThereAndBack(List.of(1, 2), false), REEL))
                .hasMessageContaining("at least 3");
    }

    @Test
    void whatIsLeftOutStaysOnTheSheetAndTakesNoTime() {
        Reel without = Edit.apply(new LeaveOut(List.of(2, 5), true), REEL);
        assertThat(ids(without)).containsExactly(1, 2, 3, 4, 5, 6);
        assertThat(without.loop()).extracting(Frame::id).containsExactly(1, 3, 4, 6);
        assertThat(without.loopDelaysMillis()).hasSize(4);
        assertThat(Edit.apply(new LeaveOut(List.of(2, 5), false), without)).isEqualTo(REEL);
    }

    @Test
    void shuffledFramesGoBackIntoOrderOfName() {
        Reel shuffled = Edit.apply(new MoveFrames(List.of(1, 4), 6), REEL);
        assertThat(ids(shuffled)).containsExactly(2, 3, 5, 6, 1, 4);
        assertThat(Edit.apply(new SortByName(List.of(1, 2, 3, 4, 5, 6)), shuffled))
                .isEqualTo(REEL);
        assertThat(ids(Edit.apply(new SortByName(List.of(2, 4, 1)), shuffled))).containsExactly(1, 3, 5, 6, 2, 4);
    }

    @Test
    void thinningGivesTheTimeToWhatIsKept() {
        Reel timed = Edit.apply(new SetDelay(List.of(2, 3), 37), REEL);
        Reel thinned = Edit.apply(new ThinFrames(List.of(1, 2, 3, 4, 5, 6), 3), timed);
        assertThat(ids(thinned)).containsExactly(1, 4);
        assertThat(thinned.loopDelaysMillis()).containsExactly(174, 300);
        Reel some =
                Edit.apply(new ThinFrames(List.of(1, 2, 3, 4), 2), Edit.apply(new LeaveOut(List.of(2), true), timed));
        assertThat(ids(some)).as("what is left out has no time to give").containsExactly(1, 2, 4, 5, 6);
        assertThat(some.loopDelaysMillis()).containsExactly(137, 100, 100, 100);
    }

    @Test
    void mergingAddsTheDelays() {
        Reel merged = Edit.apply(new MergeFrames(List.of(4, 2, 3)), REEL);
        assertThat(ids(merged)).containsExactly(1, 2, 5, 6);
        assertThat(merged.loopDelaysMillis()).containsExactly(100, 300, 100, 100);
        assertThatThrownBy(() -> Edit.apply(new MergeFrames(List.of(4)), REEL)).hasMessageContaining("at least 2");
    }

    @Test
    void cardsAndReplacedPicturesKeepPlaceAndDelay() {
        Reel held = Edit.apply(new SetDelay(List.of(3), 700), REEL);
        Reel carded = Edit.apply(new AddCard(Card.blank("f6f1e7"), 1_500, 6), held);
        assertThat(names(carded)).endsWith("Tide 6", "#f6f1e7");
        assertThat(carded.frames().get(6).delayMillis()).isEqualTo(1_500);
        Fit fill = new Fit(Fit.Way.FILL, 0, 1, "");
        Reel filled = Edit.apply(new SetFit(List.of(3, 7), fill), carded);
        Reel replaced = Edit.apply(new ReplacePicture(3, EditTest.still("Gull", new Size(100, 100))), filled);
        Frame third = replaced.frames().get(2);
        assertThat(third.id()).isEqualTo(3);
        assertThat(third.delayMillis()).isEqualTo(700);
        assertThat(((Still) third.content()).name()).isEqualTo("Gull");
        assertThat(((Still) third.content()).fit()).isEqualTo(fill);
        assertThat(replaced.frames().get(6).content())
                .as("a card has nothing to fit")
                .isEqualTo(Card.blank("f6f1e7"));
    }

    @Test
    void framesGoIntoAnotherReelAsTheyAre() {
        List<Pasted> clip = REEL.frames().subList(1, 3).stream()
                .map(frame -> new Pasted(frame.content(), frame.ink(), frame.delayMillis()))
                .toList();
        Reel pasted = Edit.apply(new PasteFrames(clip, 0), Reel.empty("Other"));
        assertThat(names(pasted)).containsExactly("Tide 2", "Tide 3");
        assertThat(pasted.canvas()).isEqualTo(new Size(960, 640));
        assertThat(ids(Edit.apply(new PasteFrames(clip, 2), REEL))).containsExactly(1, 2, 7, 8, 3, 4, 5, 6);
    }

    @Test
    void theDeliveredSizeFollowsTheCanvasUntilSomeoneSetsIt() {
        assertThat(Edit.apply(new SetCanvas(500, 376), REEL).deliveredSize()).isEqualTo(new Size(500, 376));
        assertThat(Edit.apply(new SetCanvas(4000, 3000), REEL).deliveredSize()).isEqualTo(new Size(480, 360));
        Reel chosen = REEL.withDelivery(REEL.delivery().withWidth(480));
        Reel small = Edit.apply(new SetCanvas(300, 300), chosen);
        assertThat(small.deliveredSize()).isEqualTo(new Size(480, 480));
        assertThat(small.canvas()).isEqualTo(new Size(300, 300));
        assertThatThrownBy(() -> Edit.apply(new SetCanvas(0, 300), REEL)).hasMessageContaining("1 to 10,000");
        assertThatThrownBy(() -> Edit.apply(new SetCanvas(1, 10_000), chosen))
                .as("a canvas this narrow, 480 wide, has no picture")
                .hasMessageContaining("too large");
    }

    @Test
    void aDismissedNoticeIsRememberedOnce() {
        Reel once = Edit.apply(new DismissNotice("FAR 12"), REEL);
        assertThat(Edit.apply(new DismissNotice("FAR 12"), once)).isEqualTo(once);
        Reel many = once;
        for (int i = 0; i < 600; i++) {
            many = Edit.apply(new DismissNotice("DUPLICATES " + i), many);
        }
        assertThat(many.dismissed()).hasSize(500).contains("DUPLICATES 599").doesNotContain("FAR 12");
    }
}
