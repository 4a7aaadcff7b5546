package dobbin.server.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

class ListenerTest {
    private final List<Runnable> writing = new ArrayList<>();
    private final AtomicBoolean completed = new AtomicBoolean();
    private int sent;

    private final SseEmitter emitter = new SseEmitter(0L) {
        @Override
        public void send(SseEventBuilder event) {
            sent++;
        }

        @Override
        public synchronized void complete() {
            completed.set(true);
        }
    };

    @Test
    void aListenerThatDoesNotReadNeverHoldsUpWhoTells() {
        Executor stuck = writing::add;
        Listener listener = new Listener(emitter, stuck, () -> true);
        for (int i = 0; i < 10_000; i++) {
            listener.tell(() -> SseEmitter.event().comment("still here"));
        }
        assertThat(sent).isZero();
        writing.forEach(Runnable::run);
        assertThat(completed)
                .as("it is let go, and asks for all it missed when it comes again")
                .isTrue();
        assertThat(sent).isLessThanOrEqualTo(200);
    }

    @Test
    void eventsAreWrittenInOrderByOneWriterAtATime() {
        Listener listener = new Listener(emitter, writing::add, () -> true);
        listener.tell(() -> SseEmitter.event().comment("one"));
        listener.tell(() -> SseEmitter.event().comment("two"));
        assertThat(writing).hasSize(1);
        writing.get(0).run();
        assertThat(sent).isEqualTo(2);
        listener.tell(() -> SseEmitter.event().comment("three"));
        assertThat(writing).hasSize(2);
    }

    @Test
    void whoMayNotListenAnyMoreIsLetGo() {
        boolean[] may = {true};
        Listener listener = new Listener(emitter, Runnable::run, () -> may[0]);
        listener.ask();
        assertThat(sent).isEqualTo(1);
        may[0] = false;
        listener.ask();
        listener.tell(() -> SseEmitter.event().comment("changed"));
        assertThat(sent).isEqualTo(1);
        assertThat(completed).isTrue();
    }
}
