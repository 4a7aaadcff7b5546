package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.KeyboardModifier;
import dobbin.raster.Size;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What hands do on the stage and the exposure sheet. Twelve frames, black to white, in a reel of their own each time. */
class PosingTest extends AtTheMoveBench {
    private static final Size SMALL = new Size(40, 20);
    private static final int RED = 0xFFD02020;

    @Test
    void cutOutsAreDraggedTurnedSizedAndNudged() {
        bench.goTo(3);
        bench.addPictures("Pictures…", Stills.png("Ferry.png", SMALL, RED));
        bench.awaitTitle("Ferry at frame 3");
        bench.drag(120, 80, 170, 101);
        sheet.awaitUndo("Pose Ferry");
        assertThat(bench.track(1, "x").get(0)).isCloseTo(170, within(0.6));
        assertThat(bench.track(1, "y").get(0)).isCloseTo(101, within(0.6));
        page.locator(".surface").focus();
        page.keyboard().press("ArrowLeft");
        page.keyboard().press("Shift+ArrowUp");
        page.waitForCondition(() -> Math.abs(bench.track(1, "y").get(0) - 91) < 0.6);
        assertThat(bench.track(1, "x").get(0)).isCloseTo(169, within(0.6));
        bench.drag(120 + 69, 91 + 10, 120 + 89, 91 + 20);
        page.waitForCondition(() -> Math.abs(bench.track(1, "scaleX").get(0) - 2) < 0.1);
        bench.set("Turn", "725");
        page.waitForCondition(() -> bench.track(1, "turn").get(0) == 725);
        page.locator(".surface").focus();
        page.keyboard().press("Delete");
        assertThat(bench.head("Ferry")).hasCount(0);
    }

    @Test
    void everywhereMovesTheWholeTrackAndGuidesSnap() {
        bench.goTo(1);
        bench.addPictures("Pictures…", Stills.png("Ferry.png", SMALL, RED));
        bench.set("Across", "40");
        bench.cell(12, 1).click();
        bench.set("Across", "80");
        page.waitForCondition(() -> bench.track(1, "x").get(11) == 80);
        bench.scope("all frames");
        bench.drag(80, 80, 118.5, 80.4);
        sheet.awaitUndo("Pose Ferry");
        page.waitForCondition(() -> bench.track(1, "x").get(11) == 120);
        assertThat(bench.track(1, "x").get(0)).isEqualTo(80.0);
        assertThat(bench.track(1, "y")).containsOnly(80.0);
    }

    @Test
    void aDotOfTheTrackIsDraggedWhereverItIs() {
        bench.goTo(1);
        bench.addPictures("Pictures…", Stills.png("Ferry.png", SMALL, RED));
        bench.set("Across", "20");
        bench.cell(12, 1).click();
        bench.set("Across", "220");
        page.waitForCondition(() -> bench.track(1, "x").get(11) == 220);
        Locator dot = page.locator("[data-dot='5']");
        double x = bench.track(1, "x").get(5);
        assertThat(dot).isVisible();
        bench.drag(x, 80, x, 30);
        bench.awaitTitle("Ferry at frame 6");
        page.waitForCondition(() -> Math.abs(bench.track(1, "y").get(5) - 30) < 1);
        assertThat(bench.track(1, "y").get(11)).isEqualTo(80.0);
    }

