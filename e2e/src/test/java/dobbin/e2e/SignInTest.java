package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;

/** A Dobbin for several people asks for its password before it shows anything. */
class SignInTest {
    @RegisterExtension
    private static final Visit visit = new Visit();

    @TempDir
    private static Path folder;

    private static Path password;
    private static App app;
    private Page page;
    private Sheet sheet;

    @BeforeAll
    static void start() throws Exception {
        password = Files.writeString(folder.resolve("password"), "Six lamps, one beam");
        app = App.start(folder.resolve("data"), "--dobbin.password-file=" + password);
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
        sheet.button("Signed in").click();
        page.getByText("Sign out").click();
        assertThat(page.getByLabel("Password")).isVisible();
        page.navigate(reel);
        assertThat(page.getByLabel("Password")).isVisible();
        assertThat(sheet.cards()).hasCount(0);
        signIn("Six lamps, one beam");
        assertThat(sheet.cards()).hasCount(5);
    }

    @Test
    void onAPhoneColorsAreInTheMenuOfWhoeverSignedIn() {
        page.setViewportSize(390, 844);
        signIn("Six lamps, one beam");
        assertThat(page.getByLabel("Dark colors")).isHidden();
        sheet.button("Signed in").click();
        page.getByText("Dark colors").click();
        assertThat(page.locator(".v-application.v-theme--dark")).isVisible();
    }

    private static void restartWith(String text) throws IOException {
        app.kill();
        Files.writeString(password, text);
        app.startAgain();
    }

    @Test
    @Tag("long")
    void aRestartEndsNoSessionAndAnotherPasswordDoes() throws Exception {
        signIn("Six lamps, one beam");
        sheet.openFive();
        app.kill();
        app.startAgain();
        page.getByLabel("Delay of frame 1").press("ArrowUp");
        sheet.awaitUndo("Hold frame 1 for 110 ms");
        restartWith("Fog bell at midnight");
        page.getByLabel("Delay of frame 1").press("ArrowUp");
        assertThat(page.getByLabel("Password")).isVisible();
        signIn("Fog bell at midnight");
        assertThat(sheet.cards()).hasCount(5);
        restartWith("Six lamps, one beam");
    }
}
