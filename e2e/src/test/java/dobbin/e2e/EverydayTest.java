package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.MouseButton;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What happens around the one straight way: wrong buttons, second thoughts, other ways in. */
class EverydayTest extends BrowserTest {
    /** Makes a file in the page and lets it fall on (or be pasted into) the element, as a browser would. */
    private static final String HAND_OVER = """
            ([kind, selector, name, base64, clientX, clientY]) => {
              const bytes = Uint8Array.from(atob(base64), c => c.charCodeAt(0))
              const files = new DataTransfer()
              files.items.add(new File([bytes], name, { type: 'image/png' }))
              const target = selector ? document.querySelector(selector) : window
              const event = kind === 'paste'
                ? new ClipboardEvent('paste', { clipboardData: files, bubbles: true, cancelable: true })
                : new DragEvent(kind, { dataTransfer: files, bubbles: true, cancelable: true, clientX, clientY })
              target.dispatchEvent(event)
            }""";

    private void handOver(String kind, String selector, int number) {
        handOver(kind, selector, number, 0, 0);
    }

    private void handOver(String kind, String selector, int number, double x, double y) {
        if (selector != null) {
            page.locator(selector).first().waitFor();
        }
        String base64 = Base64.getEncoder().encodeToString(Stills.png(number).buffer);
        page.evaluate(HAND_OVER, new Object[] {kind, selector, "Tide " + number + ".png", base64, x, y});
    }

    @Test
    void stillsCanBeDroppedAndPasted() {
        handOver("dragenter", ".shelf", 4);
        assertThat(page.getByText("Drop them")).isVisible();
        handOver("drop", ".shelf", 4);
        sheet.awaitOrder(4);
        handOver("paste", null, 2);
        sheet.awaitOrder(4, 2);
        handOver("dragenter", ".sheet", 7);
        BoundingBox first = sheet.card(1).boundingBox();
        handOver("dragover", ".sheet", 7, first.x + first.width, first.y + 20);
        assertThat(page.getByText("Drop to add them after frame 1")).isVisible();
        assertThat(page.locator(".mark")).isVisible();
        handOver("drop", ".sheet", 7);
        sheet.awaitOrder(4, 7, 2);
        assertThat(page.getByText("Drop to add them")).isHidden();
    }

    @Test
    void readingCanBeStoppedAndLeavesNothing() {
        String before = page.request().get(visit.address() + "/api/reels").text();
        page.route("**/api/pictures*", route -> {});
        sheet.choose(Stills.png(1), Stills.png(2), Stills.png(3), Stills.png(4));
        Locator panel = page.getByLabel("Reading files");
        assertThat(panel).containsText("Reading 1 of 4");
        panel.getByText("Stop").click();
        assertThat(page.getByText("Stopped. Nothing was added.")).isVisible();
        assertThat(panel).isHidden();
        assertThat(page.request().get(visit.address() + "/api/reels").text()).isEqualTo(before);
    }

    @Test
    void whatIsReadIsKeptWhenReadingIsStopped() {
        page.route("**/api/pictures*name=Tide%203*", route -> {});
        sheet.choose(Stills.png(1), Stills.png(2), Stills.png(3), Stills.png(4));
        sheet.awaitOrder(1, 2);
        page.getByLabel("Reading files").getByText("Stop").click();
        assertThat(page.getByText("Stopped. Added: frames 1 to 2.")).isVisible();
        sheet.button("Undo").click();
        assertThat(sheet.cards()).hasCount(0);
    }

    @Test
    void aFileThatFailedIsNamedAndCanBeTriedAgain() {
        page.route(
                "**/api/pictures*name=Tide%202*",
                route ->
                        route.fulfill(new Route.FulfillOptions().setStatus(503).setBody("{\"detail\":\"Too busy.\"}")));
        sheet.choose(Stills.png(1), Stills.png(2), Stills.png(3));
        sheet.awaitOrder(1, 3);
        Locator panel = page.getByLabel("Reading files");
        assertThat(panel).containsText("“Tide 2.png” was not read. Too busy.");
        page.unroute("**/api/pictures*name=Tide%202*");
        panel.getByText("Try it again").click();
        sheet.awaitOrder(1, 3, 2);
        visit.browser().complaints().removeIf(complaint -> complaint.contains("status of 503"));
    }

