package dobbin.server.entry;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.Test;

class AttemptsTest {
    private Instant now = Instant.parse("2026-03-01T08:00:00Z");
    private final Attempts attempts = new Attempts(() -> now);

    private void fail(String address, int times) {
        for (int i = 0; i < times; i++) {
            attempts.failed(address);
        }
    }

    @Test
    void fiveAreFreeAndEachFurtherOneCostsTwiceTheWait() {
        fail("10.0.0.7", 4);
        assertThat(attempts.waitOf("10.0.0.7")).isZero();
        for (int seconds : new int[] {1, 2, 4, 8, 16, 32, 64, 128, 256, 300, 300}) {
            fail("10.0.0.7", 1);
            assertThat(attempts.waitOf("10.0.0.7")).isEqualTo(Duration.ofSeconds(seconds));
        }
        assertThat(attempts.waitOf("10.0.0.8")).isZero();
    }

    @Test
    void theWaitPassesAndTheRightPasswordEndsIt() {
        fail("10.0.0.7", 7);
        now = now.plusSeconds(3);
        assertThat(attempts.waitOf("10.0.0.7")).isEqualTo(Duration.ofSeconds(1));
        now = now.plusSeconds(1);
        assertThat(attempts.waitOf("10.0.0.7")).isZero();
        fail("10.0.0.7", 1);
        attempts.succeeded("10.0.0.7");
        assertThat(attempts.waitOf("10.0.0.7")).isZero();
    }

    @Test
    void manyAddressesTogetherAreSlowedDown() {
        for (int i = 0; i < 25; i++) {
            fail("10.0.1." + i, 4);
        }
        assertThat(attempts.waitOf("10.0.2.1")).isEqualTo(Duration.ofSeconds(1));
    }
}
