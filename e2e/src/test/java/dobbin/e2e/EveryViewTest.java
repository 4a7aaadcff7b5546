package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.MouseButton;
import dobbin.raster.Size;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What must hold on every view: nothing that axe finds wrong, nothing cut off, nothing essential out of sight. */
class EveryViewTest {
    private static final String VIOLATIONS = """
            async () => (await axe.run(document, { resultTypes: ['violations'] })).violations
              .map(v => v.id + ': ' + v.nodes.map(n => n.target.join(' ') + ' ' + (n.any[0]?.message ?? '')).join('; '))""";

    @RegisterExtension
    private static final Visit visit = new Visit();

    private static String reel;

    @BeforeAll
    static void oneReelForAll() {
        Page page = visit.browser().open(visit.address());
        new Sheet(page).openFive();
        reel = page.url().replace("/sheet", "");
        page.close();
    }

    private static Page open(String view, String colors) {
        Page page = visit.browser().open(view.equals("shelf") ? visit.address() : reel + "/" + view);
        page.evaluate("colors => localStorage.setItem('dobbin.theme', colors)", colors);
        page.reload();
        switch (view) {
            case "shelf" -> assertThat(page.getByRole(AriaRole.ARTICLE)).hasCount(1);
            case "sheet" -> new Sheet(page).card(2).click();
            case "move" -> openMove(page);
            default -> assertThat(page.locator(".stage img")).isVisible();
        }
        return page;
    }

