package dobbin.inspect;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.edit.AddStills;
import dobbin.edit.DismissNotice;
import dobbin.edit.Edit;
import dobbin.edit.LeaveOut;
import dobbin.edit.MergeFrames;
import dobbin.edit.NewStill;
import dobbin.edit.SetDelay;
import dobbin.edit.SetFit;
import dobbin.inspect.Notice.Kind;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Fit;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.reel.Still;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Frames here are a dark square on a light ground, at a place given for each; -1 is a blank frame, from 100 on others. */
class InspectionTest {
    private static final Size SIZE = new Size(48, 24);

    private static final int UNRELATED = 100;

    private static final int DARK = 99;

    private static Reel reel(int... places) {
        List<NewStill> stills = new ArrayList<>();
        for (int place : places) {
            stills.add(new NewStill(String.format("%064x", place + 1), "Boat", SIZE, 100));
        }
        return Edit.apply(new AddStills(stills, 0), Reel.empty("Boat"));
    }

    private static Raster picture(int place) {
        if (place == DARK) {
            return Raster.filled(SIZE, 0xFF203040);
        }
        if (place >= UNRELATED) {
            return Raster.of(
                    SIZE,
                    new Random(place)
                            .ints(SIZE.area())
                            .map(argb -> argb | 0xFF000000)
                            .toArray());
        }
        int[] argb = Raster.filled(SIZE, 0xFFDDE6EE).argb();
        for (int y = 8; y < 16 && place >= 0; y++) {
            for (int x = place; x < place + 8; x++) {
                argb[y * SIZE.width() + x % SIZE.width()] = 0xFF203040;
            }
        }
        return Raster.of(SIZE, argb);
    }

    private static final InspectedFrames SIGHT = new InspectedFrames() {
        @Override
        public Sample coarse(Frame frame) {
            return Sample.of(picture(Integer.parseInt(((Still) frame.content()).picture(), 16) - 1));
        }

        @Override
        public Sample fine(Frame frame) {
            return coarse(frame);
        }

        @Override
        public Raster small(Frame frame) {
            return picture(Integer.parseInt(((Still) frame.content()).picture(), 16) - 1);
        }

        @Override
        public boolean same(Frame a, Frame b) {
            return a.content().equals(b.content());
        }
    };

    private static List<Notice> notices(Reel reel) {
        return Inspection.of(reel, SIGHT).notices();
    }

    private static Notice only(Reel reel, Kind kind) {
        List<Notice> found =
                notices(reel).stream().filter(notice -> notice.kind() == kind).toList();
        assertThat(found).hasSize(1);
        return found.get(0);
    }

    @Test
    void aGoodLoopHasNothingToSay() {
        assertThat(notices(reel(0, 8, 16, 24, 32, 40))).isEmpty();
        assertThat(notices(Reel.empty("Nothing"))).isEmpty();
    }

    @Test
    void changesAreOfTheFramesThatPlay() {
        Reel reel = Edit.apply(new LeaveOut(List.of(2), true), reel(0, 30, 0, 8));
        Inspection seen = Inspection.of(reel, SIGHT);
        assertThat(seen.changes()).hasSize(4);
        assertThat(seen.changes()[1]).isZero();
        assertThat(seen.changes()[2]).as("frame 3 is like frame 1").isZero();
        assertThat(seen.rhythm().changes()).hasSize(3);
    }

    @Test
    void theLastFrameThatRepeatsTheFirst() {
        Notice notice = only(reel(0, 8, 16, 24, 0), Kind.REPEATS_FIRST);
        assertThat(notice.says()).isEqualTo("Frame 5 repeats frame 1: the loop stops for a beat.");
        assertThat(notice.fix()).isEqualTo(new LeaveOut(List.of(5), true));
    }

    @Test
    void theSamePictureSeveralTimesInARow() {
        Notice notice = only(reel(0, 8, 8, 8, 16, 24), Kind.DUPLICATES);
        assertThat(notice.says()).isEqualTo("Frames 2 to 4 are the same picture.");
        assertThat(notice.act()).isEqualTo("Merge into one of 300 ms");
        assertThat(notice.fix()).isEqualTo(new MergeFrames(List.of(2, 3, 4)));
    }

