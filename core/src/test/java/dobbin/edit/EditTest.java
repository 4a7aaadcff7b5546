package dobbin.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.dither.Dither;
import dobbin.raster.Size;
import dobbin.reel.Delivery;
import dobbin.reel.Encoding;
import dobbin.reel.Frame;
import dobbin.reel.Plays;
import dobbin.reel.Reel;
import dobbin.reel.Still;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class EditTest {
    private static final Size USUAL = new Size(960, 640);

    static NewStill still(String name, Size size) {
        return new NewStill(String.format("%064x", name.hashCode()), name, size, 0)
                .takenAt(Math.floorMod(name.hashCode(), 9));
    }

    /** A reel of frames 1, 2, 3 ... of 100 ms each. */
    static Reel reel(int frames) {
        List<NewStill> stills = new ArrayList<>();
        for (int i = 1; i <= frames; i++) {
            stills.add(still("Tide " + i, USUAL));
        }
        return Edit.apply(new AddStills(stills, 0), Reel.empty("Tide"));
    }

    private static List<Integer> ids(Reel reel) {
        return reel.frames().stream().map(Frame::id).toList();
    }

    @Test
    void stillsComeInCountingOrderOfTheirNames() {
        Reel reel = Edit.apply(
                new AddStills(
                        List.of(still("IMG_10.jpg", USUAL), still("img_9.jpg", USUAL), still("IMG_2.JPG", USUAL)), 0),
                Reel.empty("Tide"));
        assertThat(reel.frames())
                .extracting(frame -> frame.content().name())
                .containsExactly("IMG_2.JPG", "img_9.jpg", "IMG_10.jpg");
        assertThat(reel.loopDelaysMillis()).containsOnly(100);
    }

    @Test
    void framesOfOneAnimationKeepTheirOrderAndDelays() {
        String light = "e".repeat(64);
        String lamp = "f".repeat(64);
        Reel reel = Edit.apply(
                new AddStills(List.of(animated(light, 900), animated(lamp, 0), animated(light, 60)), 0),
                Reel.empty("The light"));
        assertThat(reel.frames())
                .extracting(frame -> ((Still) frame.content()).picture())
                .containsExactly(light, lamp, light);
        assertThat(reel.loopDelaysMillis()).containsExactly(900, 100, 60);
    }

    private static NewStill animated(String picture, int delayMillis) {
        return new NewStill(picture, "the light.gif", USUAL, delayMillis);
    }

    @Test
    void theCanvasIsTheFirstStills() {
        Size other = new Size(800, 600);
        assertThat(canvasOf(other, USUAL)).isEqualTo(other);
        assertThat(canvasOf(other, new Size(17, 17), new Size(17, 17), new Size(17, 17)))
                .as("however many of another size come with it")
                .isEqualTo(other);
    }

    private static Size canvasOf(Size... sizes) {
        List<NewStill> stills = new ArrayList<>();
        for (Size size : sizes) {
            stills.add(still("Tide " + stills.size(), size));
        }
        return Edit.apply(new AddStills(stills, 0), Reel.empty("Tide")).canvas();
    }

    @Test
    void playsAreKeptWhereAnAnimationIsTheFirstThingInAReel() {
        NewStill light = animated("a".repeat(64), 80).playing(3);
        Reel first = Edit.apply(new AddStills(List.of(light, still("z", USUAL)), 0), Reel.empty("Light"));
        assertThat(first.plays()).isEqualTo(new Plays(3));
        assertThat(Edit.apply(new AddStills(List.of(light), 0), reel(2)).plays())
                .isEqualTo(Plays.FOREVER);
        Reel named = Edit.apply(new AddStills(List.of(light, still("a", USUAL)), 0), Reel.empty("Light"));
        assertThat(named.plays()).as("a still comes before it").isEqualTo(Plays.FOREVER);
    }

    @Test
    void stillsOfOneGatheringGoOnHoweverLate() {
        AddStills first = new AddStills(List.of(still("a", USUAL)), 0, "one");
        assertThat(new AddStills(List.of(still("b", USUAL)), 1, "one").continues(first))
                .isTrue();
        assertThat(new AddStills(List.of(still("b", USUAL)), 1, "two").continues(first))
                .isFalse();
        assertThat(new AddStills(List.of(still("b", USUAL)), 1).continues(new AddStills(List.of(still("a", USUAL)), 0)))
                .isFalse();
    }

    @Test
    void laterStillsLeaveTheCanvasAlone() {
        Reel reel = Edit.apply(new AddStills(List.of(still("a", new Size(10, 10))), 1), reel(3));
        assertThat(reel.canvas()).isEqualTo(USUAL);
        assertThat(ids(reel)).containsExactly(1, 4, 2, 3);
    }

    @Test
    void aWideCanvasIsDeliveredAtAWidthPagesTake() {
        assertThat(Delivery.USUAL.sizeOf(new Size(4000, 3000))).isEqualTo(new Size(480, 360));
        assertThat(Delivery.USUAL.sizeOf(new Size(800, 600))).isEqualTo(new Size(800, 600));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"2 4>0=2 4 1 3 5", "1 2>5=3 4 5 1 2", "3>3=1 2 3 4 5", "1 5>2=2 1 5 3 4", "2 3>2=1 2 3 4 5"})
    void movingPutsFramesTogetherInPlayingOrder(String move) {
        String[] parts = move.split("[>=]");
        Reel moved = Edit.apply(new MoveFrames(numbers(parts[0]), Integer.parseInt(parts[1])), reel(5));
        assertThat(ids(moved)).isEqualTo(numbers(parts[2]));
    }

    @Test
    void reversingKeepsThePlacesAndWhatLiesBetween() {
        assertThat(ids(Edit.apply(new ReverseFrames(List.of(1, 3, 4)), reel(5))))
                .containsExactly(4, 2, 3, 1, 5);
        Edit all = new ReverseFrames(List.of(1, 2, 3, 4, 5));
        assertThat(Edit.apply(all, Edit.apply(all, reel(5)))).isEqualTo(reel(5));
    }

    @Test
    void copiesGoWhereToldAndAreFramesOfTheirOwn() {
        Reel copied = Edit.apply(new CopyFrames(List.of(3, 1), 3), reel(4));
        assertThat(ids(copied)).containsExactly(1, 2, 3, 5, 6, 4);
        assertThat(copied.frames().get(3).content())
                .isEqualTo(copied.frames().get(0).content());
        Reel held = Edit.apply(new SetDelay(List.of(5), 700), copied);
        assertThat(held.loopDelaysMillis()).containsExactly(100, 100, 100, 700, 100, 100);
    }

    @Test
    void removedFramesAreGoneAndTheirIdsAreNotUsedAgain() {
        Reel removed = Edit.apply(new RemoveFrames(List.of(2, 4)), reel(4));
        assertThat(ids(removed)).containsExactly(1, 3);
        assertThat(ids(Edit.apply(new CopyFrames(List.of(3), 3), removed))).containsExactly(1, 3, 5);
        assertThat(Edit.apply(new RemoveFrames(List.of(1, 2, 3, 4)), reel(4)).frames())
                .isEmpty();
    }

    @Test
    void settingsChangeNothingElse() {
        Reel reel = reel(2);
        assertThat(Edit.apply(new SetPlays(3), reel)).isEqualTo(reel.withPlays(new Plays(3)));
        assertThat(Edit.apply(new SetBudget(250_000), reel).budgetBytes()).isEqualTo(250_000);
        assertThat(Edit.apply(new Rename("  Ebb “2” 🌊 "), reel).name()).isEqualTo("Ebb “2” 🌊");
        Reel delivered = Edit.apply(new SetDelivery(300, 32, Dither.NONE, "f6F1e7"), reel);
        assertThat(delivered.delivery()).isEqualTo(new Delivery(300, 32, Dither.NONE, "f6F1e7", Encoding.USUAL));
        assertThat(delivered.deliveredSize()).isEqualTo(new Size(300, 200));
    }

    @ParameterizedTest
    @ValueSource(ints = {Integer.MIN_VALUE, -1, 0, 9, 600_001})
    void refusesDelaysOutsideTheRange(int millis) {
        assertThatThrownBy(() -> Edit.apply(new SetDelay(List.of(1), millis), reel(2)))
                .isInstanceOf(EditRejected.class)
                .hasMessageContaining("must be from 10 to 600,000")
                .extracting("field")
                .isEqualTo("delayMillis");
    }

    @Test
    void refusalsNameTheFieldAndTheRange() {
        assertRefused(new SetDelivery(null), "delivery", "must be given");
        assertRefused(new SetPlays(-1), "times", "0 to 1,000");
        assertRefused(new SetBudget(10), "bytes", "1,000 to 1,000,000,000");
        assertRefused(new Rename(" \t"), "name", "1 to 120 characters");
        for (String control : List.of("Tide\n2", "Tide\u0000", "Tide\u202Egnp", "Tide\u2066")) {
            assertRefused(new Rename(control), "name", "must have no control characters, such as line breaks");
        }
        assertRefused(new MoveFrames(List.of(1), 6), "after", "no longer in this reel");
        assertRefused(new CopyFrames(List.of(1), -1), "after", "no longer in this reel");
        assertRefused(new RemoveFrames(List.of()), "frames", "at least one");
        assertRefused(new ReverseFrames(List.of(1, 99)), "frames", "no longer in this reel");
        assertRefused(new AddStills(List.of(), 0), "stills", "at least one");
        assertRefused(new AddToDelays(List.of(1), Integer.MAX_VALUE), "millis", "-600,000 to 600,000");
        assertRefused(new Batch(List.of(new RemoveFrames(List.of())), "Nothing"), "frames", "at least one");
        assertRefused(
                new Batch(List.of(new SetPlays(2), new SetBudget(10)), "Both"), "bytes", "1,000 to 1,000,000,000");
    }

    @Test
    void tooManyFramesAreRefused() {
        Reel full = reel(1_500);
        assertThatThrownBy(() -> Edit.apply(new CopyFrames(ids(full), 0), full)).hasMessageContaining("0 to 2,000");
    }

    @Test
    void aBatchIsMadeInOrderAndHasOneTitle() {
        Batch both = new Batch(List.of(new RemoveFrames(List.of(1)), new SetDelay(List.of(2), 60)), "Tidy up");
        Reel after = Edit.apply(both, reel(3));
        assertThat(ids(after)).containsExactly(2, 3);
        assertThat(after.loopDelaysMillis()).containsExactly(60, 100);
        assertThat(both.title(reel(3))).isEqualTo("Tidy up");
    }

    @Test
    void aRowOfNudgesGoesOnWhereItActsOnTheSame() {
        assertThat(new SetDelay(List.of(1), 110).continues(new SetDelay(List.of(1), 100)))
                .isTrue();
        assertThat(new SetDelay(List.of(2), 110).continues(new SetDelay(List.of(1), 100)))
                .isFalse();
        assertThat(new MoveFrames(List.of(1), 3).continues(new MoveFrames(List.of(1), 2)))
                .isTrue();
        assertThat(new RemoveFrames(List.of(1)).continues(new RemoveFrames(List.of(1))))
                .isFalse();
    }

    @Test
    void titlesSayWhatHappens() {
        Reel reel = reel(5);
        assertThat(new ReverseFrames(List.of(1, 2, 3)).title(reel)).isEqualTo("Reverse 3 frames");
        assertThat(new RemoveFrames(List.of(4)).title(reel)).isEqualTo("Remove frame 4");
        assertThat(new SetDelay(List.of(2), 60).title(reel)).isEqualTo("Hold frame 2 for 60 ms");
        assertThat(new MoveFrames(List.of(4), 0).title(reel)).isEqualTo("Move frame 4 to place 1");
        assertThat(new MoveFrames(List.of(1, 2), 4).title(reel)).isEqualTo("Move 2 frames to place 3");
        assertThat(new SetPlays(1).title(reel)).isEqualTo("Play once");
    }

    private static void assertRefused(Edit edit, String field, String reason) {
        assertThatThrownBy(() -> Edit.apply(edit, reel(5)))
                .isInstanceOf(EditRejected.class)
                .hasMessageContaining(reason)
                .extracting("field")
                .isEqualTo(field);
    }

    private static List<Integer> numbers(String text) {
        return Arrays.stream(text.split(" ")).map(Integer::valueOf).toList();
    }
}
