package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;

/** A Dobbin for several people asks for its password before it shows anything. */
class SignInTest {
    @RegisterExtension
    private static final Visit visit = new Visit();

    @TempDir
    private static Path folder;

    private static App app;
    private Page page;
    private Sheet sheet;

    @BeforeAll
    static void start() throws Exception {
        Path file = Files.writeString(folder.resolve("password"), "Six lamps, one beam\n");
        app = App.start(folder.resolve("data"), "--dobbin.password-file=" + file);
    }

    @AfterAll
    static void stop() {
        app.close();
    }

    @BeforeEach
    void open() {
        page = visit.browser().open(app.address());
        sheet = new Sheet(page);
    }

    @AfterEach
    void leave() {
        BrowserContext context = page.context();
        page.close();
        context.clearCookies();
        // A request without a session is refused, as it should be, and the browser says so.
        visit.browser().complaints().clear();
    }

    private void signIn(String password) {
        page.getByLabel("Password").fill(password);
        page.keyboard().press("Enter");
    }

    @Test
    void oneSignsInWorksAndSignsOut() {
        assertThat(page.getByText("Drop stills here to begin a loop")).hasCount(0);
        signIn("Seven lamps");
        assertThat(page.getByText("That is not the password.")).isVisible();
        signIn("Six lamps, one beam");
        assertThat(page.getByText("Drop stills here to begin a loop")).isVisible();
        sheet.openFive();
        page.reload();
        assertThat(sheet.cards()).hasCount(5);
        String reel = page.url();
        sheet.button("Sign out").click();
        assertThat(page.getByLabel("Password")).isVisible();
        page.navigate(reel);
        assertThat(page.getByLabel("Password")).isVisible();
        assertThat(sheet.cards()).hasCount(0);
        signIn("Six lamps, one beam");
        assertThat(sheet.cards()).hasCount(5);
    }

    @Test
    void whereTheSessionEndsInTheMiddleNothingIsLost() {
        signIn("Six lamps, one beam");
        sheet.openFive();
        // As when the server was started again: it knows no session any more.
        app.kill();
        app.startAgain();
        page.getByLabel("Delay of frame 1").press("ArrowUp");
        assertThat(page.getByLabel("Password")).isVisible();
        signIn("Six lamps, one beam");
        assertThat(sheet.cards()).hasCount(5);
    }
}
