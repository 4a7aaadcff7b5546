package dobbin.timing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;

class HundredthsTest {
    @Test
    void twentyFourFramesASecondDoNotDrift() {
        int[] delays = new int[24];
        for (int i = 0; i < 24; i++) {
            delays[i] = (i + 1) * 1000 / 24 - i * 1000 / 24;
        }
        int[] hundredths = Hundredths.apportion(delays);
        assertThat(Arrays.copyOf(hundredths, 6)).containsExactly(4, 4, 5, 4, 4, 4);
        assertThat(Arrays.stream(hundredths).sum()).isEqualTo(100);
    }

    @Test
    void wholeHundredthsStayAsTheyAre() {
        assertThat(Hundredths.apportion(new int[] {10, 100, 1200, 20})).containsExactly(1, 10, 120, 2);
        assertThat(Hundredths.apportion(new int[0])).isEmpty();
    }

    @Test
    void theTotalIsKeptAndNoDelayIsLost() {
        for (int seed = 0; seed < 500; seed++) {
            Random random = new Random(seed);
            int[] delays = random.ints(1 + random.nextInt(60), 10, 3000).toArray();
            int[] hundredths = Hundredths.apportion(delays);
            long total = Arrays.stream(delays).asLongStream().sum();
            assertThat(Arrays.stream(hundredths).sum()).as("seed %d", seed).isEqualTo((int) ((total + 5) / 10));
            for (int i = 0; i < delays.length; i++) {
                assertThat(hundredths[i]).isPositive();
                assertThat(Math.abs(10 * hundredths[i] - delays[i])).isLessThanOrEqualTo(10);
            }
        }
    }

    @Test
    void viewersPlayTheShortestDelaysSlower() {
        assertThat(Viewers.shownHundredths(0)).isEqualTo(10);
        assertThat(Viewers.shownHundredths(1)).isEqualTo(10);
        assertThat(Viewers.shownHundredths(2)).isEqualTo(2);
        assertThat(Viewers.shownHundredths(600)).isEqualTo(600);
    }
}
