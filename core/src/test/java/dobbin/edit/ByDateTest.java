package dobbin.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.raster.Size;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class ByDateTest {
    private static final long NOON = 1_780_000_000_000L;

    /** Frames 1, 2, 3 ..., taken so many milliseconds after noon; -1 for an unknown time. */
    private static Reel taken(long... afterNoon) {
        List<NewStill> stills = new ArrayList<>();
        for (int i = 0; i < afterNoon.length; i++) {
            NewStill still = new NewStill("a".repeat(64), "Tide " + (i + 1), new Size(60, 40), 0);
            stills.add(afterNoon[i] < 0 ? still : still.takenAt(NOON + afterNoon[i]));
        }
        return Edit.apply(new AddStills(stills, 0), Reel.empty("Tide"));
    }

    private static List<Integer> all(Reel reel) {
        return reel.frames().stream().map(Frame::id).toList();
    }

    private static List<Integer> sorted(Reel reel) {
        return all(Edit.apply(new SortByDate(all(reel)), reel));
    }

    @Test
    void framesGoIntoTheOrderTheirStillsWereTakenIn() {
        assertThat(sorted(taken(300, 100, 200))).containsExactly(2, 3, 1);
        assertThat(sorted(taken(300, 100, 100, 0))).as("at one time").containsExactly(4, 2, 3, 1);
        assertThat(sorted(taken(-1, 100, -1, 0))).as("those without one last").containsExactly(4, 2, 1, 3);
        assertThatThrownBy(() -> sorted(taken(-1, -1))).hasMessageContaining("none of their files says when");
    }

    @Test
    void delaysAreAsThePhotosWereTakenScaledToATotal() {
        Reel reel = taken(0, 1_000, 4_000, 5_000, 7_000);
        assertThat(Edit.apply(new PaceByDate(all(reel), 900), reel).loopDelaysMillis())
                .as("the last one as the one in the middle of 1, 1, 2 and 3 s")
                .containsExactly(100, 300, 100, 200, 200);
    }

    @Test
    void whatIsLeftOutHasNoPart() {
        Reel reel = Edit.apply(new LeaveOut(List.of(2), true), taken(0, 500, 1_000, 3_000));
        assertThat(Edit.apply(new PaceByDate(all(reel), 1_000), reel).loopDelaysMillis())
                .containsExactly(200, 400, 400);
    }

    @Test
    void whatCannotBePacedSaysWhy() {
        Reel shuffled = taken(300, 100, 200);
        assertThatThrownBy(() -> Edit.apply(new PaceByDate(all(shuffled), 900), shuffled))
                .hasMessageContaining("Put them in order of date first");
        Reel unknown = taken(0, -1);
        assertThatThrownBy(() -> Edit.apply(new PaceByDate(all(unknown), 900), unknown))
                .hasMessageContaining("must all be of files that say when");
        assertThatThrownBy(() -> Edit.apply(new PaceByDate(List.of(1), 900), unknown))
                .hasMessageContaining("at least two");
    }
}