    @Test
    void posesAreSetMovedCopiedAndRemovedByKeys() {
        bench.goTo(1);
        bench.addPictures("Pictures…", Stills.png("Ferry.png", SMALL, RED));
        bench.cell(1, 1).click();
        bench.set("Across", "20");
        page.waitForCondition(() -> bench.track(1, "x").get(0) == 20);
        bench.cell(1, 1).click();
        page.keyboard().press("End");
        page.keyboard().press("Enter");
        sheet.awaitUndo("Set a pose of Ferry");
        bench.set("Across", "130");
        page.waitForCondition(() -> bench.track(1, "x").get(11) == 130);
        bench.cell(12, 1).click();
        page.keyboard().press("Alt+ArrowUp");
        page.waitForCondition(() -> bench.track(1, "x").get(10) == 130);
        sheet.awaitUndo("Move a pose of Ferry");
        page.keyboard().press("Control+c");
        bench.cell(6, 1).click();
        page.keyboard().press("Control+v");
        sheet.awaitUndo("Paste a pose");
        assertThat(bench.track(1, "x").subList(5, 12)).containsOnly(130.0);
        bench.cell(6, 1).click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.SHIFT)));
        page.keyboard().press("Delete");
        sheet.awaitUndo("Remove a pose of Ferry");
        assertThat(bench.track(1, "x").get(5)).isEqualTo(75.0);
    }

    @Test
    void cutOutsAreCopiedToTheSamePlaceAndDeleteSparesTheFrames() {
        bench.goTo(1);
        bench.addShape("Star");
        bench.set("Across", "33");
        page.waitForCondition(() -> bench.track(1, "x").get(0) == 33);
        page.locator(".surface").focus();
        page.keyboard().press("Control+c");
        page.keyboard().press("Control+v");
        sheet.awaitUndo("Copy Star");
        assertThat(bench.head("Star")).hasCount(2);
        assertThat(bench.track(2, "x")).isEqualTo(bench.track(1, "x"));
        bench.head("Star").first().click();
        page.keyboard().press("Delete");
        sheet.awaitUndo("Remove Star");
        page.evaluate("document.activeElement.blur()");
        page.keyboard().press("Delete");
        page.keyboard().press("Alt+Home");
        assertThat(bench.head("Star")).hasCount(1);
        assertThat(bench.reel().get("frames")).hasSize(12);
        sheet.awaitUndo("Remove Star");
    }

    @Test
    void groupsHidingAndOrder() {
        bench.goTo(1);
        bench.addShape("Star");
        bench.addShape("Ellipse");
        bench.head("Star").click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.CONTROL)));
        bench.more("Group");
        assertThat(bench.head("Group")).isVisible();
        bench.set("Across", "60");
        page.waitForCondition(() -> bench.track(1, "x").get(0) == 60);
        bench.more("Ungroup");
        assertThat(bench.head("Star")).isVisible();
        assertThat(bench.track(1, "x")).containsOnly(60.0);
        assertThat(bench.track(2, "x")).containsOnly(60.0);
        bench.head("Star").click();
        bench.more("Raise");
        sheet.awaitUndo("Change the order of Star");
        assertThat(bench.reel().get("cutouts").get(1).get("name").asString()).isEqualTo("Star");
        bench.more("Hide everywhere for now");
        assertThat(bench.head("Star")).containsText("hidden");
        sheet.toShare();
        assertThat(page.getByLabel("Checks")).containsText("Star is hidden and will not be in the file.");
        sheet.button("Show it").click();
        assertThat(page.getByText("Star is hidden")).hasCount(0);
    }

    @Test
    void aDrawnPathIsFollowed() {
        bench.goTo(1);
        bench.addShape("Ellipse");
        bench.motion("Follow a path");
        bench.submit();
        assertThat(page.getByText("Draw the path to follow")).isVisible();
        bench.drag(30, 40, 210, 40);
        sheet.awaitUndo("Let Ellipse follow a path");
        List<Double> across = bench.track(1, "x");
        assertThat(across.get(0)).isCloseTo(30, within(1.0));
        assertThat(across.get(11)).isCloseTo(210, within(1.0));
        assertThat(across.get(6) - across.get(5)).isCloseTo(180 / 11.0, within(1.0));
    }

    @Test
    void aBoxOnAFrameBecomesACutOutWhereItWas() throws Exception {
        bench.goTo(12);
        bench.add("A box on this frame…");
        bench.drag(20, 20, 60, 50);
        bench.awaitTitle("Cut from 12 at frame 12");
        assertThat(bench.drawn(1).pixel(40, 35)).isEqualTo(0xFFFFFFFF);
        assertThat(bench.drawn(1).pixel(90, 35)).isEqualTo(0xFF000000);
    }
}
