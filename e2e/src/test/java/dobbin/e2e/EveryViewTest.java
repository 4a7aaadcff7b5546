package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.MouseButton;
import dobbin.raster.Size;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What must hold on every view: nothing that axe finds wrong, nothing cut off, nothing essential out of sight. */
class EveryViewTest {
    private static final String OVER_THE_PAGE = ".v-overlay--active:not(.v-tooltip, .v-snackbar)";

    /** Of what lies over the page where something does: the page under it has a case of its own. */
    private static final String VIOLATIONS = """
            async over => (await axe.run(document.querySelector(over)
                ? { include: [...document.querySelectorAll(over)] } : document, { resultTypes: ['violations'] })).violations
              .map(v => v.id + ': ' + v.nodes.map(n => n.target.join(' ') + ' ' + (n.any[0]?.message ?? '')).join('; '))""";

    @RegisterExtension
    private static final Visit visit = new Visit();

    private static String reel;

    /** It stays open for all that is looked at on its view. */
    private static Page page;

    private static String shown = "";

    @BeforeAll
    static void oneReelForAll() {
        page = visit.browser().open(visit.address());
        new Sheet(page).openFive();
        reel = page.url().replace("/sheet", "");
    }

    @AfterAll
    static void close() {
        page.close();
        page = null;
    }

    /** Closes what a test opened over the page. A page that was changed itself, or stays covered, is not the next test's. */
    @AfterEach
    void putAway() {
        boolean wasCovered = page.locator(OVER_THE_PAGE).count() > 0;
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
        for (int i = 0; i < 3 && page.locator(OVER_THE_PAGE).count() > 0; i++) {
            page.keyboard().press("Escape");
            page.waitForTimeout(50);
        }
        if (!wasCovered || page.locator(OVER_THE_PAGE).count() > 0) {
            shown = "";
        }
    }

    private static void view(String view) {
        if (!view.equals(shown)) {
            page.close();
            page = open(view);
            shown = view;
        }
    }

    private static Page open(String view) {
        String path = switch (view) {
            case "shelf" -> visit.address();
            case "guide" -> visit.address() + "/guide/sheet";
            default -> reel + "/" + view;
        };
        Page opened = visit.browser().open(path);
        switch (view) {
            case "shelf" -> assertThat(opened.getByRole(AriaRole.ARTICLE)).hasCount(1);
            case "sheet" -> new Sheet(opened).card(2).click();
            case "draw" -> assertThat(opened.getByLabel("Ink of this page")).isVisible();
            case "move" -> openMove(opened);
            case "guide" -> assertThat(opened.locator("article img").first()).isVisible();
            case "slim" -> assertThat(opened.locator(".dot").first()).isVisible();
            default -> assertThat(opened.locator(".stage canvas")).isVisible();
        }
        return opened;
    }