    /** With a cut-out that has two poses and is chosen. */
    private static void openMove(Page page) {
        Sheet sheet = new Sheet(page);
        assertThat(page.locator("button.head").or(page.getByText("No cut-outs yet")))
                .isVisible();
        if (page.locator("button.head").count() == 0) {
            sheet.button("Pause").click();
            page.keyboard().press("Home");
            sheet.button("Add a cut-out").click();
            sheet.choose("A shape…");
            page.locator(".v-dialog button[type=submit]").click();
            assertThat(page.locator("button.head")).hasCount(1);
            page.locator("[data-row='3'][data-column='0']").click();
            page.keyboard().press("Enter");
            sheet.awaitUndo("Set a pose of Ellipse");
        }
        page.locator("button.head").click();
        assertThat(page.locator(".fields")).isVisible();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Motion…",
                "Tween…",
                "Backdrop…",
                "Align",
                "Add a cut-out",
                "More for this cut-out",
                "Words…",
                "Properties…"
            })
    void axeFindsNothingWrongInWhatOpensOnMove(String what) throws IOException {
        Page page = open("move", what.length() % 2 == 0 ? "light" : "dark");
        Sheet sheet = new Sheet(page);
        switch (what) {
            case "Words…" -> {
                sheet.button("Add a cut-out").click();
                sheet.choose(what);
            }
            case "Properties…" -> {
                sheet.button("More for this cut-out").click();
                sheet.choose(what);
            }
            default -> sheet.button(what).click();
        }
        page.waitForTimeout(600);
        page.evaluate(Files.readString(Path.of("node_modules/axe-core/axe.min.js")));
        assertThat((List<?>) page.evaluate(VIOLATIONS)).isEmpty();
        page.close();
    }

    @ParameterizedTest
    @CsvSource({
        "shelf, light",
        "shelf, dark",
        "sheet, light",
        "sheet, dark",
        "move, light",
        "move, dark",
        "share, light",
        "share, dark"
    })
    void axeFindsNothingWrong(String view, String colors) throws IOException {
        Page page = open(view, colors);
        page.evaluate(Files.readString(Path.of("node_modules/axe-core/axe.min.js")));
        assertThat((List<?>) page.evaluate(VIOLATIONS)).isEmpty();
        page.close();
    }

    /** A reel about which there is something to say, and what can be opened over it. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "as it is",
                "Selection",
                "Repeat…",
                "There and back…",
                "History",
                "Canvas and fit…",
                "Title card…",
                "How it is looked at",
                "Full view",
                "Other changes",
                "Speed 1, for looking only"
            })
    void axeFindsNothingWrongInWhatOpens(String what) throws IOException {
        Page page = open("sheet", what.length() % 2 == 0 ? "light" : "dark");
        Sheet sheet = new Sheet(page);
        if (!page.getByText("Flood").first().isVisible()) {
            sheet.chooseFrames(2, 3);
            page.keyboard().press("n");
            sheet.answer("Name of the run", "Flood", "Name");
            sheet.chooseFrames(4);
            sheet.button("Leave out").click();
            sheet.card(1).click();
            sheet.button("Copy").click();
            assertThat(page.getByLabel("Notices")).isVisible();
        }
        switch (what) {
            case "as it is" -> sheet.chooseFrames(4, 5);
            case "Selection" -> sheet.card(2).click(new Locator.ClickOptions().setButton(MouseButton.RIGHT));
            case "Canvas and fit…" -> sheet.more(what);
            case "Title card…" -> sheet.add(what);
            default -> {
                sheet.select("None");
                sheet.button(what).click();
            }
        }
        page.waitForTimeout(600);
        page.evaluate(Files.readString(Path.of("node_modules/axe-core/axe.min.js")));
        assertThat((List<?>) page.evaluate(VIOLATIONS)).isEmpty();
        page.close();
    }

    /** Wide, a small laptop, and a phone. */
    private static final List<Size> WINDOWS = List.of(new Size(1280, 800), new Size(1024, 700), new Size(390, 844));

    /**
     * What is out of the window sideways, under another thing, or too small to be hit. What lies in something that scrolls
     * can be brought into view.
     */
    private static final String OUT_OF_REACH = """
            () => {
              const found = []
              const scrolls = (e, way) => {
                for (let at = e.parentElement; at; at = at.parentElement) {
                  const more = way === 'X' ? at.scrollWidth > at.clientWidth + 1 : at.scrollHeight > at.clientHeight + 1
                  if (more && /auto|scroll/.test(getComputedStyle(at)['overflow' + way])) return true
                }
                return false
              }
              for (const e of document.querySelectorAll('button, a[href], input, textarea, [role=option], [role=switch]')) {
                const box = e.getBoundingClientRect()
                if (!e.checkVisibility({ opacityProperty: true, visibilityProperty: true }) || box.width <= 1) continue
                const name = (e.ariaLabel || e.textContent || e.tagName).trim()
                if ((box.left < -1 || box.right > innerWidth + 1) && !scrolls(e, 'X')) found.push(name + ' is outside')
                if ((box.top < -1 || box.bottom > innerHeight + 1) && !scrolls(e, 'Y')) found.push(name + ' is below')
                if (box.width < 24 || box.height < 24) found.push(`${name} is ${box.width} x ${box.height}`)
                const hit = document.elementFromPoint(box.left + box.width / 2, box.top + box.height / 2)
                const field = e.closest('.v-input') ?? e
                if (hit && !scrolls(e, 'Y') && !scrolls(e, 'X') && !field.contains(hit) && !hit.contains(e)) {
                  found.push(name + ' is covered')
                }
              }
              return found
            }""";

    @ParameterizedTest
    @ValueSource(strings = {"shelf", "sheet", "move", "share"})
    void everyControlIsInReachAtEverySize(String view) {
        Page page = open(view, "light");
        for (Size window : WINDOWS) {
            page.setViewportSize(window.width(), window.height());
            awaitNone(page, window);
            assertThat((Boolean) page.evaluate("document.documentElement.scrollWidth <= innerWidth"))
                    .as("no scrolling sideways at %s", window)
                    .isTrue();
        }
        page.close();
    }

    /** The page takes a moment to be laid out anew. */
    private static void awaitNone(Page page, Size window) {
        List<?> found = (List<?>) page.evaluate(OUT_OF_REACH);
        for (int i = 0; i < 20 && !found.isEmpty(); i++) {
            page.waitForTimeout(100);
            found = (List<?>) page.evaluate(OUT_OF_REACH);
        }
        assertThat(found).as("at %s", window).isEmpty();
    }
}
