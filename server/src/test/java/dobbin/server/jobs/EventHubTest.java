package dobbin.server.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.server.web.Refused;
import org.junit.jupiter.api.Test;

class EventHubTest {
    /** Nothing is told in these tests. */
    private final EventHub hub = new EventHub(null);

    @Test
    void onePersonHasSoManyStreamsAndTakesNoneFromAnother() {
        for (int i = 0; i < 64; i++) {
            hub.listen("tide", "Mara", () -> true);
        }
        assertThatThrownBy(() -> hub.listen("tide", "Mara", () -> true))
                .isInstanceOf(Refused.class)
                .hasMessage("Too many reels are open at once. Close some of the tabs.");
        hub.listen("tide", "Ebbe", () -> true);
        assertThat(hub.streams()).isEqualTo(65);
    }
}
