package dobbin.timing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;

class DelaysTest {
    private static int[] fitted(long total, int... delays) {
        return Delays.fitted(delays, total, 10, 1_000);
    }

    @Test
    void timeIsSharedInProportion() {
        assertThat(fitted(200, 100, 100, 200)).containsExactly(50, 50, 100);
        assertThat(fitted(100, 42, 42, 42)).as("33.3 each: moments are rounded").containsExactly(33, 34, 33);
    }

    @Test
    void whatWouldPassABoundStaysAtItAndTheRestMakesUpForIt() {
        assertThat(fitted(505, 10, 1_000)).containsExactly(10, 495);
        assertThat(fitted(1_700, 100, 600)).containsExactly(700, 1_000);
        assertThat(fitted(30, 500, 20, 10)).containsExactly(10, 10, 10);
    }

    @Test
    void totalsAreExactWithinBoundsWhateverTheDelays() {
        for (int seed = 0; seed < 500; seed++) {
            Random random = new Random(seed);
            int[] delays = random.ints(1 + random.nextInt(60), 10, 1_001).toArray();
            long total = 10L * delays.length + random.nextInt(990 * delays.length + 1);
            int[] fitted = Delays.fitted(delays, total, 10, 1_000);
            assertThat(Arrays.stream(fitted).sum()).as("seed %d", seed).isEqualTo((int) total);
            assertThat(Arrays.stream(fitted)).allMatch(delay -> delay >= 10 && delay <= 1_000);
        }
    }

    @Test
    void aTotalThatCannotBeIsRefused() {
        assertThatThrownBy(() -> fitted(19, 100, 100)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> fitted(2_001, 100, 100)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void thinningHandsTimeToWhatIsKept() {
        assertThat(Delays.thinned(new int[] {1, 2, 3, 4, 5, 6, 7}, 3)).containsExactly(6, 0, 0, 15, 0, 0, 7);
        assertThat(Delays.thinned(new int[] {10, 20}, 100)).containsExactly(30, 0);
    }
}
