package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The sheet on a phone: a finger scrolls, taps to choose, and drags once it has rested. */
class TouchTest extends BrowserTest {
    private static final int LONG_ENOUGH_MILLIS = 500;

    private Fingers fingers;

    @BeforeEach
    void open() {
        page.setViewportSize(390, 844);
        sheet.openFive();
        fingers = new Fingers(page);
    }

    @Test
    void aFingerThatRestsOnACardDragsItAndOneThatTapsChoosesIt() {
        sheet.card(3).scrollIntoViewIfNeeded();
        BoundingBox from = sheet.card(1).boundingBox();
        BoundingBox to = sheet.card(3).boundingBox();
        fingers.down(from.x + from.width / 2, from.y + from.height / 2);
        page.waitForTimeout(LONG_ENOUGH_MILLIS);
        assertThat(page.locator(".ghost")).isVisible();
        fingers.move(to.x + to.width / 2, to.y + to.height / 2);
        fingers.move(to.x + to.width - 6, to.y + to.height / 2);
        fingers.up();
        sheet.awaitOrder(2, 3, 1, 9, 10);
        sheet.awaitUndo("Move frame 1 to place 3");

        BoundingBox card = sheet.card(2).boundingBox();
        fingers.down(card.x + 20, card.y + 20);
        fingers.up();
        assertThat(sheet.card(2)).hasAttribute("aria-selected", "true");
        assertThat(sheet.card(3)).hasAttribute("aria-selected", "false");
    }

    @Test
    void aFingerThatMovesAtOnceScrollsAndChoosesNothing() {
        Locator card = sheet.card(1);
        sheet.card(3).scrollIntoViewIfNeeded();
        BoundingBox from = card.boundingBox();
        fingers.down(from.x + 20, from.y + 20);
        fingers.move(from.x + 20, from.y + 80);
        fingers.move(from.x + 20, from.y + 160);
        page.waitForTimeout(LONG_ENOUGH_MILLIS);
        assertThat(page.locator(".ghost")).hasCount(0);
        fingers.up();
        assertThat(card).hasAttribute("aria-selected", "false");
        assertThat(sheet.order()).containsExactly(1, 2, 3, 9, 10);
    }
}