    @Test
    void aSecondDropWaitsForTheFirst() {
        List<Route> held = new ArrayList<>();
        page.route("**/api/pictures*name=Tide%204*", held::add);
        handOver("drop", ".shelf", 4);
        page.waitForCondition(() -> held.size() == 1);
        handOver("drop", ".shelf", 7);
        assertThat(page.getByLabel("Reading files")).containsText("Another drop waits for this to end.");
        held.get(0).resume();
        sheet.awaitOrder(7);
        String address = page.url();
        page.goBack();
        sheet.awaitOrder(4);
        org.assertj.core.api.Assertions.assertThat(page.url()).isNotEqualTo(address);
    }

    /** Two tabs chose a frame; one removed it; the press in the other must not change all frames. */
    @Test
    void aChoiceThatIsGoneDoesNothingAndSaysSo() {
        sheet.openFive();
        sheet.card(4).click();
        Page other = page.context().newPage();
        other.navigate(page.url());
        Sheet elsewhere = new Sheet(other);
        elsewhere.awaitOrder(1, 2, 3, 9, 10);
        elsewhere.card(4).click();
        other.keyboard().press("Delete");
        elsewhere.awaitOrder(1, 2, 3, 10);
        other.close();
        sheet.awaitOrder(1, 2, 3, 10);
        page.getByLabel("Delay in ms").fill("200");
        page.getByLabel("Delay in ms").press("Enter");
        assertThat(page.getByText("The frames you had chosen are gone, so nothing was changed."))
                .isVisible();
        sheet.awaitDelays("100 ms", "100 ms", "100 ms", "100 ms");
    }

    @Test
    void removedReelsLieInADrawerUntilItIsEmptied() {
        sheet.openFive();
        page.getByTitle(Pattern.compile("rename")).click();
        page.getByLabel("Name of the reel").fill("Neap tide");
        page.getByLabel("Name of the reel").press("Enter");
        assertThat(page).hasTitle("Neap tide · Dobbin");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Shelf"))
                .click();
        page.getByLabel("Take “Neap tide” off the shelf").click();
        page.reload();
        Locator drawer = page.getByLabel("Removed", new Page.GetByLabelOptions().setExact(true));
        drawer.getByText("Removed").click();
        assertThat(drawer.getByText("Neap tide")).isVisible();
        page.getByLabel("Put “Neap tide” back").click();
        assertThat(page.getByLabel("Take “Neap tide” off the shelf")).isVisible();
        page.getByLabel("Take “Neap tide” off the shelf").click();
        drawer.getByText("Removed").click();
        drawer.getByText("Empty it").click();
        drawer.getByText("Remove all for good").click();
        assertThat(drawer).hasCount(0);
    }

    @Test
    void aReelTakenOffTheShelfCanBePutBack() {
        letThingsMove();
        sheet.openFive();
        page.getByTitle(Pattern.compile("rename")).click();
        page.getByLabel("Name of the reel").fill("Spring tide");
        page.getByLabel("Name of the reel").press("Enter");
        assertThat(page).hasTitle("Spring tide · Dobbin");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Shelf"))
                .click();
        Locator card = page.getByRole(AriaRole.ARTICLE).filter(new Locator.FilterOptions().setHasText("Spring tide"));
        assertThat(card).containsText("5 frames · 500 ms · 60 × 40");
        page.getByLabel("Take “Spring tide” off the shelf").click();
        assertThat(card).hasCount(0);
        sheet.button("Put it back").click();
        assertThat(card).hasCount(1);
        card.hover();
        assertThat(card.locator("img")).hasAttribute("src", Pattern.compile("/previews/.*\\.gif"));
    }

    @Test
    void aDragIsGivenUpByEscapeAndDoesNothingInItsOwnPlace() {
        sheet.openFive();
        sheet.drag(sheet.card(5), sheet.card(1));
        page.keyboard().press("Escape");
        page.mouse().up();
        assertThat(page.locator(".mark")).hasCount(0);
        sheet.awaitOrder(1, 2, 3, 9, 10);
        assertThat(sheet.button("Undo")).hasAttribute("title", Pattern.compile(".*Add 5 stills.*"));
    }

