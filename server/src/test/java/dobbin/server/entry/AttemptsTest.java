package dobbin.server.entry;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.Test;

class AttemptsTest {
    private Instant now = Instant.parse("2026-03-01T08:00:00Z");
    private final Attempts attempts = new Attempts(() -> now);

    private void begin(String address, int times) {
        for (int i = 0; i < times; i++) {
            assertThat(attempts.begin(address, "")).isZero();
        }
    }

    @Test
    void fiveAreFreeAndEachFurtherOneCostsTwiceTheWait() {
        begin("10.0.0.7", 5);
        for (int seconds : new int[] {1, 2, 4, 8, 16, 32, 64, 128, 256, 300, 300}) {
            assertThat(attempts.begin("10.0.0.7", "")).isEqualTo(Duration.ofSeconds(seconds));
            now = now.plusSeconds(seconds);
            begin("10.0.0.7", 1);
        }
        begin("10.0.0.8", 1);
    }

    @Test
    void whatIsTriedAtTheSameMomentCountsToo() {
        begin("10.0.0.7", 5);
        assertThat(attempts.begin("10.0.0.7", "")).isEqualTo(Duration.ofSeconds(1));
        assertThat(attempts.begin("10.0.0.7", ""))
                .as("was not tried, so it was not counted")
                .isEqualTo(Duration.ofSeconds(1));
    }

    @Test
    void theRightPasswordEndsTheWait() {
        begin("10.0.0.7", 5);
        now = now.plusSeconds(1);
        begin("10.0.0.7", 1);
        attempts.succeeded("10.0.0.7", "");
        begin("10.0.0.7", 5);
    }

    @Test
    void aClockThatIsSetBackMakesNobodyWaitLonger() {
        begin("10.0.0.7", 5);
        now = now.minusSeconds(86_400);
        assertThat(attempts.begin("10.0.0.7", "")).isEqualTo(Duration.ofSeconds(1));
    }

    @Test
    void oneNameTriedFromManyAddressesIsSlowedDown() {
        for (int i = 0; i < 10; i++) {
            assertThat(attempts.begin("10.0.1." + i, "Mara")).isZero();
        }
        assertThat(attempts.begin("10.0.2.1", "Mara")).isEqualTo(Duration.ofSeconds(1));
        assertThat(attempts.begin("10.0.2.1", "Ebbe")).isZero();
    }

    @Test
    void manyAddressesTogetherAreSlowedDown() {
        for (int i = 0; i < 25; i++) {
            begin("10.0.1." + i, 4);
        }
        assertThat(attempts.begin("10.0.2.1", "")).isEqualTo(Duration.ofSeconds(1));
    }

    @Test
    void thoseWhoKnowThePasswordDoNotSlowAllDown() {
        for (int i = 0; i < 300; i++) {
            begin("10.0.1." + i, 1);
            attempts.succeeded("10.0.1." + i, "");
        }
        begin("10.0.2.1", 1);
    }
}
