package dobbin.e2e;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ReducedMotion;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Tests of a page: the application with an empty shelf, and a browser that shows it. */
abstract class BrowserTest {
    @RegisterExtension
    static final Visit visit = new Visit();

    Page page;
    Sheet sheet;

    @BeforeEach
    void openTheShelf() {
        page = visit.page();
        sheet = new Sheet(page);
    }

    /** As for somebody who has not asked for less motion: loops and files play from when they are opened on. */
    void letThingsMove() {
        page.emulateMedia(new Page.EmulateMediaOptions().setReducedMotion(ReducedMotion.NO_PREFERENCE));
    }
}
