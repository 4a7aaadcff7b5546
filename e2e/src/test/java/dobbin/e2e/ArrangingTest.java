package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.MouseButton;
import dobbin.raster.Size;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What people do to the order and the choice of frames. Five stills, 1 2 3 9 10, in a reel of their own each time. */
class ArrangingTest extends BrowserTest {
    @BeforeEach
    void open() {
        sheet.openFive();
    }

    @Test
    void manyFramesAreDraggedAtOnceAndTheMarkSaysWhere() {
        sheet.chooseFrames(1, 4);
        BoundingBox from = sheet.card(4).boundingBox();
        BoundingBox to = sheet.card(3).boundingBox();
        page.mouse().move(from.x + 30, from.y + 30);
        page.mouse().down();
        page.mouse().move(to.x + to.width - 20, to.y + 40, new Mouse.MoveOptions().setSteps(5));
        assertThat(page.locator(".ghost")).hasText("2 frames after frame 3");
        page.mouse().up();
        sheet.awaitOrder(2, 3, 1, 9, 10);
        sheet.awaitUndo("Move 2 frames to place 3");
        sheet.assertSelection("2 of 5 frames · 200 ms");
    }

    @Test
    void framesAreMovedByKeysByMenuAndByNumber() {
        sheet.card(2).click();
        page.keyboard().press("Alt+End");
        sheet.awaitOrder(1, 3, 9, 10, 2);
        sheet.more("To the start");
        sheet.awaitOrder(2, 1, 3, 9, 10);
        sheet.more("To position…");
        sheet.answer("To position", "4", "Move");
        sheet.awaitOrder(1, 3, 9, 2, 10);
        page.keyboard().press("Escape");
        sheet.button("Reverse").click();
        sheet.awaitOrder(10, 2, 9, 3, 1);
        sheet.more("Into order of name");
        sheet.awaitOrder(1, 2, 3, 9, 10);
    }

    @Test
    void framesAreCutAndPastedHere() {
        sheet.chooseFrames(1, 2);
        page.keyboard().press("Control+x");
        assertThat(sheet.card(1)).hasClass(Pattern.compile(".*lifted.*"));
        sheet.card(5).click();
        page.keyboard().press("Control+v");
        sheet.awaitOrder(3, 9, 10, 1, 2);
        sheet.awaitUndo("Move 2 frames to place 4");
        assertThat(sheet.card(4)).not().hasClass(Pattern.compile(".*lifted.*"));
    }

    @Test
    void framesArePastedIntoAnotherReel() {
        sheet.chooseFrames(2, 4);
        page.keyboard().press("Control+c");
        page.navigate(visit.address());
        sheet.choose(Stills.png(7), Stills.png(8));
        sheet.awaitOrder(7, 8);
        sheet.card(1).click();
        page.keyboard().press("Control+v");
        sheet.awaitOrder(7, 2, 9, 8);
        sheet.awaitUndo("Paste 2 frames");
    }

    @Test
    void runsAreRepeatedAndPlayedThereAndBack() {
        sheet.chooseFrames(2, 3);
        sheet.button("Repeat…").click();
        assertThat(page.getByText("4 frames, 400 ms, in place of 2 frames, 200 ms."))
                .isVisible();
        sheet.answer("Times in all", "3", "Repeat");
        sheet.awaitOrder(1, 2, 3, 2, 3, 2, 3, 9, 10);
        sheet.assertSelection("4 of 9 frames · 400 ms");
        page.keyboard().press("Control+z");
        sheet.select("All");
        sheet.button("There and back…").click();
        page.locator(".v-dialog button[type=submit]").click();
        sheet.awaitOrder(1, 2, 3, 9, 10, 9, 3, 2);
        page.keyboard().press("Control+z");
        sheet.button("There and back…").click();
        page.getByText("Each end pose twice").click();
        page.locator(".v-dialog button[type=submit]").click();
        sheet.awaitOrder(1, 2, 3, 9, 10, 10, 9, 3, 2, 1);
    }

    @Test
    void removedFramesComeBackAfterARestart() {
        sheet.card(3).click();
        sheet.button("Remove").click();
        sheet.awaitOrder(1, 2, 9, 10);
        page.reload();
        sheet.awaitOrder(1, 2, 9, 10);
        sheet.button("Undo").click();
        sheet.awaitOrder(1, 2, 3, 9, 10);
    }

