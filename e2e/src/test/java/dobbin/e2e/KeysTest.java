package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The keyboard alone, on the sheet: the focus stays where one works, and undo is about the reel. */
class KeysTest extends BrowserTest {
    @BeforeEach
    void open() {
        sheet.openFive();
    }

    @AfterEach
    void nothingComplained() {
        assertThat(visit.browser().complaints()).isEmpty();
    }

    @Test
    void allFramesAreChosenFromTheFirstMomentAndNoWords() {
        page.reload();
        assertThat(sheet.cards()).hasCount(5);
        page.keyboard().press("Control+a");
        sheet.assertSelection("5 of 5 frames · 500 ms");
        assertThat(page.evaluate("getSelection().toString()")).isEqualTo("");
    }

    @Test
    void aMovedCardKeepsTheFocus() {
        sheet.card(2).click();
        page.keyboard().press("Alt+ArrowRight");
        sheet.awaitOrder(1, 3, 2, 9, 10);
        assertThat(sheet.card(3)).isFocused();
        page.keyboard().press("Alt+Home");
        sheet.awaitOrder(2, 1, 3, 9, 10);
        assertThat(sheet.card(1)).isFocused();
        page.keyboard().press("g");
        sheet.answer("To position", "4", "Move");
        sheet.awaitOrder(1, 3, 9, 2, 10);
        assertThat(sheet.card(4)).isFocused();
    }

    @Test
    void undoRightAfterANumberIsAboutTheReel() {
        Locator field = page.getByLabel("Delay in ms");
        sheet.card(2).click();
        field.fill("250");
        field.press("Enter");
        sheet.awaitUndo("Hold frame 2 for 250 ms");
        page.keyboard().press("Control+z");
        assertThat(field).hasValue("100");
        page.keyboard().press("Tab");
        sheet.awaitUndo("Add 5 stills");
    }

    @Test
    void afterRemovingNothingIsChosenAndTheNeighborHasTheFocus() {
        sheet.card(2).click();
        page.keyboard().press("Delete");
        sheet.awaitOrder(1, 3, 9, 10);
        sheet.assertSelection("4 frames · 400 ms");
        assertThat(sheet.card(2)).isFocused();
    }

    @Test
    void aReelOpensByItselfOnceTheServerAnswers() {
        page.route("**/api/reels/**", route -> route.abort());
        page.reload();
        assertThat(page.getByText("this page opens the reel by itself")).isVisible();
        page.unroute("**/api/reels/**");
        assertThat(sheet.cards()).hasCount(5);
        visit.browser().complaints().clear();
    }
}
