package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.ReducedMotion;
import dobbin.raster.Size;
import java.nio.file.Files;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The file as it is being decided, beside what was delivered. */
class ShareTest extends BrowserTest {
    private Locator figures;

    @BeforeEach
    void open() {
        letThingsMove();
        sheet.openFive();
        sheet.toShare();
        figures = page.getByLabel("Page with the file").locator("figure");
        assertThat(figures).hasCount(1);
    }

    @Test
    void whatIsDecidedIsSeenBesideWhatWasDelivered() {
        sheet.button("Deliver").click();
        assertThat(page.getByLabel("Deliveries")).containsText("Tide.gif");
        assertThat(figures).hasCount(1);
        Locator width = sheet.slimWidth();
        width.fill("30");
        width.press("Enter");
        sheet.awaitUndo("Deliver 30 px wide");
        sheet.toShare();
        sheet.button("Tide.gif").or(page.getByText("Tide.gif")).first().click();
        assertThat(figures).hasCount(2);
        assertThat(figures.nth(0)).containsText("As set now · 30 × 20");
        assertThat(figures.nth(1)).containsText("Tide.gif · 60 × 40");
        sheet.button("Only the file as set now").click();
        assertThat(figures).hasCount(1);
    }

    @Test
    void aDeliveryIsDeletedAndHadBackAndItsSettingsAreUsedAgain() {
        Locator deliveries = page.getByLabel("Deliveries");
        sheet.button("Deliver").click();
        assertThat(deliveries).containsText("Tide.gif");
        sheet.button("Delete Tide.gif").click();
        assertThat(deliveries).not().containsText("Tide.gif");
        page.locator(".v-snackbar").getByText("Undo").click();
        assertThat(deliveries).containsText("Tide.gif");

        Locator width = sheet.slimWidth();
        width.fill("30");
        width.press("Enter");
        sheet.awaitUndo("Deliver 30 px wide");
        sheet.toShare();
        deliveries.getByText("Tide.gif").click();
        sheet.button("Use its settings").click();
        assertThat(page.getByText("As set when “Tide.gif” was made.")).isVisible();
        assertThat(page.getByLabel("How the file is made")).containsText("60 × 40 px");
    }

    @Test
    void itIsLookedAtAmongOtherThingsAndAtOtherWidths() {
        Locator picture = figures.locator("img");
        choose("Shown", "320 px wide");
        assertThat(picture).hasAttribute("width", "320");
        assertThat(picture).hasAttribute("height", "213");
        choose("Shown", "at half its size");
        assertThat(picture).hasAttribute("width", "30");
        for (String place : List.of("An article", "A message thread", "A grid of pictures")) {
            choose("Looked at on", place);
            assertThat(picture).isVisible();
        }
        assertThat(figures.locator(".tile")).hasCount(7);
        page.reload();
        assertThat(figures.locator(".tile")).hasCount(7);
    }

    private void choose(String select, String option) {
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(select))
                .press("ArrowDown");
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option))
                .click();
    }

    /** Another delay makes a file of the same size and weight, and yet another file. */
    @Test
    void aFileThatWeighsTheSameIsNotTakenForTheDelivery() {
        sheet.awaitedBytes();
        sheet.button("Deliver").click();
        assertThat(page.getByLabel("Deliveries")).containsText("Tide.gif");
        assertThat(figures).hasCount(1);
        page.getByLabel("Delay of frame 1").press("ArrowUp");
        sheet.awaitUndo("Hold frame 1 for 110 ms");
        assertThat(figures).hasCount(2);
        sheet.button("Undo").click();
        assertThat(figures).hasCount(1);
    }

    @Test
    void aFileIsDeliveredAndDownloadedInOnePressAndRepeatsHaveNamesOfTheirOwn() throws Exception {
        Download first =
                page.waitForDownload(() -> sheet.button("Deliver and download").click());
        assertThat(first.suggestedFilename()).isEqualTo("Tide.gif");
        assertThat(Stills.Loop.of(Files.readAllBytes(first.path())).colors()).hasSize(5);
        Download second =
                page.waitForDownload(() -> sheet.button("Deliver and download").click());
        assertThat(second.suggestedFilename()).isEqualTo("Tide 2.gif");
    }

    @Test
    void itIsPausedWhereMotionIsReducedAndByHand() {
        assertThat(figures.locator("img")).hasCount(1);
        sheet.button("Pause").click();
        assertThat(figures.locator("img")).hasCount(0);
        assertThat(figures.locator("canvas")).isVisible();
        sheet.button("Play").click();
        assertThat(figures.locator("img")).hasCount(1);
        page.emulateMedia(new Page.EmulateMediaOptions().setReducedMotion(ReducedMotion.REDUCE));
        page.reload();
        assertThat(figures.locator("canvas")).isVisible();
        assertThat(figures.locator("img")).hasCount(0);
    }

    @Test
    void thePageMayHaveAnyColor() {
        page.getByLabel("Page of any color").fill("#123456");
        assertThat(page.getByLabel("Page with the file")).hasCSS("background-color", "rgb(18, 52, 86)");
    }

    @Test
    void whatIsWorthALookIsToldBeforeItIsSharedAndMendedInOnePress() {
        Locator checks = page.getByLabel("Checks");
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Sheet").setExact(true))
                .click();
        sheet.chooseFrames(2, 4);
        sheet.button("Leave out").click();
        sheet.awaitUndo("Leave out 2 frames");
        assertThat(page.getByText("left out and will not be in the file")).hasCount(0);
        sheet.toShare();
        assertThat(checks).containsText("Frames 2 and 4 are left out and will not be in the file.");
        checks.getByText("Take them in").click();
        sheet.awaitUndo("Take in 2 frames");
        assertThat(checks).containsText("Nothing to say about flashes, frames left out");
    }

    @Test
    void aLoopThatFlashesIsToldAndSlowedDown() {
        page.navigate(visit.address());
        sheet.choose(IntStream.range(0, 10)
                .mapToObj(
                        i -> Stills.png("Beam " + i + ".png", new Size(300, 200), i % 2 == 0 ? 0xFF101820 : 0xFFF4F0E0))
                .toArray(FilePayload[]::new));
        assertThat(sheet.cards()).hasCount(10);
        sheet.toShare();
        Locator checks = page.getByLabel("Checks");
        assertThat(checks).containsText("Frames 1 to 10 flash 5 times within a second");
        checks.getByText("Slow them down to three").click();
        assertThat(checks.getByText("times within a second")).hasCount(0);
        assertThat(checks).containsText("Nothing to say about flashes");
    }
}
