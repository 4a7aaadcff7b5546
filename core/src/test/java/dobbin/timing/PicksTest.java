package dobbin.timing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

class PicksTest {
    /** Thirty pictures a second from 0 on. */
    private static long[] thirtyASecond(int count) {
        return LongStream.range(0, count).map(i -> i * 1_000_000 / 30).toArray();
    }

    @Test
    void tenASecondOfThirtyIsEveryThird() {
        Picks picks = Picks.perSecond(thirtyASecond(60), 0, 1_000_000, 10);
        assertThat(picks.places()).containsExactly(0, 3, 6, 9, 12, 15, 18, 21, 24, 27);
        assertThat(picks.delaysMillis()).containsOnly(100);
    }

    @Test
    void aRateThatDoesNotDivideTheClipTakesWhatItShowsAtEachMoment() {
        Picks picks = Picks.perSecond(thirtyASecond(30), 0, 1_000_000, 8);
        assertThat(picks.places()).containsExactly(0, 3, 7, 11, 15, 18, 22, 26);
        assertThat(picks.delaysMillis()).containsExactly(125, 125, 125, 125, 125, 125, 125, 125);
    }

    @Test
    void whatTheClipHoldsIsTakenOnceAndShowsAsLong() {
        long[] times = {0, 100_000, 200_000, 1_400_000, 1_500_000};
        Picks picks = Picks.perSecond(times, 0, 1_600_000, 10);
        assertThat(picks.places()).containsExactly(0, 1, 2, 3, 4);
        assertThat(picks.delaysMillis()).containsExactly(100, 100, 1200, 100, 100);
    }

    @Test
    void everySecondKeepsTheUnevenPaceOfTheClip() {
        long[] times = {0, 40_000, 120_000, 160_000, 300_000, 340_000};
        Picks picks = Picks.everyNth(times, 0, 400_000, 2);
        assertThat(picks.places()).containsExactly(0, 2, 4);
        assertThat(picks.delaysMillis()).containsExactly(120, 180, 100);
    }

    @Test
    void aStretchBeginsWithThePictureThatIsShownThere() {
        Picks picks = Picks.everyNth(thirtyASecond(30), 50_000, 200_000, 1);
        assertThat(picks.places()).containsExactly(1, 2, 3, 4, 5);
        assertThat(picks.delaysMillis()).containsExactly(17, 33, 33, 34, 33);
    }

    @Test
    void picturesTooShortForAFrameArePassedOver() {
        long[] times = {0, 4_000, 8_000, 12_000, 30_000};
        Picks picks = Picks.everyNth(times, 0, 34_000, 1);
        assertThat(picks.places()).containsExactly(0, 3);
        assertThat(picks.delaysMillis()).containsExactly(12, 22);
    }

    @Test
    void thePaceIsKeptWhateverIsAskedFor() {
        for (int seed = 0; seed < 300; seed++) {
            Random random = new Random(seed);
            long[] times = random.longs(200, 1_000, 90_000).toArray();
            Arrays.parallelPrefix(times, Long::sum);
            long from = random.nextLong(times[100]);
            long to = from + 20_000 + random.nextLong(2_000_000);
            Picks picks = seed % 2 == 0
                    ? Picks.perSecond(times, from, to, 0.5 + random.nextInt(40))
                    : Picks.everyNth(times, from, to, 1 + random.nextInt(9));
            assertThat(picks.totalMillis()).as("seed %d", seed).isEqualTo((int) Math.round((to - from) / 1000.0));
            assertThat(picks.places()).isSorted().doesNotHaveDuplicates();
            assertThat(Arrays.stream(picks.delaysMillis()).min().orElseThrow()).isGreaterThanOrEqualTo(10);
        }
    }
}