    @Test
    void selectingIsAsWithFiles() {
        sheet.select("Odd frames");
        sheet.assertSelection("3 of 5 frames · 300 ms");
        sheet.select("Even frames");
        sheet.assertSelection("2 of 5 frames · 200 ms");
        sheet.select("The others");
        sheet.assertSelection("3 of 5 frames · 300 ms");
        assertThat(sheet.card(2)).hasAttribute("aria-selected", "false");
        sheet.card(2).click();
        sheet.select("Every n-th from here…");
        sheet.answer("Every", "3", "Select");
        assertThat(sheet.card(5)).hasAttribute("aria-selected", "true");
        sheet.assertSelection("2 of 5 frames · 200 ms");
        sheet.select("None");
        sheet.assertSelection("5 frames · 500 ms");
    }

    @Test
    void aRubberBandChoosesWhatItTouches() {
        BoundingBox second = sheet.card(2).boundingBox();
        BoundingBox third = sheet.card(3).boundingBox();
        page.mouse().move(third.x + third.width - 10, third.y + third.height + 5);
        page.mouse().down();
        page.mouse().move(second.x + 20, second.y + second.height - 10, new Mouse.MoveOptions().setSteps(4));
        assertThat(page.locator(".rubber")).isVisible();
        page.mouse().up();
        sheet.assertSelection("2 of 5 frames · 200 ms");
        assertThat(sheet.card(2)).hasAttribute("aria-selected", "true");
        assertThat(sheet.card(3)).hasAttribute("aria-selected", "true");
    }

    @Test
    void aNamedRunIsPickedMovedAndRepeatedAsOne() {
        sheet.chooseFrames(2, 3);
        page.keyboard().press("n");
        sheet.answer("Name of the run", "High water", "Name");
        Locator band = page.getByTitle("Select the run “High water”");
        assertThat(band).hasText("High water");
        assertThat(page.locator(".rhythm .run")).hasText("High water");
        page.keyboard().press("Escape");
        band.click();
        sheet.assertSelection("2 of 5 frames · 200 ms");
        sheet.more("To the end");
        sheet.awaitOrder(1, 9, 10, 2, 3);
        sheet.select("Run “High water”");
        sheet.button("Repeat…").click();
        sheet.answer("Times in all", "2", "Repeat");
        sheet.awaitOrder(1, 9, 10, 2, 3, 2, 3);
        sheet.select("Run “High water”");
        sheet.assertSelection("4 of 7 frames · 400 ms");
        sheet.more("Unname the run");
        assertThat(band).hasCount(0);
    }

    @Test
    void aFrameDroppedIntoARunJoinsIt() {
        sheet.chooseFrames(2, 3);
        page.keyboard().press("n");
        sheet.answer("Name of the run", "Ebb", "Name");
        sheet.card(5).click();
        sheet.more("To position…");
        sheet.answer("To position", "3", "Move");
        sheet.awaitOrder(1, 2, 10, 3, 9);
        page.getByTitle("Select the run “Ebb”").first().click();
        sheet.assertSelection("3 of 5 frames · 300 ms");
    }

    @Test
    void whatIsLeftOutStaysFaintAndDoesNotPlay() throws Exception {
        sheet.chooseFrames(2, 4);
        sheet.button("Leave out").click();
        assertThat(sheet.card(2)).containsText("left out");
        page.keyboard().press("Escape");
        sheet.assertSelection("3 of 5 frames play · 300 ms");
        sheet.awaitedBytes();
        sheet.toShare();
        sheet.button("Deliver").click();
        Locator link = page.getByLabel(Pattern.compile("Download .*"));
        Stills.Loop loop = Stills.Loop.of(java.nio.file.Files.readAllBytes(
                page.waitForDownload(link::click).path()));
        assertThat(loop.colors()).containsExactly(Stills.color(1), Stills.color(3), Stills.color(10));
        page.goBack();
        sheet.chooseFrames(2, 4);
        sheet.button("Take in").click();
        assertThat(sheet.card(2)).not().containsText("left out");
    }

    @Test
    void everyNthIsKeptAndTheTimeStays() {
        sheet.card(1).click();
        page.getByLabel("Delay in ms").fill("230");
        page.getByLabel("Delay in ms").press("Enter");
        sheet.awaitDelays("230 ms", "100 ms", "100 ms", "100 ms", "100 ms");
        sheet.select("None");
        sheet.more("Keep every n-th…");
        assertThat(page.getByText("3 frames of 5 stay and take over the time of the others: still 630 ms in all."))
                .isVisible();
        sheet.answer("Keep every", "2", "Thin out");
        sheet.awaitDelays("330 ms", "200 ms", "100 ms");
    }

