package dobbin.edit;

import static dobbin.edit.Moving.across;
import static dobbin.edit.Moving.badge;
import static dobbin.edit.Moving.edited;
import static dobbin.edit.Moving.gliding;
import static dobbin.edit.Moving.posed;
import static dobbin.edit.Moving.poses;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dobbin.reel.Card;
import dobbin.reel.CrossFade;
import dobbin.reel.Cutout;
import dobbin.reel.Cycle;
import dobbin.reel.Fit;
import dobbin.reel.Frame;
import dobbin.reel.Key;
import dobbin.reel.Pose;
import dobbin.reel.Reel;
import dobbin.reel.Still;
import dobbin.reel.Tracks;
import dobbin.timing.Easing;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PosesTest {
    @Test
    void aCutOutGlidesBetweenItsPosesAndStaysBeyondThem() {
        Reel reel = posed(Moving.reel(7), 5, Pose.at(140, 100), Scope.HERE);
        assertThat(across(reel)).containsExactly(100.0, 110.0, 120.0, 130.0, 140.0, 140.0, 140.0);
    }

    @Test
    void hereOnlyBendsTheGlide() {
        Reel reel = posed(gliding(5), 3, Pose.at(160, 100), Scope.HERE);
        assertThat(across(reel)).containsExactly(100.0, 130.0, 160.0, 150.0, 140.0);
    }

    @Test
    void fromHereOnShiftsAllThatComes() {
        Reel reel = posed(gliding(5), 3, Pose.at(160, 100), Scope.FROM_HERE);
        assertThat(across(reel)).containsExactly(100.0, 130.0, 160.0, 170.0, 180.0);
    }

    @Test
    void everywhereShiftsTheWholeTrackAndSetsNoPose() {
        Reel reel = posed(gliding(5), 3, Pose.at(160, 100), Scope.EVERYWHERE);
        assertThat(across(reel)).containsExactly(140.0, 150.0, 160.0, 170.0, 180.0);
        assertThat(badge(reel).keys()).hasSize(2);
    }

    @Test
    void aGlideIsCountedInFramesAndNotInTime() {
        Reel slow = edited(gliding(5), new SetDelay(List.of(2), 5_000));
        assertThat(across(slow)).isEqualTo(across(gliding(5)));
        Reel out = edited(gliding(5), new LeaveOut(List.of(2, 4), true));
        assertThat(across(out)).as("leaving frames out changes no other").isEqualTo(across(gliding(5)));
    }

    @Test
    void framesThatStayKeepTheirPlaceInAGlideWhenOthersGo() {
        assertThat(across(edited(gliding(5), new RemoveFrames(List.of(1)))))
                .containsExactly(110.0, 120.0, 130.0, 140.0);
        assertThat(across(edited(gliding(5), new RemoveFrames(List.of(5)))))
                .containsExactly(100.0, 110.0, 120.0, 130.0);
        Reel gap = edited(gliding(9), new RemoveFrames(List.of(5)));
        assertThat(across(gap)).containsExactly(100.0, 110.0, 120.0, 130.0, 150.0, 160.0, 170.0, 180.0);
        assertThat(badge(gap).keys())
                .as("one more pose on each side of the gap")
                .hasSize(4);
    }

    @Test
    void noPoseIsAddedToWhatStandsStill() {
        Reel still = posed(Moving.reel(16), 16, Pose.at(100, 100), Scope.HERE);
        Reel thinned = edited(
                still, new ThinFrames(IntStream.rangeClosed(1, 16).boxed().toList(), 2));
        assertThat(badge(thinned).keys()).hasSizeLessThanOrEqualTo(2);
    }

    @Test
    void whereAllFramesGoAndOthersComeACutOutStays() {
        Reel bare = edited(gliding(3), new RemoveFrames(List.of(1, 2, 3)));
        assertThat(badge(bare).keys()).extracting(Key::frame).containsExactly(Key.NO_FRAME);
        Reel again = edited(bare, new AddCard(Card.blank("ffffff"), 100, 0));
        assertThat(across(again)).containsExactly(100.0);
    }

    @Test
    void copiedFramesCopyPoses() {
        Reel reel = edited(gliding(5), new CopyFrames(List.of(2, 3), 5));
        assertThat(across(reel)).containsExactly(100.0, 110.0, 120.0, 130.0, 140.0, 110.0, 120.0);
        Reel inside = edited(gliding(5), new CopyFrames(List.of(1), 3));
        assertThat(across(inside)).containsExactly(100.0, 110.0, 120.0, 100.0, 130.0, 140.0);
    }

    @Test
    void reversedFramesReverseTheMotion() {
        Reel reel = edited(gliding(5), new ReverseFrames(List.of(1, 2, 3, 4, 5)));
        assertThat(across(reel)).containsExactly(140.0, 130.0, 120.0, 110.0, 100.0);
        assertThat(badge(reel).keys()).as("no more poses than before").hasSize(2);
    }

    @Test
    void aSoftStartReversedIsASoftEnd() {
        Reel soft = edited(gliding(5), new SetLeaves(List.of(new Cell(6, 1)), Easing.SOFT_START));
        Reel reel = edited(soft, new ReverseFrames(List.of(1, 2, 3, 4, 5)));
        assertThat(across(reel)).containsExactly(140.0, 122.5, 110.0, 102.5, 100.0);
        assertThat(badge(reel).keys()).hasSize(2);
    }

    @Test
    void thereAndBackGoesThereAndBack() {
        Reel reel = edited(gliding(4), new ThereAndBack(List.of(1, 2, 3, 4), false));
        assertThat(across(reel)).containsExactly(100.0, 110.0, 120.0, 130.0, 120.0, 110.0);
        assertThat(badge(reel).keys()).hasSizeLessThanOrEqualTo(4);
    }

    @Test
    void movedAndThinnedFramesShowWhatTheyDid() {
        assertThat(across(edited(gliding(5), new MoveFrames(List.of(2), 5))))
                .containsExactly(100.0, 120.0, 130.0, 140.0, 110.0);
        assertThat(across(edited(gliding(6), new ThinFrames(List.of(1, 2, 3, 4, 5, 6), 2))))
                .containsExactly(100.0, 120.0, 140.0);
    }

    @Test
    void aNewFrameWithinAGlideLiesBetweenItsNeighbors() {
        Reel reel = edited(gliding(3), new AddCard(Card.blank("ffffff"), 100, 2));
        assertThat(across(reel)).containsExactly(100.0, 110.0, 115.0, 120.0);
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 7})
    void aTweenThinnedAgainIsWhatThereWas(int count) {
        Reel before = posed(gliding(4), 2, Pose.at(150, 90), Scope.HERE);
        Reel tweened = before;
        for (int frame = 3; frame >= 1; frame--) {
            tweened = edited(tweened, new Tween(frame, count, 40, Easing.SOFT, false));
        }
        assertThat(tweened.frames()).hasSize(4 + 3 * count);
        List<Integer> all = tweened.frames().stream().map(Frame::id).toList();
        Reel thinned = edited(tweened, new ThinFrames(all, count + 1));
        assertThat(poses(thinned)).isEqualTo(poses(before));
        assertThat(thinned.frames())
                .extracting(Frame::content)
                .isEqualTo(before.frames().stream().map(Frame::content).toList());
    }

    @Test
    void aTweenGlidesFromTheOneFrameToTheOtherAndLeavesTheRestAlone() {
        Reel reel = edited(gliding(3), new Tween(2, 4, 0, Easing.EVEN, true));
        assertThat(across(reel)).containsExactly(100.0, 110.0, 112.0, 114.0, 116.0, 118.0, 120.0);
        assertThat(reel.loopDelaysMillis()).as("time shared out").containsExactly(100, 20, 20, 20, 20, 20, 100);
        assertThat(((CrossFade) reel.frames().get(2).content()).share()).isEqualTo(0.2);
        assertThat(((CrossFade) reel.frames().get(5).content()).share()).isEqualTo(0.8);
        Reel finer = edited(reel, new Tween(reel.frames().get(2).id(), 1, 20, Easing.EVEN, true));
        assertThat(((CrossFade) finer.frames().get(3).content()).share()).isEqualTo(0.3, within(1e-9));
    }

    @Test
    void aTweenFromTheLastFrameLeadsToTheFirstSoThatTheLoopCloses() {
        Reel reel = edited(gliding(3), new Tween(3, 3, 40, Easing.EVEN, true));
        assertThat(across(reel)).containsExactly(100.0, 110.0, 120.0, 115.0, 110.0, 105.0);
        CrossFade last = (CrossFade) reel.frames().get(5).content();
        assertThat(last.to()).isEqualTo(reel.frames().get(0).content());
        assertThat(last.share()).isEqualTo(0.75);
        Reel soft = edited(gliding(3), new Tween(3, 3, 40, Easing.SOFT_START, false));
        assertThat(across(soft).subList(3, 6)).containsExactly(118.75, 115.0, 108.75);
        assertThatThrownBy(() -> edited(gliding(1), new Tween(1, 1, 40, Easing.EVEN, false)))
                .isInstanceOf(EditRejected.class)
                .hasMessageContaining("must have another to tween to");
    }

    @Test
    void stillsThatFadeAreFittedWithTheOthers() {
        Reel faded = edited(gliding(2), new Tween(1, 1, 40, Easing.EVEN, true));
        Fit fill = new Fit(Fit.Way.FILL, 0.5, 0.5, "");
        List<Integer> all = faded.frames().stream().map(Frame::id).toList();
        CrossFade fade =
                (CrossFade) edited(faded, new SetFit(all, fill)).frames().get(1).content();
        assertThat(((Still) fade.from()).fit()).isEqualTo(fill);
        assertThat(((Still) fade.to()).fit()).isEqualTo(fill);
        assertThat(fade.share()).isEqualTo(0.5);
    }

    @Test
    void posesMoveSpreadAndGoButNeverAll() {
        Reel reel = posed(gliding(9), 2, Pose.at(50, 100), Scope.HERE);
        List<Cell> cells =
                IntStream.of(1, 2, 9).mapToObj(frame -> new Cell(10, frame)).toList();
        Reel spread = edited(reel, new SpreadPoses(cells));
        assertThat(new Tracks(spread.frames()).inOrder(badge(spread)))
                .extracting(Key::frame)
                .containsExactly(1, 5, 9);
        Reel moved = edited(spread, new MovePoses(List.of(new Cell(10, 5)), -2));
        assertThat(new Tracks(moved.frames()).inOrder(badge(moved)))
                .extracting(Key::frame)
                .containsExactly(1, 3, 9);
        assertThatThrownBy(() -> edited(spread, new MovePoses(cells, 1))).hasMessageContaining("beyond");
        assertThat(badge(edited(reel, new RemovePoses(List.of(new Cell(10, 2)))))
                        .keys())
                .hasSize(2);
        assertThatThrownBy(() -> edited(reel, new RemovePoses(cells))).hasMessageContaining("all poses of Badge");
    }

    @Test
    void copiedPosesArePastedWhereAsked() {
        Reel reel = edited(
                gliding(5),
                new PastePoses(
                        List.of(
                                new CopiedPose(6, 0, Pose.at(1, 1), Easing.HOLD),
                                new CopiedPose(6, 1, Pose.at(2, 2), Easing.HOLD),
                                new CopiedPose(6, 9, Pose.at(3, 3), Easing.HOLD)),
                        3));
        assertThat(across(reel)).containsExactly(100.0, 50.5, 1.0, 2.0, 140.0);
    }

    @Test
    void aGlideDoneAgainForgetsWhatIsBetween() {
        Reel bent = posed(gliding(5), 3, Pose.at(7, 7), Scope.HERE);
        assertThat(across(edited(bent, new GlideAgain(List.of(6), 1, 5, Easing.EVEN))))
                .isEqualTo(across(gliding(5)));
    }

    @Test
    void aPivotMovesWithoutTheCutOut() {
        Reel turned = posed(gliding(3), 3, new Pose(180, 90, 2, 2, 90, 1, 1, 0), Scope.HERE);
        Cutout before = badge(turned);
        Cutout after = badge(edited(turned, new SetPivot(4, 0, 1)));
        for (Key key : before.keys()) {
            assertThat(after.box(after.key(key.frame()).orElseThrow().pose())).isEqualTo(before.box(key.pose()));
        }
    }

    @Test
    void groupingMovesNothingAndUngroupingNeither() {
        Reel two = edited(gliding(5), new AddCutout("Ferry", Moving.FERRY, Pose.at(301, 77), 2));
        Reel grouped = edited(two, new GroupCutouts(List.of(6, 7), "Both", 1));
        assertThat(grouped.cutouts()).extracting(Cutout::name).containsExactly("Both");
        Reel free = edited(grouped, new UngroupCutout(8));
        assertThat(free.cutouts()).extracting(Cutout::name).containsExactly("Badge", "Ferry");
        assertThat(across(free)).isEqualTo(across(two));
        Reel turned = posed(grouped, 5, new Pose(250, 120, 2, 2, 90, 1, 1, 0), Scope.HERE);
        Reel freed = edited(turned, new UngroupCutout(8));
        assertThat(freed.cutouts().get(1).key(5).orElseThrow().pose().turn()).isEqualTo(90);
        assertThat(freed.cutouts().get(1).key(5).orElseThrow().pose().scaleX()).isEqualTo(2);
        assertThatThrownBy(() -> posed(grouped, 5, new Pose(250, 120, 2, 1, 0, 1, 1, 0), Scope.HERE))
                .hasMessageContaining("keeps its shape");
    }

    @Test
    void cutOutsLineUp() {
        Reel reel = edited(
                edited(Moving.reel(1), new AddCutout("B", Moving.BADGE, Pose.at(200, 60), 1)),
                new AddCutout("C", Moving.BADGE, Pose.at(410, 30), 1));
        Reel left = edited(reel, new AlignCutouts(List.of(2, 3, 4), 1, AlignCutouts.Alignment.LEFT, Scope.HERE));
        assertThat(left.cutouts())
                .extracting(each -> each.keys().get(0).pose().x())
                .containsOnly(100.0);
        Reel spread =
                edited(reel, new AlignCutouts(List.of(2, 3, 4), 1, AlignCutouts.Alignment.SPREAD_ACROSS, Scope.HERE));
        assertThat(spread.cutouts())
                .extracting(each -> each.keys().get(0).pose().x())
                .containsExactly(100.0, 255.0, 410.0);
        Reel middle = edited(reel, new AlignCutouts(List.of(2), 1, AlignCutouts.Alignment.CENTER, Scope.HERE));
        assertThat(across(middle)).containsExactly(480.0);
    }

    @Test
    void whereACutOutBeginsAndEndsFollowsItsFrames() {
        Reel reel = edited(Moving.reel(6), new SpanCutouts(List.of(7), 2, 5));
        assertThat(there(reel)).containsExactly(2, 3, 4, 5);
        assertThat(there(edited(reel, new RemoveFrames(List.of(2, 5))))).containsExactly(3, 4);
        assertThat(there(edited(reel, new ReverseFrames(List.of(1, 2, 3, 4, 5, 6)))))
                .containsExactly(5, 4, 3, 2);
        Reel end = edited(Moving.reel(10), new SpanCutouts(List.of(11), 6, 10));
        assertThat(there(edited(
                        end,
                        new ReverseFrames(IntStream.rangeClosed(1, 10).boxed().toList()))))
                .as("there to the end, reversed")
                .containsExactly(10, 9, 8, 7, 6);
        Reel gap = edited(Moving.reel(10), new ShowCutouts(cells(11, 5, 6, 7, 8), false));
        assertThat(there(gap)).containsExactly(1, 2, 3, 4, 9, 10);
        assertThat(there(edited(gap, new AddCard(Card.blank("ffffff"), 100, 6))))
                .as("a new frame goes on as the one before it")
                .containsExactly(1, 2, 3, 4, 9, 10);
        assertThat(there(edited(gap, new ShowCutouts(cells(11, 6), true)))).containsExactly(1, 2, 3, 4, 6, 9, 10);
        assertThatThrownBy(() -> edited(reel, new SpanCutouts(List.of(7), 5, 2)))
                .hasMessageContaining("must not come before");
    }

    private static List<Cell> cells(int cutout, int... frames) {
        return IntStream.of(frames).mapToObj(frame -> new Cell(cutout, frame)).toList();
    }

    @Test
    void framesKeepThePicturesOfACycleAndNewOnesGoOn() {
        Reel reel = edited(EditTest.reel(6), new AddCutout("Gull", Moving.GULL, Pose.at(0, 0), 1));
        assertThat(turns(reel)).containsExactly(0, 0, 1, 1, 0, 0);
        assertThat(turns(edited(reel, new RemoveFrames(List.of(2))))).containsExactly(0, 1, 1, 0, 0);
        assertThat(turns(edited(reel, new ReverseFrames(List.of(3, 4, 5))))).containsExactly(0, 0, 0, 1, 1, 0);
        assertThat(turns(edited(reel, new AddCard(Card.blank("ffffff"), 100, 3))))
                .containsExactly(0, 0, 1, 1, 1, 0, 0);
        assertThat(turns(edited(reel, new AddCard(Card.blank("ffffff"), 100, 6))))
                .containsExactly(0, 0, 1, 1, 0, 0, 1);
        assertThat(turns(edited(reel, new ChooseTurns(cells(7, 1), 1)))).containsExactly(1, 0, 1, 1, 0, 0);
        Cycle byPlace = new Cycle(Moving.GULL.pictures(), Cycle.Turns.BY_PLACE, 1, 0);
        Reel placed = edited(reel, new SetArt(7, byPlace));
        assertThat(turns(edited(placed, new RemoveFrames(List.of(2))))).containsExactly(0, 1, 0, 1, 0);
        assertThatThrownBy(() -> edited(placed, new ChooseTurns(cells(7, 1), 1)))
                .hasMessageContaining("go by a rule");
        Cycle byTime = new Cycle(Moving.GULL.pictures(), Cycle.Turns.BY_TIME, 150, 0);
        Reel timed = edited(edited(reel, new SetArt(7, byTime)), new SetDelay(List.of(1), 200));
        assertThat(turns(timed)).as("at 0, 200, 300, 400, 500, 600 ms").containsExactly(0, 1, 0, 0, 1, 0);
    }

    private static List<Integer> turns(Reel reel) {
        Tracks tracks = new Tracks(reel.frames());
        return IntStream.range(0, reel.frames().size())
                .mapToObj(i -> tracks.turn(badge(reel), i))
                .toList();
    }

    private static List<Integer> there(Reel reel) {
        Tracks tracks = new Tracks(reel.frames());
        return IntStream.range(0, reel.frames().size())
                .filter(i -> tracks.isThere(badge(reel), i))
                .mapToObj(tracks::id)
                .toList();
    }

    @Test
    void cutOutsAreReordered() {
        Reel reel = edited(
                edited(Moving.reel(1), new AddCutout("B", Moving.BADGE, Pose.at(0, 0), 1)),
                new AddCutout("C", Moving.BADGE, Pose.at(0, 0), 1));
        assertThat(edited(reel, new OrderCutout(4, 2)).cutouts())
                .extracting(Cutout::name)
                .containsExactly("Badge", "C", "B");
        assertThat(edited(reel, new OrderCutout(3, 0)).cutouts())
                .extracting(Cutout::name)
                .containsExactly("B", "Badge", "C");
        assertThat(edited(reel, new CopyCutouts(List.of(3))).cutouts())
                .extracting(Cutout::name)
                .containsExactly("Badge", "B", "C", "B");
    }

    @Test
    void wordsNeedLettersTheTypefaceHas() {
        assertThatThrownBy(() -> Moving.words("Ferry \uE000"))
                .hasMessageContaining("no typeface here has a letter for");
        assertThatThrownBy(() -> Moving.words(" ")).hasMessageContaining("at least one letter");
    }

    @Test
    void posesWithinAGroupFollowTheirFramesToo() {
        Reel two = edited(gliding(5), new AddCutout("Ferry", Moving.FERRY, Pose.at(301, 77), 2));
        Reel grouped = edited(two, new GroupCutouts(List.of(6, 7), "Both", 1));
        Reel removed = edited(grouped, new RemoveFrames(List.of(1, 5)));
        Reel free = edited(removed, new UngroupCutout(8));
        assertThat(across(free)).containsExactly(110.0, 120.0, 130.0);
        Reel away = edited(grouped, new ShowCutouts(cells(8, 2), false));
        assertThat(there(edited(away, new UngroupCutout(8))))
                .as("members are away where their group was")
                .containsExactly(1, 3, 4, 5);
    }

    @Test
    void keptPosesHoldWhereOthersBend() {
        Reel kept = edited(gliding(5), new KeepPoses(List.of(new Cell(6, 2), new Cell(6, 4))));
        assertThat(across(kept)).isEqualTo(across(gliding(5)));
        Reel bent = posed(kept, 3, Pose.at(500, 100), Scope.HERE);
        assertThat(across(bent)).containsExactly(100.0, 110.0, 500.0, 130.0, 140.0);
    }

    @Test
    void hiddenArtNamesAndLayersAreSet() {
        Reel reel = edited(Moving.reel(2), new HideCutouts(List.of(3), true));
        assertThat(badge(reel).hidden()).isTrue();
        reel = edited(reel, new RenameCutout(3, " Sun "));
        assertThat(badge(reel).name()).isEqualTo("Sun");
        reel = edited(reel, new SetArt(3, Moving.FERRY));
        assertThat(badge(reel).art()).isEqualTo(Moving.FERRY);
        assertThat(reel.pictures()).contains(Moving.FERRY.pictures().get(0));
        assertThat(edited(reel, new RemoveCutouts(List.of(3))).cutouts()).isEmpty();
        Reel still = reel;
        assertThatThrownBy(() -> edited(still, new RenameCutout(3, " "))).hasMessageContaining("1 to 120 characters");
    }
}
