package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;

/** Tests that begin at the Move bench, with twelve frames, black to white, in a reel of their own each time. */
abstract class AtTheMoveBench extends BrowserTest {
    MoveBench bench;

    @BeforeEach
    void open() {
        bench = new MoveBench(page);
        sheet = bench.sheet();
    }

    @AfterEach
    void nothingComplained() {
        assertThat(visit.browser().complaints()).isEmpty();
    }
}
