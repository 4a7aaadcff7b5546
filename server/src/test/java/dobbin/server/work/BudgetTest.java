package dobbin.server.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class BudgetTest {
    private static final long HEAP = 1_000_000_000;
    private static final Budget.Checkpoint GO_ON = () -> {};

    private final Budget budget = new Budget(HEAP);

    @Test
    void cachesAndWorkTogetherLeaveRoomInTheHeap() {
        long caches =
                Arrays.stream(Budget.Kept.values()).mapToLong(budget::bytesFor).sum();
        assertThat(caches + 0.4 * HEAP).isLessThan(0.85 * HEAP);
        assertThat(budget.mostBytes()).isLessThan(HEAP - (long) (0.3 * HEAP));
    }

    @Test
    void neverMoreIsUnderWayThanThereIs() {
        AtomicLong now = new AtomicLong();
        AtomicLong most = new AtomicLong();
        long each = 110_000_000;
        List<CompletableFuture<Void>> all = IntStream.range(0, 12)
                .mapToObj(i -> CompletableFuture.runAsync(
                        () -> budget.during(each, GO_ON, () -> {
                            most.accumulateAndGet(now.addAndGet(each), Math::max);
                            Thread.yield();
                            return now.addAndGet(-each);
                        }),
                        task -> new Thread(task).start()))
                .toList();
        all.forEach(CompletableFuture::join);
        assertThat(most.get()).isLessThanOrEqualTo(300_000_000).isPositive();
    }

    @Test
    void smallWorkPassesLargeAndLargeIsNotStarved() throws Exception {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch mayEnd = new CountDownLatch(1);
        Thread large = new Thread(() -> budget.during(300_000_000, GO_ON, () -> {
            begun.countDown();
            return await(mayEnd);
        }));
        large.start();
        begun.await();
        assertThat(budget.<String, RuntimeException>during(5_000_000, GO_ON, () -> "small"))
                .isEqualTo("small");
        AtomicBoolean secondRan = new AtomicBoolean();
        Thread second = new Thread(() -> budget.during(299_000_000, GO_ON, () -> {
            secondRan.set(true);
            return null;
        }));
        second.start();
        assertThatThrownBy(() -> budget.during(
                        250_000_000,
                        () -> {
                            throw new CancellationException("not wanted any more");
                        },
                        () -> null))
                .as("whoever waits can leave")
                .isInstanceOf(CancellationException.class);
        assertThat(secondRan).isFalse();
        mayEnd.countDown();
        second.join();
        assertThat(secondRan).isTrue();
    }

    @Test
    void whatNeedsAllThereIsHasCachesMakeWay() {
        Remembered<byte[]> cache = new Remembered<>(budget, Budget.Kept.PICTURES, (key, bytes) -> bytes.length);
        cache.get("gull", () -> new byte[10]);
        budget.during(200_000_000, GO_ON, () -> assertThat(cache.known("gull")).isPresent());
        budget.during(500_000_000, GO_ON, () -> assertThat(cache.known("gull")).isEmpty());
    }

    @Test
    void resultsAreMadeOnceHoweverManyAskAndFailuresAreNotKept() {
        Remembered<String> cache = new Remembered<>(budget, Budget.Kept.SEEN, (key, value) -> value.length());
        CountDownLatch asked = new CountDownLatch(2);
        AtomicLong made = new AtomicLong();
        List<CompletableFuture<String>> both = IntStream.range(0, 2)
                .mapToObj(i -> CompletableFuture.supplyAsync(
                        () -> {
                            asked.countDown();
                            return cache.get("tide", () -> {
                                await(asked);
                                return "tide " + made.incrementAndGet();
                            });
                        },
                        task -> new Thread(task).start()))
                .toList();
        assertThat(both).extracting(CompletableFuture::join).containsOnly("tide 1");
        assertThatThrownBy(() -> cache.get("ebb", () -> {
                    throw new IllegalStateException("gone");
                }))
                .hasMessage("gone");
        assertThat(cache.get("ebb", () -> "ebb")).isEqualTo("ebb");
    }

    private static Void await(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException e) {
            throw new AssertionError("Interrupted", e);
        }
        return null;
    }
}
