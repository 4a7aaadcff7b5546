package dobbin.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dobbin.reel.Cutout;
import dobbin.reel.Frame;
import dobbin.reel.Group;
import dobbin.reel.Pose;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What must hold whatever people do, over random edits; the seed is in the test's name. */
class EditLawsTest {
    static IntStream seeds() {
        return IntStream.range(0, 60);
    }

    /** A reel that things have been done to: with runs, cards, frames left out. */
    private static Reel usedReel(Random random) {
        Reel reel = EditTest.reel(1 + random.nextInt(30));
        for (int step = 0; step < 25; step++) {
            reel = afterAnyEdit(reel, random);
        }
        return reel.loop().isEmpty() ? EditTest.reel(7) : reel;
    }

    /** A refusal is fine, and changes nothing; an invalid reel cannot be made and would fail the test. */
    private static Reel afterAnyEdit(Reel reel, Random random) {
        try {
            return Edit.apply(AnyEdit.on(reel, random), reel);
        } catch (EditRejected refused) {
            assertThat(refused.field()).isNotEmpty();
            return reel;
        }
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void anySequenceOfEditsKeepsTheReelValid(int seed) {
        Random random = new Random(seed);
        Reel reel = EditTest.reel(1 + random.nextInt(12));
        for (int step = 0; step < 120; step++) {
            Reel after = afterAnyEdit(reel, random);
            assertThat(after.nextId()).isGreaterThanOrEqualTo(reel.nextId());
            assertThat(after.frames()).extracting(Frame::id).doesNotHaveDuplicates();
            reel = after;
        }
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void theSameEditOnTheSameReelGivesTheSameReel(int seed) {
        assertThat(usedReel(new Random(seed))).isEqualTo(usedReel(new Random(seed)));
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void orderEditsKeepTheFrames(int seed) {
        Random random = new Random(seed);
        Reel before = usedReel(random);
        Reel after = before;
        for (int step = 0; step < 20; step++) {
            after = Edit.apply(AnyEdit.ofOrder(after, random), after);
        }
        assertThat(after.frames().stream().map(frame -> frame.withRun(0)))
                .containsExactlyInAnyOrderElementsOf(
                        before.frames().stream().map(frame -> frame.withRun(0)).toList());
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void copyingThenRemovingTheCopiesLeavesTheFramesAlone(int seed) {
        Random random = new Random(seed);
        Reel before = usedReel(random);
        Reel copied = Edit.apply(new CopyFrames(AnyEdit.someOf(before, random), AnyEdit.gap(before, random)), before);
        List<Integer> copies = copied.frames().stream()
                .map(Frame::id)
                .filter(id -> id >= before.nextId())
                .toList();
        assertThat(Edit.apply(new RemoveFrames(copies), copied).frames()).isEqualTo(before.frames());
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void thinningAndMergingKeepTheTotal(int seed) {
        Random random = new Random(seed);
        Reel before = usedReel(random);
        List<Integer> some = AnyEdit.someOf(before, random);
        Reel thinned = Edit.apply(new ThinFrames(some, 2 + random.nextInt(5)), before);
        assertThat(total(thinned)).isEqualTo(total(before));
        List<Integer> all = thinned.frames().stream().map(Frame::id).toList();
        if (thinned.loop().size() > 1) {
            assertThat(total(Edit.apply(new MergeFrames(all), thinned))).isEqualTo(total(before));
        }
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void repeatingMultipliesTheTimeOfWhatIsRepeated(int seed) {
        Random random = new Random(seed);
        Reel before = usedReel(random);
        List<Integer> run = AnyEdit.runOf(before, random);
        int times = 2 + random.nextInt(4);
        long once = before.loop().stream()
                .filter(frame -> run.contains(frame.id()))
                .mapToLong(Frame::delayMillis)
                .sum();
        Reel after = Edit.apply(new RepeatFrames(run, times), before);
        assertThat(total(after)).isEqualTo(total(before) + (times - 1) * once);
        assertThat(after.frames()).hasSize(before.frames().size() + (times - 1) * run.size());
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void fittingATotalIsExact(int seed) {
        Random random = new Random(seed);
        Reel before = usedReel(random);
        List<Integer> all = before.frames().stream().map(Frame::id).toList();
        int wanted = 10 * before.loop().size() + random.nextInt(90_000);
        Reel after = Edit.apply(new FitTotal(all, wanted), before);
        assertThat(total(after)).isEqualTo(wanted);
        assertThat(after.frames().stream().filter(Frame::leftOut))
                .containsExactlyElementsOf(
                        before.frames().stream().filter(Frame::leftOut).toList());
    }

    /** Where cut-outs are, whether they are there, and which picture of a cycle is seen. */
    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void aFrameThatStaysShowsCutOutsAsBefore(int seed) {
        Random random = new Random(seed);
        Reel reel = usedReel(random);
        for (int step = 0; step < 30 && reel.frames().size() > 1; step++) {
            Reel before = reel;
            reel = after(AnyEdit.ofFrames(before, random), before);
            for (Frame frame : reel.frames()) {
                if (frame.id() < before.nextId()) {
                    assertShowsLike(before, frame.id(), reel, frame.id());
                }
            }
        }
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void copiesShowCutOutsAsTheirOriginalsDo(int seed) {
        Random random = new Random(seed);
        Reel before = usedReel(random);
        List<Integer> chosen = AnyEdit.someOf(before, random);
        Reel after = Edit.apply(new CopyFrames(chosen, AnyEdit.gap(before, random)), before);
        List<Integer> originals = ids(before).stream().filter(chosen::contains).toList();
        List<Integer> copies = ids(after).stream()
                .filter(id -> id >= before.nextId() && !ids(before).contains(id))
                .toList();
        for (int i = 0; i < originals.size(); i++) {
            assertShowsLike(before, originals.get(i), after, copies.get(i));
        }
    }

    private static Reel after(Edit edit, Reel before) {
        try {
            return Edit.apply(edit, before);
        } catch (EditRejected refused) {
            return before;
        }
    }

    private static List<Integer> ids(Reel reel) {
        return reel.frames().stream().map(Frame::id).toList();
    }

    private static void assertShowsLike(Reel before, int frame, Reel after, int now) {
        List<Moving.Shown> old = Moving.shown(before, frame);
        List<Moving.Shown> shown = Moving.shown(after, now);
        for (int i = 0; i < old.size(); i++) {
            assertThat(shown.get(i).isLike(old.get(i)))
                    .as("cut-out %d on frame %d: %s and %s", i, now, old.get(i), shown.get(i))
                    .isTrue();
        }
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void everywhereForthAndBackIsNothing(int seed) {
        Random random = new Random(seed);
        Reel before = Moving.gliding(2 + random.nextInt(20));
        int frame = AnyEdit.someOf(before, random).get(0);
        Tracks tracks = new Tracks(before.frames());
        Pose pose = tracks.pose(Moving.badge(before), tracks.index(frame));
        Pose away = pose.withPlace(pose.x() + random.nextInt(999) / 7.0, pose.y() - random.nextInt(999) / 13.0)
                .withTurn(random.nextInt(999) / 3.0);
        Reel there = Moving.posed(before, frame, away, Scope.EVERYWHERE);
        assertThat(there).isNotEqualTo(before);
        assertThat(Moving.posed(there, frame, pose, Scope.EVERYWHERE)).isEqualTo(before);
    }

    /** Whatever the group has done meanwhile: its members are where they were seen, on every frame. */
    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void ungroupingMovesNothing(int seed) {
        Random random = new Random(seed);
        Reel two = Moving.edited(
                Moving.gliding(2 + random.nextInt(9)), new AddCutout("Ferry", Moving.FERRY, Pose.at(301, 77), 1));
        List<Integer> both = two.cutouts().stream().map(Cutout::id).toList();
        Reel grouped = Edit.apply(new GroupCutouts(both, "Both", 1), two);
        for (int step = 0; step < 3; step++) {
            double scale = 0.5 + random.nextInt(3);
            Pose pose =
                    new Pose(random.nextInt(900), random.nextInt(600), scale, scale, 90.0 * random.nextInt(4), 1, 1, 0);
            grouped = Moving.posed(grouped, AnyEdit.someOf(grouped, random).get(0), pose, Scope.HERE);
        }
        Cutout group = Moving.badge(grouped);
        Reel free = Edit.apply(new UngroupCutout(group.id()), grouped);
        Tracks tracks = new Tracks(grouped.frames());
        for (int member = 0; member < 2; member++) {
            Cutout inner = ((Group) group.art()).members().get(member);
            for (int i = 0; i < grouped.frames().size(); i++) {
                Pose outer = tracks.pose(group, i);
                Pose own = tracks.pose(inner, i);
                Pose now = tracks.pose(free.cutouts().get(member), i);
                double width = group.art().width();
                double height = group.art().height();
                assertThat(now.x()).isCloseTo(outer.place(width / 2, height / 2).x(own.x(), own.y()), within(0.01));
                assertThat(now.turn()).isCloseTo(outer.turn() + own.turn(), within(0.01));
                assertThat(now.scaleX()).isCloseTo(outer.scaleX() * own.scaleX(), within(0.001));
            }
        }
    }

    private static long total(Reel reel) {
        return Arrays.stream(reel.loopDelaysMillis()).asLongStream().sum();
    }
}