    @Test
    void cardsAndEmptyFramesAreMadeAndChanged() {
        sheet.card(1).click();
        sheet.add("Title cards…");
        sheet.answer("Words, or none", "Low tide", "Add");
        assertThat(sheet.card(2)).containsText("Frame 2, 1.5 s, Low tide");
        sheet.more("Change the card…");
        sheet.answer("Words, or none", "High tide", "Change");
        assertThat(sheet.card(2)).containsText("High tide");
        sheet.add("Empty frame");
        assertThat(sheet.card(3)).containsText("Frame 3, 100 ms, empty");
        assertThat(sheet.cards()).hasCount(7);
    }

    @Test
    void aPictureIsReplacedInItsPlace() {
        sheet.card(3).click();
        page.getByLabel("Delay in ms").fill("700");
        page.getByLabel("Delay in ms").press("Enter");
        sheet.awaitDelays("100 ms", "100 ms", "700 ms", "100 ms", "100 ms");
        page.waitForFileChooser(() -> sheet.more("Replace the picture…")).setFiles(Stills.png(8));
        sheet.awaitOrder(1, 2, 8, 9, 10);
        sheet.awaitDelays("100 ms", "100 ms", "700 ms", "100 ms", "100 ms");
    }

    @Test
    void stillsOfAnotherSizeSaySoAndOnePressFixesAll() {
        sheet.choose(
                Stills.png("Tide 11.png", new Size(60, 60), Stills.color(11)),
                Stills.png("Tide 12.png", new Size(60, 90), Stills.color(12)));
        assertThat(sheet.card(6)).containsText("60 × 60");
        Locator notices = page.getByLabel("Notices");
        assertThat(notices).containsText("Frames 6 and 7 have another shape than the canvas, 60 × 40");
        sheet.button("Fill the canvas").click();
        assertThat(notices.getByText("another shape")).hasCount(0);
        sheet.awaitUndo("Fill the canvas with 2 frames");
        sheet.card(6).click();
        page.keyboard().press("f");
        page.getByText("60 × 90 · 1 still").click();
        page.getByText("Inside", new Page.GetByTextOptions().setExact(true)).click();
        page.getByLabel("Background where nothing covers the canvas", new Page.GetByLabelOptions().setExact(true))
                .getByRole(com.microsoft.playwright.options.AriaRole.TEXTBOX)
                .fill("#f6f1e7");
        page.locator(".v-dialog button[type=submit]").click();
        sheet.awaitUndo("Canvas 60 × 90 and fit");
        assertThat(sheet.card(1)).containsText("60 × 40");
        assertThat(page.getByText("Weighs")).hasCount(1);
    }

    @Test
    void theContextMenuHasTheSameActions() {
        sheet.card(4).click(new Locator.ClickOptions().setButton(MouseButton.RIGHT));
        sheet.choose("Leave out");
        assertThat(sheet.card(4)).containsText("left out");
        sheet.card(4).press("Shift+F10");
        sheet.choose("Take in");
        assertThat(sheet.card(4)).not().containsText("left out");
    }

    @Test
    void anyPointOfTheHistoryCanBeGoneBackTo() {
        sheet.button("Reverse").click();
        sheet.awaitOrder(10, 9, 3, 2, 1);
        sheet.card(1).click();
        page.keyboard().press("Delete");
        sheet.awaitOrder(9, 3, 2, 1);
        sheet.button("History").click();
        Locator steps = page.getByLabel("Steps, the latest first").locator("button");
        assertThat(steps).hasText(new Pattern[] {
            Pattern.compile("Remove frame 1.*"),
            Pattern.compile("Reverse 5 frames.*"),
            Pattern.compile("Add 5 stills.*"),
            Pattern.compile("Begin.*")
        });
        steps.nth(2).click();
        sheet.awaitOrder(1, 2, 3, 9, 10);
        steps.nth(1).click();
        sheet.awaitOrder(10, 9, 3, 2, 1);
    }

    @Test
    void anEditMadeOnWhatAnotherTabHasChangedIsRedone() {
        Page second = visit.browser().open(page.url());
        Sheet other = new Sheet(second);
        assertThat(other.cards()).hasCount(5);
        // The second tab hears nothing any more, so that its edit comes on a state that is gone.
        second.route("**/events", route -> route.abort());
        second.reload();
        assertThat(other.cards()).hasCount(5);
        sheet.card(5).click();
        page.keyboard().press("Alt+Home");
        sheet.awaitOrder(10, 1, 2, 3, 9);
        other.card(2).click();
        second.keyboard().press("Delete");
        other.awaitOrder(10, 1, 3, 9);
        second.close();
        visit.browser().complaints().clear();
    }

    @Test
    void nothingComplained() {
        assertThat(visit.browser().complaints()).isEqualTo(List.of());
    }
}
