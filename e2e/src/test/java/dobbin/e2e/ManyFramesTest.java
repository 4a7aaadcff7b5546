package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A sheet of 500 frames: only what is in view is there, and everything acts on all the same. */
class ManyFramesTest {
    @RegisterExtension
    private static final Visit visit = new Visit();

    @Test
    void fiveHundredFramesAreHandledAsFiveAre() {
        Page page = visit.page();
        Sheet sheet = new Sheet(page);
        sheet.openFive();
        sheet.select("All");
        sheet.button("Repeat…").click();
        sheet.answer("Times in all", "100", "Repeat");
        sheet.awaitUndo("Repeat 5 frames 100 times");
        sheet.select("None");
        sheet.assertSelection("500 frames · 50 s");
        assertThat(sheet.cards().count()).isBetween(20, 80);
        assertThat(page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName(Pattern.compile("Delay of"))))
                .hasCount(500);

        sheet.card(1).click();
        page.keyboard().press("End");
        assertThat(page.locator("[aria-posinset='500']")).isFocused();
        page.keyboard().press("Alt+Home");
        sheet.awaitUndo("Move frame 500 to place 1");
        sheet.select("All");
        sheet.button("Reverse").click();
        sheet.awaitUndo("Reverse 500 frames");
        page.keyboard().press("Control+z");
        page.keyboard().press("Control+z");
        sheet.awaitUndo("Repeat 5 frames 100 times");
        page.locator(".scroller").evaluate("sheet => sheet.scrollTop = sheet.scrollHeight / 2");
        assertThat(page.locator("[aria-posinset='250']")).isVisible();
        assertThat(page.locator("[aria-posinset='1']")).hasCount(0);
        assertThat(visit.browser().complaints()).isEmpty();
    }
}
