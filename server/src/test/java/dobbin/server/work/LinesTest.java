package dobbin.server.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.RejectedExecutionException;
import org.junit.jupiter.api.Test;

/** What was begun runs when the test says so, the first first. */
class LinesTest {
    private static final int MANY = 100;

    private final Deque<Runnable> begun = new ArrayDeque<>();
    private final List<String> done = new ArrayList<>();

    private Lines lines(int threads, int mostOfOne, int mostWaiting) {
        return new Lines(begun::add, threads, 1, urgency -> threads, mostOfOne, mostWaiting);
    }

    private void ask(Lines lines, int urgency, String... pieces) {
        for (String piece : pieces) {
            Requester.While theirs = Requester.is(piece.replaceAll("\\d", ""));
            try {
                lines.execute(urgency, () -> done.add(piece));
            } finally {
                theirs.close();
            }
        }
    }

    private List<String> runAll() {
        while (!begun.isEmpty()) {
            begun.poll().run();
        }
        return done;
    }

    @Test
    void everybodyIsServedInTurnHoweverMuchOneAsksFor() {
        Lines lines = lines(1, 1, MANY);
        ask(lines, 0, "Mara1", "Mara2", "Mara3", "Mara4", "Ebbe1", "Ines1", "Ebbe2");
        assertThat(runAll()).containsExactly("Mara1", "Mara2", "Ebbe1", "Ines1", "Mara3", "Ebbe2", "Mara4");
    }

    @Test
    void oneAloneHasAllThreads() {
        Lines lines = lines(3, 3, MANY);
        ask(lines, 0, "Mara1", "Mara2", "Mara3", "Mara4");
        assertThat(begun).hasSize(3);
        assertThat(runAll()).containsExactly("Mara1", "Mara2", "Mara3", "Mara4");
    }

    @Test
    void aThreadIsKeptForOthersWhereThatIsWanted() {
        Lines lines = lines(3, 2, MANY);
        ask(lines, 0, "Mara1", "Mara2", "Mara3");
        assertThat(begun).hasSize(2);
        ask(lines, 0, "Ebbe1");
        assertThat(begun).hasSize(3);
        assertThat(runAll()).containsExactly("Mara1", "Mara2", "Ebbe1", "Mara3");
    }

    @Test
    void whatIsMoreUrgentComesFirst() {
        Lines lines = new Lines(begun::add, 1, 2, urgency -> 1, 1, MANY);
        ask(lines, 1, "Mara1", "Mara2", "Ebbe1");
        ask(lines, 0, "Ines1", "Ines2");
        assertThat(runAll()).containsExactly("Mara1", "Ines1", "Ines2", "Mara2", "Ebbe1");
    }

    @Test
    void someUrgenciesHaveFewerThreads() {
        int[] most = {2, 1};
        Lines lines = new Lines(begun::add, 2, 2, urgency -> most[urgency], 2, MANY);
        ask(lines, 1, "Mara1", "Mara2");
        assertThat(begun).hasSize(1);
        ask(lines, 0, "Ebbe1");
        assertThat(begun).hasSize(2);
        most[1] = 2;
        begun.poll().run();
        assertThat(done).containsExactly("Mara1");
        assertThat(begun).as("the rule is asked again each time").hasSize(2);
    }

    @Test
    void aPieceThatFailsFreesItsThread() {
        Lines lines = lines(1, 1, MANY);
        lines.execute(() -> {
            throw new IllegalStateException("no oil");
        });
        ask(lines, 0, "Mara1");
        assertThatThrownBy(() -> begun.poll().run()).hasMessage("no oil");
        assertThat(runAll()).containsExactly("Mara1");
    }

    @Test
    void tooMuchIsRefusedAndSoIsAllAfterTheEnd() {
        Lines lines = lines(1, 1, 2);
        ask(lines, 0, "Mara1", "Mara2", "Mara3");
        assertThatThrownBy(() -> ask(lines, 0, "Ebbe1")).isInstanceOf(RejectedExecutionException.class);
        lines.stop();
        assertThat(runAll()).containsExactly("Mara1");
        assertThatThrownBy(() -> ask(lines, 0, "Ebbe1")).isInstanceOf(RejectedExecutionException.class);
    }

    @Test
    void whatIsDoneForSomebodyIsDoneInTheirName() {
        Lines lines = lines(1, 1, MANY);
        Requester.While maras = Requester.is("Mara");
        lines.execute(() -> done.add(Requester.now()));
        maras.close();
        assertThat(Requester.now()).isEmpty();
        assertThat(runAll()).containsExactly("Mara");
        assertThat(Requester.now()).isEmpty();
    }
}
