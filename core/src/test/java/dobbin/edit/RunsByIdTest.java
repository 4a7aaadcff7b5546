package dobbin.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.reel.Run;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A run is a band across frames. Six frames, of which 3, 4 and 5 are "Flap", unless a test says otherwise. */
class RunsByIdTest {
    private static final Reel REEL = Edit.apply(new NameRun(List.of(3, 4, 5), "Flap"), EditTest.reel(6));

    /** Frame ids in order, those of a run in brackets. */
    private static String drawn(Reel reel) {
        String each = reel.frames().stream()
                .map(frame -> frame.run() == Run.NONE ? String.valueOf(frame.id()) : "[" + frame.id() + "]")
                .collect(Collectors.joining(" "));
        return each.replace("] [", " ");
    }

    private static List<Integer> ids(String text) {
        return Arrays.stream(text.split(" ")).map(Integer::valueOf).toList();
    }

    @Test
    void namingDrawsABandAndUnnamingTakesItOff() {
        assertThat(drawn(REEL)).isEqualTo("1 2 [3 4 5] 6");
        assertThat(REEL.runs()).containsExactly(new Run(7, "Flap"));
        assertThat(Edit.apply(new RenameRun(7, "Wings"), REEL).runs()).containsExactly(new Run(7, "Wings"));
        Reel unnamed = Edit.apply(new UnnameRun(7), REEL);
        assertThat(drawn(unnamed)).isEqualTo("1 2 3 4 5 6");
        assertThat(unnamed.runs()).isEmpty();
    }

    @ParameterizedTest(name = "{0} after {1}")
    @CsvSource({
        "1, 3, 2 [3 1 4 5] 6, what is put between two frames of a run joins it",
        "1, 5, 2 [3 4 5] 1 6, beside it is not in it",
        "1, 2, 2 1 [3 4 5] 6, beside it is not in it",
        "4, 0, 4 1 2 [3 5] 6, what goes elsewhere leaves it",
        "3 4, 0, 3 4 1 2 [5] 6, also when most go",
        "3, 5, 1 2 [4 5 3] 6, what touches its own run stays in it",
        "3 4 5, 0, [3 4 5] 1 2 6, a whole run stays whole",
        "2 3 4 5, 6, 1 6 2 [3 4 5], also in company"
    })
    void movingFollowsTheEye(String frames, int after, String expected, String rule) {
        assertThat(drawn(Edit.apply(new MoveFrames(ids(frames), after), REEL)))
                .as(rule)
                .isEqualTo(expected);
    }

    @Test
    void repeatingARunMakesTheBandLonger() {
        assertThat(drawn(Edit.apply(new RepeatFrames(List.of(3, 4, 5), 2), REEL)))
                .isEqualTo("1 2 [3 4 5 8 9 10] 6");
    }

    @Test
    void aCopyOfAWholeRunIsARunOfThatName() {
        Reel copied = Edit.apply(new CopyFrames(List.of(5, 4, 3), 6), REEL);
        assertThat(drawn(copied)).isEqualTo("1 2 [3 4 5] 6 [9 10 11]");
        assertThat(copied.runs()).extracting(Run::name).containsExactly("Flap", "Flap");
        assertThat(drawn(Edit.apply(new CopyFrames(List.of(3, 4), 6), REEL))).isEqualTo("1 2 [3 4 5] 6 8 9");
    }

    @Test
    void aRunIsNeverInTwoPieces() {
        assertThat(drawn(Edit.apply(new ReverseFrames(List.of(1, 2, 3, 4, 5, 6)), REEL)))
                .isEqualTo("6 [5 4 3] 2 1");
        assertThat(drawn(Edit.apply(new ReverseFrames(List.of(1, 3)), REEL))).isEqualTo("3 2 1 [4 5] 6");
        assertThat(drawn(Edit.apply(new NameRun(List.of(4), "Top"), REEL))).isEqualTo("1 2 [3 4] 5 6");
    }

    @Test
    void runsOfNoFramesAreGone() {
        Reel removed = Edit.apply(new RemoveFrames(List.of(3, 4, 5)), REEL);
        assertThat(removed.runs()).isEmpty();
        assertThat(removed.frames()).extracting(Frame::run).containsOnly(Run.NONE);
    }

    @Test
    void framesApartCannotBeARun() {
        assertThatThrownBy(() -> Edit.apply(new NameRun(List.of(1, 3), "Gap"), REEL))
                .isInstanceOf(EditRejected.class)
                .hasMessageContaining("must follow one another");
        assertThatThrownBy(() -> Edit.apply(new NameRun(List.of(1), " "), REEL)).hasMessageContaining("1 to 120");
        assertThatThrownBy(() -> Edit.apply(new UnnameRun(99), REEL)).hasMessageContaining("no longer in this reel");
    }
}