    /** With a cut-out that has two poses and is chosen. */
    private static void openMove(Page page) {
        Sheet sheet = new Sheet(page);
        assertThat(page.locator("button.head").or(page.getByText("No cut-outs yet")))
                .isVisible();
        if (page.locator("button.head").count() == 0) {
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
    @ValueSource(strings = {"shelf", "sheet", "draw", "move", "slim", "share", "guide"})
    void nothingIsWrongWithAnyView(String view) throws IOException {
        view(view);
        assertNothingWrong(true);
    }

    @ParameterizedTest
    @ValueSource(strings = {"New reel…", "Keys", "a clip"})
    void nothingIsWrongWithWhatOpensOnTheShelf(String what) throws IOException {
        view("shelf");
        Sheet sheet = new Sheet(page);
        if (what.equals("a clip")) {
            sheet.choose(RecordedClip.even(page, 12).named("Crossing.webm"));
            assertThat(sheet.button("Bring in frames")).isEnabled();
        } else {
            sheet.button(what).click();
        }
        assertNothingWrong(false);
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
                "Properties…",
                "Change the shape…",
                "Hide on some frames…"
            })
    void nothingIsWrongWithWhatOpensOnMove(String what) throws IOException {
        view("move");
        Sheet sheet = new Sheet(page);
        switch (what) {
            case "Words…" -> {
                sheet.button("Add a cut-out").click();
                sheet.choose(what);
            }
            case "Properties…", "Change the shape…", "Hide on some frames…" -> {
                sheet.button("More for this cut-out").click();
                sheet.choose(what);
            }
            default -> sheet.button(what).click();
        }
        assertNothingWrong(false);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Size",
                "Dithering",
                "Change",
                "Edges",
                "crop",
                "color",
                "Palettes",
                "may cost colors",
                "Difference"
            })
    void nothingIsWrongWithWhatOpensOnSlim(String what) throws IOException {
        view("slim");
        Sheet sheet = new Sheet(page);
        switch (what) {
            case "crop" -> {
                sheet.slimWidth();
                sheet.button("Crop").click();
            }
            case "color" -> page.locator(".swatch").first().click();
            case "Difference" -> page.keyboard().press("3");
            case "Palettes", "may cost colors" -> sheet.button(what).click();
            default ->
                page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(Pattern.compile(what + ".*")))
                        .click();
        }
        assertNothingWrong(false);
    }

    @ParameterizedTest
    @ValueSource(strings = {"HTML…", "a sheet", "An article", "A message thread", "A grid of pictures"})
    void nothingIsWrongWithWhatOpensOnShare(String what) throws IOException {
        view("share");
        if (what.equals("HTML…")) {
            new Sheet(page).button(what).click();
        } else {
            boolean isForm = what.equals("a sheet");
            page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(isForm ? "Form" : "Looked at on"))
                    .press("ArrowDown");
            page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(isForm ? "Sheet of all frames" : what))
                    .click();
        }
        assertNothingWrong(false);
    }

    @ParameterizedTest
    @ValueSource(strings = {"Ink", "More", "Fill", "Box", "Words", "Replace a color…", "Give it to the next pages…"})
    void nothingIsWrongWithWhatOpensOnDraw(String what) throws IOException {
        view("draw");
        Sheet sheet = new Sheet(page);
        switch (what) {
            case "Ink", "More" -> sheet.button(what).click();
            case "Words" -> {
                page.keyboard().press("w");
                page.locator(".sheet").click();
            }
            case "Replace a color…" -> {
                sheet.button("More").click();
                sheet.button(what).click();
            }
            case "Give it to the next pages…" -> {
                // With the pen in hand, whatever was taken up before.
                page.reload();
                assertThat(page.getByLabel("Ink of this page")).isVisible();
                page.locator(".sheet").click();
                sheet.awaitUndo("Draw on frame 1");
                sheet.button("Ink").click();
                sheet.choose(what);
            }
            default -> page.keyboard().press(what.substring(0, 1).toLowerCase(Locale.ROOT));
        }
        assertNothingWrong(false);
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
                "Line up…",
                "Cut into frames…",
                "Title cards…",
                "How it is looked at",
                "Full view",
                "Other changes",
                "Speed 1, for looking only",
                "plays forever"
            })
    void nothingIsWrongWithWhatOpensOnSheet(String what) throws IOException {
        view("sheet");
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
            case "Canvas and fit…", "Line up…" -> sheet.more(what);
            case "Cut into frames…" -> {
                sheet.chooseFrames(1);
                sheet.more(what);
            }
            case "Title cards…" -> sheet.add(what);
            default -> {
                sheet.select("None");
                sheet.button(what).click();
            }
        }
        assertNothingWrong(false);
    }

    /**
     * All is in reach at every size. Axe looks at the first in dark colors, at a view by itself in light ones, too, and in the run of
     * all tests at every size.
     *
     * @param alone whether nothing lies over the page, so that all of it must be in reach
     */
    private static void assertNothingWrong(boolean alone) throws IOException {
        page.evaluate(Files.readString(Path.of("node_modules/axe-core/axe.min.js")));
        for (Size window : WINDOWS) {
            page.setViewportSize(window.width(), window.height());
            awaitNone(page, alone ? REACH_ALL : REACH_OVER_THE_PAGE, window);
            if (alone && window.equals(WINDOWS.get(0)) || Boolean.getBoolean("dobbin.all")) {
                awaitNone(page, VIOLATIONS, window);
            }
        }
        page.setViewportSize(WINDOWS.get(0).width(), WINDOWS.get(0).height());
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
        assertThat(page.locator(".v-application")).hasClass(Pattern.compile(".*v-theme--dark.*"));
        awaitNone(page, VIOLATIONS, WINDOWS.get(0));
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
              for (const e of SCOPE.querySelectorAll('button, a[href], input, textarea, [role=option], [role=switch], [role=menuitem]')) {
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

    private static final String REACH_ALL = OUT_OF_REACH.replace("SCOPE", "document");
    private static final String REACH_OVER_THE_PAGE = OUT_OF_REACH.replace(
            "SCOPE",
            "{ querySelectorAll: what => [...document.querySelectorAll(what)].filter(e => !e.closest('#app')) }");

    /** The page takes a moment to be laid out anew, and what opens, to be seen. */
    private static void awaitNone(Page page, String script, Size window) {
        List<?> found = (List<?>) page.evaluate(script, OVER_THE_PAGE);
        for (int i = 0; i < 20 && !found.isEmpty(); i++) {
            page.waitForTimeout(100);
            found = (List<?>) page.evaluate(script, OVER_THE_PAGE);
        }
        assertThat(found).as("at %s", window).isEmpty();
        assertThat((Boolean) page.evaluate("document.documentElement.scrollWidth <= innerWidth"))
                .as("no scrolling sideways at %s", window)
                .isTrue();
    }
}