    @Test
    void arrowKeysWalkOverTheCardsAndStretchTheRun() {
        sheet.openFive();
        sheet.card(2).click();
        page.keyboard().press("ArrowRight");
        assertThat(sheet.card(3)).isFocused();
        assertThat(sheet.card(3)).hasAttribute("aria-selected", "true");
        assertThat(sheet.card(2)).hasAttribute("aria-selected", "false");
        page.keyboard().press("Shift+ArrowRight");
        page.keyboard().press("Shift+ArrowRight");
        sheet.assertSelection("3 of 5 frames · 300 ms");
        page.keyboard().press("Alt+Home");
        sheet.awaitOrder(3, 9, 10, 1, 2);
        page.keyboard().press("Alt+ArrowRight");
        sheet.awaitOrder(1, 3, 9, 10, 2);
        page.keyboard().press("Escape");
        sheet.assertSelection("5 frames · 500 ms");
    }

    @Test
    void theContextMenuActsOnWhatIsUnderIt() {
        sheet.openFive();
        sheet.card(2).click(new Locator.ClickOptions().setButton(MouseButton.RIGHT));
        sheet.choose("To the end");
        sheet.awaitOrder(1, 3, 9, 10, 2);
    }

    @Test
    void theLoopRunsAtItsPaceAndStepsByHand() {
        sheet.openFive();
        Locator player = page.getByLabel("Player", new Page.GetByLabelOptions().setExact(true));
        assertThat(player.getByText("plays forever")).isVisible();
        sheet.button("Play").click();
        sheet.button("Pause").click();
        sheet.button("To the start").click();
        assertThat(player.getByText("frame 1 of 5 · 0 ms")).isVisible();
        sheet.button("One frame back").click();
        assertThat(player.getByText("frame 5 of 5 · 400 ms")).isVisible();
        int color = Stills.color(10);
        String drawn = (color >> 16 & 255) + " " + (color >> 8 & 255) + " " + (color & 255) + " 255";
        page.waitForFunction(
                "drawn => [...document.querySelector('.stage canvas').getContext('2d')"
                        + ".getImageData(30, 20, 1, 1).data].join(' ') === drawn",
                drawn);
    }

    @Test
    void settingsOutOfRangeAreRefusedAndTheBudgetIsKept() {
        sheet.openFive();
        sheet.awaitedBytes();
        page.locator("button.weight").click();
        page.getByLabel("Budget in KB").fill("0");
        page.getByLabel("Budget in KB").press("Enter");
        assertThat(page.getByText("A whole number from 1 to 1,000,000")).isVisible();
        sheet.button("256 KB").click();
        assertThat(page.locator("button.weight")).containsText("of 256 KB");
        Locator width = sheet.slimWidth();
        width.fill("1601");
        width.press("Enter");
        assertThat(page.getByText("A whole number from 1 to 1,600")).isVisible();
        width.fill("30");
        width.press("Enter");
        sheet.toShare();
        assertThat(page.getByText("30 × 20 px")).isVisible();
        page.reload();
        assertThat(page.getByText("30 × 20 px")).isVisible();
        assertThat(page.locator("button.weight")).containsText("of 256 KB");
    }

    @Test
    void colorsStayAsChosenAndKeysAreListed() {
        page.getByLabel("Dark colors").click();
        page.reload();
        assertThat(page.locator(".v-application.v-theme--dark")).isVisible();
        page.getByLabel("Light colors").click();
        page.keyboard().press("?");
        assertThat(page.getByText("Cut, copy, paste after the selection")).isVisible();
        page.keyboard().press("Escape");
        assertThat(page.getByText("Cut, copy, paste after the selection")).isHidden();
    }

    @Test
    void anAddressThatLeadsNowhereSaysSo() {
        page.navigate(visit.address() + "/reels/nowhere");
        assertThat(page.getByText("This reel does not open")).isVisible();
        assertThat(page.getByText("There is no reel nowhere here")).isVisible();
        page.getByText("To the shelf").click();
        assertThat(page.getByText("Drop stills here to begin a loop")).isVisible();
    }
}
