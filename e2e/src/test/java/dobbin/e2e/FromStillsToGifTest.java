package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.KeyboardModifier;
import dobbin.raster.Size;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** One job from a folder of stills to the file that is sent, as a person does it. */
class FromStillsToGifTest extends BrowserTest {
    @Test
    void stillsComeInCountingOrderAndLeaveAsTheyWereArranged() throws Exception {
        letThingsMove();
        sheet.openFive();
        sheet.awaitOrder(1, 2, 3, 9, 10);

        sheet.drag(sheet.card(5), sheet.card(1));
        page.mouse().up();
        sheet.awaitOrder(10, 1, 2, 3, 9);

        sheet.card(2).click();
        sheet.card(3).click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.SHIFT)));
        page.keyboard().press("Alt+ArrowRight");
        sheet.awaitOrder(10, 3, 1, 2, 9);
        Locator delay = page.getByLabel("Delay in ms");
        delay.fill("470");
        delay.press("Enter");
        assertThat(sheet.card(4)).containsText("Frame 4, 470 ms");

        page.reload();
        sheet.awaitOrder(10, 3, 1, 2, 9);
        sheet.button("Reverse").click();
        sheet.awaitOrder(9, 2, 1, 3, 10);
        page.keyboard().press("Control+z");
        sheet.awaitOrder(10, 3, 1, 2, 9);

        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Share"))
                .click();
        Locator plays = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("once"));
        plays.click();
        page.getByLabel("File name").fill("High tide");
        sheet.button("Deliver").click();
        Locator link = page.getByLabel("Download High tide.gif");
        assertThat(link).isVisible();
        assertThat(page.locator(".stage img")).hasAttribute("alt", "High tide.gif");
        page.waitForFunction("() => document.querySelector('.stage img').naturalWidth === 60");

        Download download = page.waitForDownload(link::click);
        assertThat(download.suggestedFilename()).isEqualTo("High tide.gif");
        Stills.Loop loop = Stills.Loop.of(Files.readAllBytes(download.path()));
        assertThat(loop.colors())
                .containsExactly(Stills.color(10), Stills.color(3), Stills.color(1), Stills.color(2), Stills.color(9));
        assertThat(loop.delaysMillis()).containsExactly(100, 100, 470, 470, 100);
        assertThat(loop.plays()).isEqualTo(1);
        assertThat(visit.browser().complaints()).isEmpty();
    }

    @Test
    void badFilesGetALineEachAndTheRestIsKept() {
        byte[] half = Arrays.copyOf(Stills.png(4).buffer, 60);
        sheet.choose(
                Stills.png(1),
                new FilePayload("“ferry” 🌊.jpg", "image/jpeg", "18.00".getBytes(StandardCharsets.UTF_8)),
                new FilePayload("none.png", "image/png", new byte[0]),
                new FilePayload("half.png", "image/png", half),
                Stills.png("Tide 2.png", new Size(90, 90), Stills.color(2)),
                Stills.png(3));
        assertThat(sheet.cards()).hasCount(3);
        Locator panel = page.getByLabel("Reading files");
        assertThat(panel).containsText("“ferry” 🌊.jpg");
        assertThat(panel).containsText("“none.png” is empty.");
        assertThat(panel).containsText("“half.png” is damaged and cannot be read.");
        assertThat(panel).containsText("Added: frames 1 to 3.");
        assertThat(sheet.card(2)).containsText("90 × 90");
        panel.getByText("Close").click();
        assertThat(panel).isHidden();
        assertThat(visit.browser().complaints()).isEmpty();
    }

    @Test
    void badNumbersAreRefusedUnderTheFieldAndChangeNothing() {
        sheet.openFive();
        Locator delay = page.getByLabel("Delay in ms");
        delay.fill("0");
        delay.press("Enter");
        assertThat(page.getByText("10 ms is the shortest delay that a GIF can hold and that differs from none."))
                .isVisible();
        for (String bad : List.of("600001", "fast", "12.5")) {
            delay.fill(bad);
            delay.press("Enter");
            assertThat(page.getByText("A whole number from 10 to 600,000")).isVisible();
        }
        delay.fill("");
        delay.press("Enter");
        assertThat(delay).hasValue("100");
        assertThat(sheet.card(1)).containsText("100 ms");
    }

    @Test
    void framesAreCopiedRemovedAndBroughtBackByKeys() {
        sheet.openFive();
        sheet.card(1).click();
        page.keyboard().press("Shift+ArrowRight");
        page.keyboard().press("Control+c");
        sheet.card(5).click();
        page.keyboard().press("Control+v");
        sheet.awaitOrder(1, 2, 3, 9, 10, 1, 2);
        page.keyboard().press("Delete");
        sheet.awaitOrder(1, 2, 3, 9, 10);
        page.keyboard().press("Control+a");
        page.keyboard().press("Delete");
        assertThat(page.getByText("No frames yet")).isVisible();
        page.keyboard().press("Control+z");
        sheet.awaitOrder(1, 2, 3, 9, 10);
        page.keyboard().press("Control+Shift+z");
        assertThat(page.getByText("No frames yet")).isVisible();
    }

    @Test
    void theWeightFollowsTheSettings() {
        sheet.openFive();
        int before = sheet.awaitedBytes();
        sheet.card(1).click();
        page.keyboard().press("Delete");
        page.waitForCondition(() -> !sheet.weight().textContent().contains(before + " bytes"));
        assertThat(sheet.awaitedBytes()).isLessThan(before);
    }

    @Test
    void theRhythmBarIsThePlayheadAndChangesDelays() {
        sheet.openFive();
        Locator bar = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Playhead"));
        bar.focus();
        // A step pauses; only then does the start stay the start.
        page.keyboard().press("ArrowRight");
        page.keyboard().press("Home");
        page.keyboard().press("ArrowRight");
        page.keyboard().press("ArrowRight");
        assertThat(bar).hasAttribute("aria-valuetext", Pattern.compile("Frame 3 of 5.*"));

        BoundingBox box = page.locator(".rhythm .track").boundingBox();
        double edge = box.x + box.width / 5 - 1;
        double middle = box.y + box.height / 2;
        page.mouse().move(edge, middle);
        page.mouse().down();
        page.mouse().move(edge + box.width / 5, middle, new Mouse.MoveOptions().setSteps(4));
        page.mouse().up();
        assertThat(sheet.card(1)).containsText("Frame 1, 200 ms");
    }

    @Test
    void aSecondTabSeesWhatTheFirstOneDoes() {
        sheet.openFive();
        Page second = visit.browser().open(page.url());
        assertThat(second.getByRole(AriaRole.OPTION)).hasCount(5);
        page.bringToFront();
        second.evaluate("() => undefined");
        sheet.card(3).click();
        page.keyboard().press("Delete");
        assertThat(second.getByRole(AriaRole.OPTION)).hasCount(4);
        second.close();
    }
}
