package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Tests that begin at the Move bench, with twelve frames, black to white, in a reel of their own each time. */
abstract class AtTheMoveBench {
    @RegisterExtension
    static final Visit visit = new Visit();

    Page page;
    MoveBench bench;
    Sheet sheet;

    @BeforeEach
    void open() {
        page = visit.page();
        bench = new MoveBench(page);
        sheet = bench.sheet();
    }

    @AfterEach
    void nothingComplained() {
        assertThat(visit.browser().complaints()).isEmpty();
    }
}
