package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import dobbin.raster.Raster;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What is done with ink once it is drawn, and with its colors. */
class InkTest extends BrowserTest {
    private Easel easel;

    @BeforeEach
    void open() {
        easel = new Easel(page);
    }

    @Test
    void inkIsTakenMovedCopiedAndPastedOnAnotherPage() throws Exception {
        easel.newReel("64 × 64");
        page.keyboard().press("5");
        easel.drawn(10.5, 10.5, 14.5, 10.5);
        page.keyboard().press("t");
        easel.stroke(8, 8, 18, 14);
        page.keyboard().press("Control+c");
        easel.place().press("Shift+ArrowDown");
        sheet.awaitUndo("Move ink on frame 1");
        assertThat(easel.drawings().get(0).pixel(12, 20)).isEqualTo(Easel.INK);
        assertThat(easel.drawings().get(0).pixel(12, 10)).isZero();
        page.keyboard().press("n");
        easel.goesTo("Page 2 of 2, ink alone");
        page.keyboard().press("Control+v");
        sheet.awaitUndo("Paste ink on frame 2");
    }

    @Test
    void inkBecomesACutOutAndTheCutOutInkAgain() throws Exception {
        twoPages();
        List<Raster> drawings = easel.drawings();
        ofInk("Make it a cut-out");
        sheet.awaitUndo("Make the ink of frame 2 a cut-out");
        assertThat(easel.inkCanvas()).hasAttribute("data-ink", "");
        assertThat(easel.drawings()).isEqualTo(drawings);
        ofInk("Make a cut-out ink…");
        submit();
        sheet.awaitUndo("Make a cut-out ink on frame 2");
        assertThat(easel.drawings()).isEqualTo(drawings);
        page.keyboard().press("Control+z");
        sheet.awaitUndo("Make the ink of frame 2 a cut-out");
    }

    @Test
    void aColorIsReplacedOnAllPagesInOneStep() throws Exception {
        twoPages();
        sheet.button("More").click();
        sheet.button("Replace a color…").click();
        Locator dialog = page.locator(".v-dialog");
        Locator becomes = dialog.getByRole(
                AriaRole.TEXTBOX,
                new Locator.GetByRoleOptions().setName("Becomes").setExact(true));
        becomes.fill("b23e28");
        becomes.press("Tab");
        dialog.getByLabel("On all pages").check();
        submit();
        sheet.awaitUndo("Replace a color on 2 frames");
        for (Raster drawing : easel.drawings()) {
            assertThat(drawing.argb()).contains(0xFFB23E28).doesNotContain(Easel.INK);
        }
    }

    @Test
    void inksOfTwoPagesTakeTurnsOnTheNextOnes() throws Exception {
        twoPages();
        for (int number = 3; number <= 5; number++) {
            page.keyboard().press("n");
            easel.goesTo("Page " + number + " of " + number + ", ink alone");
        }
        page.keyboard().press("Home");
        easel.goesTo("Page 1 of 5, ink alone");
        ofInk("Give it to the next pages…");
        fill("How many pages get it", "3");
        fill("Pages whose ink takes turns, from this one on", "2");
        submit();
        sheet.awaitUndo("Copy ink to 3 frames");
        List<Raster> pages = easel.drawings();
        assertThat(pages.get(1)).isNotEqualTo(pages.get(0));
        assertThat(pages.subList(2, 5)).containsExactly(pages.get(0), pages.get(1), pages.get(0));
    }

    @Test
    void swatchesComeFromAFileAndFromTheScreen() {
        page.addInitScript("window.EyeDropper = class { open() { return Promise.resolve({ sRGBHex: '#1C7C54' }) } }");
        easel.newReel("64 × 64");
        page.reload();
        sheet.button("More").click();
        page.getByLabel("Palette file")
                .setInputFiles(new FilePayload(
                        "Harbor.txt", "text/plain", "#14202b\n#c8553d\n".getBytes(StandardCharsets.UTF_8)));
        assertThat(page.getByText("The colors come from “Harbor.txt”.")).isVisible();
        assertThat(swatches()).hasCount(2);
        sheet.button("Color off the screen").click();
        assertThat(swatches()).hasCount(3);
        assertThat(swatches().first()).hasAttribute("aria-label", "Color 1c7c54");
        assertThat(swatches().first()).hasAttribute("aria-pressed", "true");
        sheet.button("Drop this color").click();
        assertThat(swatches()).hasCount(2);
        page.getByLabel("Palette file")
                .setInputFiles(
                        new FilePayload("Empty.txt", "text/plain", "no colors".getBytes(StandardCharsets.UTF_8)));
        assertThat(page.getByText("Empty.txt", new Page.GetByTextOptions().setExact(false)))
                .isVisible();
        assertThat(swatches()).hasCount(2);
        visit.browser().complaints().clear();
    }

    private Locator swatches() {
        return page.getByLabel("Colors", new Page.GetByLabelOptions().setExact(true))
                .locator("button");
    }

    /** A reel of two pages with a line on each. */
    private void twoPages() {
        easel.newReel("64 × 64");
        page.keyboard().press("5");
        easel.drawn(10.5, 10.5, 14.5, 10.5);
        page.keyboard().press("n");
        easel.goesTo("Page 2 of 2, ink alone");
        easel.drawn(10.5, 20.5, 14.5, 24.5);
    }

    private void ofInk(String action) {
        sheet.button("Ink").click();
        sheet.choose(action);
    }

    private void fill(String label, String value) {
        page.getByLabel(label).fill(value);
        page.getByLabel(label).press("Tab");
    }

    private void submit() {
        page.locator(".v-dialog button[type=submit]").click();
        assertThat(page.locator(".v-dialog button[type=submit]")).hasCount(0);
    }
}
