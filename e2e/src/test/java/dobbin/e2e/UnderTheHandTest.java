package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.KeyboardModifier;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Where a quick hand could slip on the Move bench: nothing lands on another frame, in another column, or is gone unasked. */
class UnderTheHandTest extends AtTheMoveBench {
    @BeforeEach
    void goToTheFirstFrame() {
        bench.goTo(1);
        bench.addShape("Ellipse");
    }

    @Test
    void aPoseUnderWayStaysOnItsFrame() {
        bench.cell(12, 1).click();
        bench.drag(120, 80, 180, 80);
        bench.cell(5, 1).click();
        page.locator(".surface").focus();
        page.keyboard().press("ArrowUp");
        page.waitForCondition(() -> Math.abs(bench.track(1, "y").get(4) - 79) < 0.01);
        assertThat(bench.track(1, "x").get(11)).isCloseTo(180, within(0.6));
        assertThat(bench.track(1, "x").get(4))
                .as("a third of the way, and not where the other frame was dragged to")
                .isCloseTo(120 + 60 * 4 / 11.0, within(0.6));
        assertThat(bench.track(1, "y").get(11)).isEqualTo(80.0);
    }

    @Test
    void aRowOfNudgesEndsWhereItWasPressedTo() {
        page.locator(".surface").focus();
        for (int i = 0; i < 20; i++) {
            page.keyboard().press("ArrowRight");
        }
        page.waitForCondition(() -> bench.track(1, "x").get(0) == 140);
        assertThat(bench.track(1, "x")).as("its one pose moves").containsOnly(140.0);
    }

    @Test
    void deleteBesideCellsRemovesPosesAndNeverTheCutOut() {
        bench.cell(6, 1).click();
        page.keyboard().press("Delete");
        assertThat(page.getByText("No pose was set in these cells.")).isVisible();
        assertThat(bench.head("Ellipse")).isVisible();
        bench.head("Ellipse").click();
        page.keyboard().press("Delete");
        assertThat(bench.head("Ellipse")).hasCount(0);
        assertThat(page.getByText("“Ellipse” was removed.")).isVisible();
        page.locator(".v-snackbar").getByText("Undo").click();
        assertThat(bench.head("Ellipse")).isVisible();
    }

    @Test
    void whatIsAddedWhileTheLoopPlaysIsStill() {
        sheet.button("Play").click();
        assertThat(sheet.button("Pause")).isVisible();
        bench.addShape("Star");
        assertThat(sheet.button("Play")).isVisible();
        bench.set("Across", "60");
        page.waitForCondition(() -> bench.track(2, "x").get(0) == 60);
        assertThat(bench.track(2, "x")).containsOnly(60.0);
    }

    @Test
    void typingStopsTheLoopOnTheFrameThatIsSeen() {
        sheet.button("Play").click();
        assertThat(sheet.button("Pause")).isVisible();
        page.locator(".fields")
                .getByLabel("Across", new Locator.GetByLabelOptions().setExact(true))
                .focus();
        assertThat(sheet.button("Play")).isVisible();
    }

    @Test
    void posesArePastedWhereTheCellIs() {
        bench.cell(12, 1).click();
        bench.set("Across", "230");
        page.waitForCondition(() -> bench.track(1, "x").get(11) == 230);
        bench.addShape("Star");
        bench.cell(1, 1).click();
        bench.cell(12, 1).click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.SHIFT)));
        page.keyboard().press("Control+c");
        assertThat(page.getByText("2 poses copied.")).isVisible();
        bench.cell(1, 2).click();
        page.keyboard().press("Control+v");
        sheet.awaitUndo("Paste 2 poses");
        assertThat(bench.track(2, "x")).isEqualTo(bench.track(1, "x"));
        assertThat(bench.reel().get("cutouts").get(1).get("keys"))
                .as("what was set, and no in-betweens")
                .hasSize(2);
        assertThat(bench.reel().get("cutouts").get(0).get("keys")).hasSize(2);
    }
}
