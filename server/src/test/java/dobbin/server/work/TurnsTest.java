package dobbin.server.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class TurnsTest {
    private final Turns turns = new Turns();

    @AfterEach
    void stop() {
        turns.stop();
    }

    @Test
    void whatIsWaitedForComesFirstAndOneAfterAnotherOtherwise() throws Exception {
        int threads = Runtime.getRuntime().availableProcessors();
        CountDownLatch busy = new CountDownLatch(threads);
        CountDownLatch free = new CountDownLatch(1);
        CountDownLatch others = new CountDownLatch(1);
        for (int i = 0; i < threads; i++) {
            // One thread becomes free, so that what begins first is also noted first.
            CountDownLatch end = i == 0 ? free : others;
            turns.at(Turns.Urgency.LATER).execute(() -> {
                busy.countDown();
                await(end);
            });
        }
        busy.await();
        List<String> order = Collections.synchronizedList(new ArrayList<>());
        CountDownLatch done = new CountDownLatch(3);
        for (String piece : List.of("LATER 1", "LATER 2", "SEEN")) {
            turns.at(Turns.Urgency.valueOf(piece.split(" ")[0])).execute(() -> {
                synchronized (order) {
                    order.add(piece);
                }
                done.countDown();
            });
        }
        free.countDown();
        done.await();
        others.countDown();
        assertThat(order).containsExactly("SEEN", "LATER 1", "LATER 2");
    }

    /** All the others end only after it is done. */
    @Test
    void whatIsWaitedForWaitsForNothingElse() throws Exception {
        CountDownLatch free = new CountDownLatch(1);
        for (int i = 0; i < Runtime.getRuntime().availableProcessors(); i++) {
            turns.at(Turns.Urgency.LATER).execute(() -> await(free));
        }
        assertThat(turns.call(Turns.Urgency.NOW, () -> "drawn")).isEqualTo("drawn");
        free.countDown();
    }

    @Test
    void aProcessorIsLeftToWhoeverWorks() throws Exception {
        int processors = Runtime.getRuntime().availableProcessors();
        assumeThat(processors).isGreaterThan(1);
        turns.call(Turns.Urgency.NOW, () -> "drawn");
        AtomicInteger running = new AtomicInteger();
        AtomicInteger most = new AtomicInteger();
        CountDownLatch done = new CountDownLatch(20);
        for (int i = 0; i < 20; i++) {
            turns.at(Turns.Urgency.LATER).execute(() -> {
                most.accumulateAndGet(running.incrementAndGet(), Math::max);
                Thread.yield();
                running.decrementAndGet();
                done.countDown();
            });
        }
        done.await();
        assertThat(most.get()).isBetween(1, processors - 1);
    }

    @Test
    void aFailureReachesWhoeverAsked() {
        assertThatThrownBy(() -> turns.call(Turns.Urgency.NOW, () -> {
                    throw new IllegalStateException("no such frame");
                }))
                .isInstanceOf(IllegalStateException.class)
                .hasMessage("no such frame");
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException e) {
            throw new AssertionError("Interrupted", e);
        }
    }
}
