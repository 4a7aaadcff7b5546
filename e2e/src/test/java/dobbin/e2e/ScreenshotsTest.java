package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.KeyboardModifier;
import dobbin.skerry.SkerryPoint;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;

/** Takes the pictures in docs/screenshots from the demo, when asked: {@code ./dobbin test -Ddobbin.screenshots=true}. */
@EnabledIfSystemProperty(named = "dobbin.screenshots", matches = "true")
class ScreenshotsTest {
    private static final Path PICTURES = Path.of("../docs/screenshots");

    @Test
    void takeThem(@TempDir Path folder) {
        try (App app = App.start(folder.resolve("data"), "--dobbin.demo=true");
                Browser browser = new Browser(folder.resolve("profile"))) {
            Page page = browser.open(app.address());
            shelf(page);
            sheet(page);
            slim(page);
            share(page);
            draw(page, app);
            move(page, app);
            sheets(page, app);
            dialogs(page);
            gathering(page, app);
            clip(page, app);
            assertThat(browser.complaints()).allMatch(complaint -> complaint.contains("status of 422"));
        }
    }

    private static void shelf(Page page) {
        assertThat(page.getByRole(AriaRole.ARTICLE)).hasCount(7);
        page.waitForTimeout(9_000);
        take(page, "shelf-light");
        page.getByLabel("Dark colors").click();
        page.waitForTimeout(500);
        take(page, "shelf-dark");
        page.getByLabel("Light colors").click();
        String shelf = page.url();
        page.navigate(shelf + "guide/slim");
        assertThat(page.locator("article img").first()).isVisible();
        page.waitForTimeout(800);
        take(page, "guide-light");
        page.navigate(shelf);
        assertThat(page.getByRole(AriaRole.ARTICLE)).hasCount(7);
    }

