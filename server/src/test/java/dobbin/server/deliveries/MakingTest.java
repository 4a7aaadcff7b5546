package dobbin.server.deliveries;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.slim.Progress;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

/** A file that is being made for several is given up only when none of them wants it any more. */
class MakingTest {
    private static final Progress UNWANTED = (done, total) -> {
        throw new CancellationException();
    };

    @Test
    void itGoesOnWhileOneStillWaits() {
        Making making = new Making();
        AtomicInteger seen = new AtomicInteger();
        making.join(UNWANTED);
        making.join((done, total) -> seen.set(done));
        making.report(3, 9);
        assertThat(seen).hasValue(3);
        assertThat(making.join(Progress.NONE)).isTrue();
    }

    @Test
    void itIsGivenUpWhenNobodyDoesAndTakesNobodyIn() {
        Making making = new Making();
        making.join(UNWANTED);
        assertThatThrownBy(() -> making.report(1, 9)).isInstanceOf(CancellationException.class);
        assertThat(making.join(Progress.NONE)).isFalse();
    }
}
