package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ReducedMotion;
import java.nio.file.Files;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The file as it is being decided, beside what was delivered. */
class ShareTest {
    @RegisterExtension
    private static final Visit visit = new Visit();

    private Page page;
    private Sheet sheet;
    private Locator figures;

    @BeforeEach
    void open() {
        page = visit.page();
        sheet = new Sheet(page);
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
}
