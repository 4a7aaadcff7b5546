package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;

/** Two people with names, each with a shelf, and a reel that one gives to the other. */
class PeopleTest {
    @RegisterExtension
    private static final Visit visit = new Visit();

    @TempDir
    private static Path folder;

    private static App app;
    private Page maras;
    private Page ebbes;
    private Sheet sheet;

    @BeforeAll
    static void start() throws Exception {
        Path data = folder.resolve("data");
        List<String> others = IntStream.rangeClosed(1, 15)
                .mapToObj(number -> "Keeper " + number + ":{noop}never signs in")
                .toList();
        // As an earlier version kept them.
        Files.write(Files.createDirectories(data).resolve("people"), others);
        add("Mara", data);
        add("Ebbe", data);
        app = App.start(data);
    }

    /** As the launcher does it. */
    private static void add(String name, Path data) throws IOException, InterruptedException {
        Process command = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-jar",
                        System.getProperty("dobbin.app"),
                        "user",
                        "add",
                        name,
                        "--data",
                        data.toString())
                .redirectErrorStream(true)
                .start();
        command.getOutputStream().write((passwordOf(name) + "\n").getBytes(StandardCharsets.UTF_8));
        command.getOutputStream().close();
        String said = new String(command.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        org.assertj.core.api.Assertions.assertThat(command.waitFor()).as(said).isZero();
    }

    private static String passwordOf(String name) {
        return "the lamp of " + name;
    }

    @AfterAll
    static void stop() {
        app.close();
    }

    /** The browser keeps the cookies of two hosts apart, and so two people. */
    @BeforeEach
    void open() {
        maras = visit.browser().open(app.address());
        ebbes = visit.browser().open(app.address().replace("127.0.0.1", "localhost"));
        signIn(ebbes, "Ebbe");
        signIn(maras, "Mara");
        sheet = new Sheet(maras);
        sheet.openFive();
    }

    @AfterEach
    void leave() {
        maras.context().clearCookies();
        maras.close();
        ebbes.close();
        // What is refused, as it should be, the browser speaks of.
        visit.browser().complaints().clear();
    }

    private static void signIn(Page page, String name) {
        page.bringToFront();
        page.getByLabel("Name").fill(name);
        page.getByLabel("Password").fill(passwordOf(name));
        page.keyboard().press("Enter");
        assertThat(page.getByText("Drop stills here to begin a loop")).isVisible();
    }

    private void give(String right) {
        String reel = maras.url();
        maras.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Shelf"))
                .click();
        maras.locator("article")
                .first()
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Who may see"))
                .click();
        Locator ebbe = maras.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Ebbe"));
        ebbe.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(right))
                .click();
        sheet.button("Save").click();
        assertThat(maras.getByText("find “")).isVisible();
        maras.navigate(reel);
    }

    private Locator ebbesCard() {
        return ebbes.locator("article").first();
    }

    @Test
    void aReelThatOneMayLookAtCanBeCopiedAndNotChanged() {
        give("Look");
        ebbes.bringToFront();
        ebbes.reload();
        assertThat(ebbesCard()).containsText("Mara’s");
        assertThat(ebbesCard().getByRole(AriaRole.BUTTON)).hasCount(0);
        ebbesCard().getByRole(AriaRole.LINK).click();
        assertThat(ebbes.getByText("You may look at it and take what is made of it"))
                .isVisible();
        Sheet hers = new Sheet(ebbes);
        hers.button("Reverse").click();
        assertThat(ebbes.getByText("You may look at this reel and not change it."))
                .isVisible();
        hers.awaitOrder(1, 2, 3, 9, 10);
        hers.button("Copy it to my shelf").click();
        assertThat(ebbes.getByText("is yours.")).isVisible();
        assertThat(ebbes.getByText("You may look at it and take what is made of it"))
                .hasCount(0);
        hers.button("Reverse").click();
        hers.awaitOrder(10, 9, 3, 2, 1);
        sheet.awaitOrder(1, 2, 3, 9, 10);
    }

    @Test
    void twoWorkOnOneReelAndEachSeesTheOthersChanges() {
        give("Change");
        ebbes.navigate(maras.url().replace("127.0.0.1", "localhost"));
        Sheet hers = new Sheet(ebbes);
        assertThat(hers.cards()).hasCount(5);
        assertThat(sheet.cards()).hasCount(5);
        ebbes.bringToFront();
        hers.button("Reverse").click();
        maras.bringToFront();
        sheet.awaitOrder(10, 9, 3, 2, 1);
        sheet.button("Undo").click();
        ebbes.bringToFront();
        hers.awaitOrder(1, 2, 3, 9, 10);
    }

    @Test
    void anOpenPageLearnsWhatOneMayNow() {
        give("Look");
        ebbes.bringToFront();
        ebbes.navigate(maras.url().replace("127.0.0.1", "localhost"));
        Locator line = ebbes.getByText("You may look at it and take what is made of it");
        assertThat(line).isVisible();
        maras.bringToFront();
        give("Change");
        ebbes.bringToFront();
        assertThat(line).hasCount(0);
    }

    @Test
    void amongManyOneIsFoundByPartOfTheName() {
        maras.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Shelf"))
                .click();
        maras.locator("article")
                .first()
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Who may see"))
                .click();
        Locator people = maras.getByRole(AriaRole.DIALOG).getByRole(AriaRole.GROUP);
        assertThat(people.filter(new Locator.FilterOptions().setHasText("Nothing")))
                .hasCount(17);
        Locator search = maras.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Find a name"));
        search.fill("eBB");
        assertThat(people.filter(new Locator.FilterOptions().setHasText("Ebbe")))
                .isVisible();
        assertThat(maras.getByText("Keeper 1")).hasCount(0);
        search.fill("storm");
        assertThat(maras.getByText("Nobody here has “storm” in their name.")).isVisible();
    }

    @Test
    void anothersReelIsNotThere() {
        ebbes.navigate(maras.url().replace("127.0.0.1", "localhost"));
        assertThat(ebbes.getByText("This reel does not open")).isVisible();
        assertThat(ebbes.getByText("There is no reel")).isVisible();
    }
}
