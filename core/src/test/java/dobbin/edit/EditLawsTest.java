package dobbin.edit;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.reel.Frame;
import dobbin.reel.Reel;
import java.util.ArrayList;
import java.util.Collections;
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

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void anySequenceOfEditsKeepsTheReelValid(int seed) {
        Random random = new Random(seed);
        Reel reel = EditTest.reel(1 + random.nextInt(12));
        for (int step = 0; step < 60; step++) {
            reel = Edit.apply(anyEdit(random, reel), reel);
            assertThat(reel.frames()).extracting(Frame::id).doesNotHaveDuplicates();
            assertThat(reel.frames()).allMatch(frame -> frame.delayMillis() >= 10);
        }
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void orderEditsKeepTheFrames(int seed) {
        Random random = new Random(seed);
        Reel before = EditTest.reel(1 + random.nextInt(30));
        Reel after = before;
        for (int step = 0; step < 20; step++) {
            List<Integer> some = someOf(random, after);
            int gap = random.nextInt(after.frames().size() + 1);
            after = Edit.apply(random.nextBoolean() ? new ReverseFrames(some) : new MoveFrames(some, gap), after);
        }
        assertThat(after.frames()).containsExactlyInAnyOrderElementsOf(before.frames());
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void copyingThenRemovingTheCopiesChangesNothingButTheNextId(int seed) {
        Random random = new Random(seed);
        Reel before = EditTest.reel(1 + random.nextInt(20));
        Reel copied = Edit.apply(
                new CopyFrames(
                        someOf(random, before), random.nextInt(before.frames().size() + 1)),
                before);
        List<Integer> copies = copied.frames().stream()
                .map(Frame::id)
                .filter(id -> id >= before.nextFrameId())
                .toList();
        assertThat(Edit.apply(new RemoveFrames(copies), copied).frames()).isEqualTo(before.frames());
    }

    private static Edit anyEdit(Random random, Reel reel) {
        if (reel.frames().isEmpty() || random.nextInt(6) == 0) {
            int at = random.nextInt(reel.frames().size() + 1);
            return new AddStills(List.of(EditTest.still("New " + random.nextInt(50), reel.canvas())), at);
        }
        List<Integer> some = someOf(random, reel);
        return switch (random.nextInt(5)) {
            case 0 -> new MoveFrames(some, random.nextInt(reel.frames().size() + 1));
            case 1 -> new ReverseFrames(some);
            case 2 -> reel.frames().size() < 500 ? new CopyFrames(some, 0) : new RemoveFrames(some);
            case 3 -> new RemoveFrames(some);
            default -> new SetDelay(some, 10 + random.nextInt(3_000));
        };
    }

    private static List<Integer> someOf(Random random, Reel reel) {
        List<Integer> ids =
                new ArrayList<>(reel.frames().stream().map(Frame::id).toList());
        Collections.shuffle(ids, random);
        return ids.subList(0, 1 + random.nextInt(ids.size()));
    }
}
