package dobbin.server.pictures;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;

class ReadingTimeTest {
    private static final long SECOND = 1_000_000_000;

    private long processor;
    private long clock;
    private final ReadingTime time = new ReadingTime(Duration.ofSeconds(10), () -> processor, () -> clock);

    private void after(double ofAProcessor, double seconds) {
        processor += (long) (ofAProcessor * SECOND);
        clock += (long) (seconds * SECOND);
        time.check();
    }

    @Test
    void tenSecondsOfAProcessorAreAllowedHoweverLongTheyTake() {
        after(3, 3);
        after(4, 400);
        after(6, 6);
        assertThatThrownBy(() -> after(0.1, 0.1))
                .isInstanceOf(CancellationException.class)
                .hasMessageStartingWith("takes more than 10 s of a processor to be read");
    }

    @Test
    void eachStillThatComesHasItsOwn() {
        for (int still = 0; still < 20; still++) {
            after(0, 0.1);
            after(9, 9);
            time.came();
        }
        after(0, 0.1);
        assertThatThrownBy(() -> after(10.1, 11)).isInstanceOf(CancellationException.class);
    }

    @Test
    void anAnimationOfManyStillsThatTakeLongHas30TimesAsMuchInAll() {
        assertThatThrownBy(() -> {
                    for (int still = 0; still < 40; still++) {
                        after(9, 9);
                        time.came();
                        assertThat(still).isLessThan(35);
                    }
                })
                .isInstanceOf(CancellationException.class)
                .hasMessageStartingWith("takes more than 300 s of a processor to be read");
    }

    @Test
    void itIsLookedAtNowAndThen() {
        time.check();
        processor = 11 * SECOND;
        assertThatCode(time::check).doesNotThrowAnyException();
        clock = SECOND / 10;
        assertThatThrownBy(time::check).isInstanceOf(CancellationException.class);
    }
}