    private static void sheet(Page page) {
        page.getByText("Sunrise at Skerry Point").first().click();
        Locator cards = page.getByRole(AriaRole.OPTION);
        assertThat(cards).hasCount(24);
        awaitWeight(page);
        page.waitForTimeout(4_000);
        cards.nth(8).click();
        cards.nth(13).click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.SHIFT)));
        page.getByLabel("One frame on").click();
        page.getByLabel("One frame on").click();
        page.mouse().move(700, 770);
        page.waitForTimeout(500);
        take(page, "sheet-light");
        page.getByLabel("Dark colors").click();
        page.mouse().move(700, 770);
        page.waitForTimeout(500);
        take(page, "sheet-dark");
        page.getByLabel("Light colors").click();
    }

    private static void draw(Page page, App app) {
        open(page, app, "Rough crossing, by hand");
        page.getByLabel("White page").click();
        page.keyboard().press(".");
        page.keyboard().press(".");
        page.getByRole(AriaRole.RADIOGROUP, new Page.GetByRoleOptions().setName("Pages after"))
                .getByText("1")
                .click();
        page.mouse().move(700, 790);
        page.waitForTimeout(1_500);
        take(page, "draw-light");
        open(page, app, "Little red sail");
        page.keyboard().press("5");
        page.getByLabel("Oat page").click();
        page.getByLabel("Dark colors").click();
        page.mouse().move(700, 790);
        page.waitForTimeout(1_500);
        take(page, "draw-dark");
        page.getByLabel("White page").click();
        page.getByLabel("Light colors").click();
    }

    private static void open(Page page, App app, String reel) {
        page.navigate(app.address());
        page.getByText(reel).first().click();
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Draw").setExact(true))
                .click();
        assertThat(page.getByLabel("Ink of this page")).isVisible();
        awaitWeight(page);
        page.waitForTimeout(2_000);
    }

    private static void slim(Page page) {
        Sheet sheet = new Sheet(page);
        sheet.toSlim();
        awaitWeight(page);
        sheet.button("Explore").click();
        assertThat(page.getByText("Explored.")).isVisible();
        page.getByLabel("Budget", new Page.GetByLabelOptions().setExact(true)).fill("400 KB");
        page.getByLabel("Budget", new Page.GetByLabelOptions().setExact(true)).press("Enter");
        assertThat(page.getByText(Pattern.compile("instead of 128.*KB\\."))).isVisible();
        awaitWeight(page);
        page.waitForTimeout(2_500);
        page.getByText("Close").click();
        lightAndDark(page, "slim");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(Pattern.compile("Dithering.*")))
                .click();
        page.keyboard().press("3");
        page.waitForTimeout(1_500);
        take(page, "slim-difference-light");
        page.keyboard().press("2");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(Pattern.compile("Size.*")))
                .click();
        sheet.button("Crop").click();
        page.getByLabel("Ratio of the box").getByText("4:5").click();
        page.waitForTimeout(1_000);
        take(page, "slim-crop-light");
        sheet.button("Cancel").click();
    }

    private static void share(Page page) {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Share"))
                .click();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Deliver").setExact(true))
                .click();
        assertThat(page.getByLabel(Pattern.compile("Download .*"))).hasCount(1);
        page.getByText("Close").click();
        page.getByLabel("Gray page").click();
        page.waitForTimeout(2_600);
        take(page, "share-light");
        page.getByLabel("Dark colors").click();
        page.mouse().move(700, 790);
        page.waitForTimeout(800);
        take(page, "share-dark");
        page.getByLabel("Light colors").click();
    }

    private static void move(Page page, App app) {
        page.navigate(app.address());
        page.getByText("The evening crossing").first().click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Move"))
                .click();
        page.locator("[data-row='9'][data-column='0']").click();
        page.waitForTimeout(3_000);
        awaitWeight(page);
        take(page, "move-light");
        page.getByLabel("Dark colors").click();
        page.mouse().move(700, 790);
        page.waitForTimeout(600);
        take(page, "move-dark");
        page.getByLabel("Light colors").click();
    }

    /** The same bench with few frames, some, and many. */
    private static void sheets(Page page, App app) {
        page.navigate(app.address());
        page.locator("[data-test=files]")
                .first()
                .setInputFiles(SkerryPoint.sunrise().files().stream()
                        .map(file -> new FilePayload(file.name(), "image/jpeg", file.bytes()))
                        .toArray(FilePayload[]::new));
        Sheet sheet = new Sheet(page);
        assertThat(sheet.cards()).hasCount(24);
        sheet.select("None");
        sheet.button("Fill the canvas").click();
        sheet.more("Keep every n-th…");
        sheet.answer("Keep every", "4", "Thin out");

        page.keyboard().press("Control+z");
        assertThat(sheet.cards()).hasCount(24);
        sheet.card(5).click();
        sheet.card(22).click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.SHIFT)));
        sheet.button("There and back…").click();
        page.locator(".v-dialog button[type=submit]").click();
        sheet.assertSelection("16 of 40 frames · 1.6 s");
        sheet.more("Name this run…");
        sheet.answer("Name of the run", "Sinking again", "Name");

        sheet.select("All");
        sheet.button("Repeat…").click();
        sheet.answer("Times in all", "8", "Repeat");
        sheet.select("None");
        sheet.select("Odd frames");
        page.locator(".scroller").evaluate("sheet => sheet.scrollTop = 2_600");
        light(page, "sheet-300");
    }

    private static void light(Page page, String name) {
        page.waitForTimeout(6_000);
        awaitWeight(page);
        page.mouse().move(700, 790);
        take(page, name + "-light");
    }

    private static void lightAndDark(Page page, String name) {
        light(page, name);
        page.getByLabel("Dark colors").click();
        page.mouse().move(700, 790);
        page.waitForTimeout(600);
        take(page, name + "-dark");
        page.getByLabel("Light colors").click();
    }

    private static void dialogs(Page page) {
        Sheet sheet = new Sheet(page);
        page.locator(".scroller").evaluate("sheet => sheet.scrollTop = 0");
        sheet.choose(new FilePayload(
                "Gull plate.png", "image/png", SkerryPoint.gullPlate().bytes()));
        assertThat(page.getByText("Added: frame")).isVisible();
        sheet.more("Cut into frames…");
        assertThat(page.locator(".thumb")).hasCount(10);
        page.waitForTimeout(1_500);
        take(page, "plate-light");
        page.getByText("Cancel").click();
    }

    /** From a shelf that was emptied. */
    private static void clip(Page page, App app) {
        page.evaluate("""
                async () => {
                  for (const { id } of (await (await fetch('/api/reels?count=200')).json()).reels) await fetch('/api/reels/' + id, { method: 'DELETE' })
                }""");
        page.navigate(app.address());
        page.locator(".thing").last().click();
        Sheet sheet = new Sheet(page);
        assertThat(sheet.button("Bring in frames")).isEnabled();
        sheet.button("Find where it loops").click();
        assertThat(page.getByText("it loops smoothly")).isVisible();
        page.waitForTimeout(1_500);
        take(page, "clip-light");
        sheet.button("Cancel").click();
    }

    private static void gathering(Page page, App app) {
        page.navigate(app.address());
        page.locator("[data-test=files]").first().setInputFiles(new FilePayload[] {
            Stills.png(1),
            Stills.png(2),
            Stills.png(3),
            new FilePayload("ferry times.jpg", "image/jpeg", "18.00".getBytes(StandardCharsets.UTF_8)),
            new FilePayload("none.png", "image/png", new byte[0])
        });
        assertThat(page.getByText("Added: frames 1 to 3.")).isVisible();
        assertThat(page.getByRole(AriaRole.OPTION)).hasCount(3);
        page.keyboard().press("Control+a");
        page.keyboard().press("Delete");
        assertThat(page.getByText("No frames yet")).isVisible();
        page.waitForTimeout(800);
        take(page, "empty-light");
    }

    private static void awaitWeight(Page page) {
        assertThat(page.locator("button.weight b")).hasText(Pattern.compile("[0-9.]+ [KM]B"));
    }

    private static void take(Page page, String name) {
        page.screenshot(new Page.ScreenshotOptions().setPath(PICTURES.resolve(name + ".png")));
    }
}
