package dobbin.server.work;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class LatestTest {
    private static final long HEAP = 1_000_000;
    private static final int ROOM = 60_000;

    private final Budget budget = new Budget(HEAP);
    private final Latest<String> latest = new Latest<>(budget, Budget.Kept.FILES, (key, value) -> value.length());

    private void keep(String key, int bytes) {
        latest.keep(key, key.repeat(bytes));
    }

    @Test
    void whatWasAskedForLongestAgoGoesFirst() {
        keep("a", ROOM / 3);
        keep("b", ROOM / 3);
        keep("c", ROOM / 3);
        assertThat(latest.known("a")).isPresent();
        keep("d", ROOM / 3);
        assertThat(latest.known("b")).isEmpty();
        assertThat(latest.known("a")).isPresent();
        assertThat(latest.known("c")).isPresent();
    }

    @Test
    void theLastOneIsAlwaysKeptHoweverOftenOthersWereAskedFor() {
        for (int i = 0; i < 6; i++) {
            keep(String.valueOf(i), ROOM / 6);
            for (int asked = 0; asked < 10; asked++) {
                latest.known(String.valueOf(i));
            }
        }
        keep("x", 2 * ROOM);
        assertThat(latest.known("x")).isPresent();
        keep("y", 1);
        assertThat(latest.known("x")).as("no longer the last, and too large").isEmpty();
        assertThat(latest.known("y")).isPresent();
    }

    @Test
    void oneMadeAnewTakesThePlaceOfTheOneBefore() {
        for (int i = 0; i < 10; i++) {
            keep("a", ROOM / 2);
        }
        keep("b", ROOM / 2);
        assertThat(latest.known("a")).isPresent();
        assertThat(latest.known("b")).isPresent();
    }

    @Test
    void itMakesWayForWorkThatNeedsItsMemory() {
        keep("a", 10);
        budget.during(budget.mostBytes(), () -> {}, () -> "");
        assertThat(latest.known("a")).isEmpty();
    }
}