    @Test
    void aStrayBlankFrame() {
        Notice notice = only(reel(0, 8, -1, 16, 24, 32), Kind.BLANK);
        assertThat(notice.says()).startsWith("Frame 3 is blank");
        assertThat(notice.fix()).isEqualTo(new LeaveOut(List.of(3), true));
        assertThat(notices(Edit.apply(notice.fix(), reel(0, 8, -1, 16, 24, 32))))
                .noneMatch(n -> n.kind() == Kind.BLANK);
    }

    @Test
    void aFrameFarFromItsNeighbors() {
        Reel reel = reel(0, 1, 2, 3, 30, 4, 5, 6, 5, 4, 3, 2, 1);
        Notice notice = only(reel, Kind.FAR);
        assertThat(notice.frames()).containsExactly(5);
        assertThat(notices(reel(0, 1, 2, 3, 30, 31, 32, 33)))
                .as("a cut is not a stray frame")
                .noneMatch(n -> n.kind() == Kind.FAR);
    }

    @Test
    void delaysBrowsersTakeForMistakes() {
        Reel reel = Edit.apply(new SetDelay(List.of(2, 4), 10), reel(0, 8, 16, 24, 32, 40));
        Notice notice = only(reel, Kind.SHORT_DELAYS);
        assertThat(notice.says())
                .startsWith("Frames 2 and 4 are shorter than 20 ms.")
                .contains("play 100 ms");
        assertThat(notices(Edit.apply(notice.fix(), reel))).isEmpty();
    }

    @Test
    void stillsThatLeaveTheCanvasBare() {
        Reel reel = Edit.apply(
                new AddStills(List.of(new NewStill("0".repeat(64), "other.png", new Size(24, 24), 0)), 6),
                reel(0, 8, 16, 24, 32, 40));
        Notice notice = only(reel, Kind.BARE_CANVAS);
        assertThat(notice.says()).isEqualTo("Frame 7 is 24 × 24, the canvas 48 × 24: some of it stays bare.");
        assertThat(notices(Edit.apply(notice.fix(), reel))).noneMatch(n -> n.kind() == Kind.BARE_CANVAS);
        Fit onPaper = new Fit(Fit.Way.INSIDE, 0.5, 0.5, "f6f1e7");
        assertThat(notices(Edit.apply(new SetFit(List.of(7), onPaper), reel)))
                .as("a background was chosen")
                .noneMatch(n -> n.kind() == Kind.BARE_CANVAS);
    }

    @Test
    void theBestPlaceToCloseALongSequence() {
        int[] places = new int[30];
        for (int i = 0; i < places.length; i++) {
            places[i] = i < 5 ? 40 - i : (i - 5) * 2 % 20;
        }
        Reel reel = reel(places);
        Notice notice = only(reel, Kind.BETTER_LOOP);
        Reel closed = Edit.apply(notice.fix(), reel);
        Inspection seen = Inspection.of(closed, SIGHT);
        assertThat(closed.loop()).extracting(Frame::id).isEqualTo(notice.frames());
        assertThat(notice.frames().size() % 10).as("whole rounds of ten frames").isZero();
        assertThat(seen.rhythm().seamRatio()).isLessThan(1.6);
        assertThat(Inspection.of(reel, SIGHT).rhythm().seam()).isIn(Rhythm.Seam.VISIBLE, Rhythm.Seam.JUMP);
    }

    @Test
    void unrelatedPicturesAreCutsAndNothingThatMovesIs() {
        assertThat(seam(reel(100, 101, 102))).isEqualTo(Rhythm.Seam.CUTS);
        assertThat(seam(reel(100, 101, 102, 103, 104))).isEqualTo(Rhythm.Seam.CUTS);
        assertThat(seam(reel(0, 8, 16, 24, 32, 40))).isEqualTo(Rhythm.Seam.SMOOTH);
        assertThat(seam(reel(0, 20, 40))).isEqualTo(Rhythm.Seam.SMOOTH);
        assertThat(seam(reel(100, 101))).isEqualTo(Rhythm.Seam.NONE);
        assertThat(seam(reel(100, 101, 102, 100)))
                .as("the loop stops for a beat")
                .isEqualTo(Rhythm.Seam.REPEATS);
    }

    private static Rhythm.Seam seam(Reel reel) {
        return Inspection.of(reel, SIGHT).rhythm().seam();
    }

    @Test
    void aShorterLoopIsOfferedOnlyWhereItsSeamIsMuchSmaller() {
        Reel reel = reel(0, 2, 4, 6, 8, 10, 12, 14, 16, 18, 20, 17);
        assertThat(seam(reel)).isEqualTo(Rhythm.Seam.VISIBLE);
        double ratio = Inspection.of(reel, SIGHT).rhythm().seamRatio();
        for (Notice notice : notices(reel)) {
            Reel closed = Edit.apply(notice.fix(), reel);
            assertThat(Inspection.of(closed, SIGHT).rhythm().seamRatio()).isLessThan(0.7 * ratio);
        }
    }

    @Test
    void whatWasDismissedStaysDismissedUntilTheFramesChange() {
        Reel reel = reel(0, 8, 16, 24, 0);
        Notice notice = only(reel, Kind.REPEATS_FIRST);
        Reel dismissed = Edit.apply(new DismissNotice(notice.key()), reel);
        assertThat(notices(dismissed)).isEmpty();
        assertThat(notices(Edit.apply(new SetDelay(List.of(1, 5), 500), dismissed)))
                .isEmpty();
        Reel other = Edit.apply(new LeaveOut(List.of(1), true), dismissed);
        assertThat(notices(Edit.apply(new LeaveOut(List.of(1), false), other))).isEmpty();
        Reel longer =
                Edit.apply(new AddStills(List.of(new NewStill("0".repeat(63) + "1", "Boat", SIZE, 0)), 5), dismissed);
        assertThat(notices(longer)).isNotEmpty();
    }

    @Test
    void whatTheFileWillNotHaveAndHowWideItIsAreToldWithWhatMendsIt() {
        Reel reel = reel(0, 8, 16, 24, 32);
        Reel out = Edit.apply(new LeaveOut(List.of(2, 4), true), reel);
        Notice left = Inspection.of(out, SIGHT).notices().get(0);
        assertThat(left.kind()).isEqualTo(Kind.LEFT_OUT);
        assertThat(left.says()).isEqualTo("Frames 2 and 4 are left out and will not be in the file.");
        assertThat(Edit.apply(left.fix(), out)).isEqualTo(reel);
        Reel wide = reel.withCanvas(new Size(1_600, 800))
                .withDelivery(reel.delivery().withWidth(1_001));
        Notice notice = Inspection.of(wide, SIGHT).notices().stream()
                .filter(each -> each.kind() == Kind.WIDE)
                .findFirst()
                .orElseThrow();
        assertThat(Edit.apply(notice.fix(), wide).deliveredSize().width()).isEqualTo(800);
        assertThat(Inspection.of(wide.withDelivery(reel.delivery().withWidth(1_000)), SIGHT)
                        .notices())
                .noneMatch(each -> each.kind() == Kind.WIDE);
    }

    @Test
    void flashesAreToldAndSlowedDownToThree() {
        int[] places = new int[20];
        for (int i = 0; i < places.length; i++) {
            places[i] = i % 2 == 0 ? -1 : DARK;
        }
        Reel reel = large(reel(places));
        Reel fast = Edit.apply(new SetDelay(ids(reel), 50), reel);
        Notice notice = Inspection.of(fast, SIGHT).notices().stream()
                .filter(each -> each.kind() == Kind.FLASHES)
                .findFirst()
                .orElseThrow();
        assertThat(notice.says())
                .isEqualTo("Frames 1 to 20 flash 10 times within a second, over much of what one sees."
                        + " More than three can cause seizures.");
        Reel slow = Edit.apply(notice.fix(), fast);
        assertThat(Inspection.of(slow, SIGHT).notices()).noneMatch(each -> each.kind() == Kind.FLASHES);
        assertThat(slow.frames().get(3).delayMillis())
                .as("not slower than it must be")
                .isBetween(143, 160);
    }

    private static List<Integer> ids(Reel reel) {
        return reel.frames().stream().map(Frame::id).toList();
    }

    private static Reel large(Reel reel) {
        return reel.withCanvas(new Size(480, 240)).withDelivery(reel.delivery().withWidth(480));
    }
}
