package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Beginning from nothing, and seeing what was added. */
class BeginningTest {
    @RegisterExtension
    private static final Visit visit = new Visit();

    private void begin(Page page) {
        Sheet sheet = new Sheet(page);
        sheet.button("New reel…").click();
        Locator dialog = page.locator(".v-dialog");
        dialog.getByLabel("Name", new Locator.GetByLabelOptions().setExact(true))
                .fill("Low tide");
        dialog.getByText("64 × 64").click();
        dialog.locator("button[type=submit]").click();
        assertThat(sheet.cards()).hasCount(1);
    }

    @Test
    void aReelBeginsFromNothingOnACanvasOfOnesChoice() {
        Page page = visit.page();
        begin(page);
        assertThat(page.locator("header")).containsText("Low tide");
        Sheet sheet = new Sheet(page);
        sheet.choose(Stills.png(1));
        assertThat(sheet.cards()).hasCount(2);
        sheet.toShare();
        assertThat(page.getByText(Pattern.compile("64 × \\d+ px"))).isVisible();
    }

    @Test
    void aPastedTextBecomesOneCardForEachLineAndTheyAreNamed() {
        Page page = visit.page();
        begin(page);
        Sheet sheet = new Sheet(page);
        sheet.add("Title cards…");
        page.locator(".v-dialog textarea").first().fill("Last\nferry\n\nat six");
        page.getByLabel("One card for each line: 3 cards").check();
        page.locator(".v-dialog button[type=submit]").click();
        assertThat(sheet.cards()).hasCount(4);
        assertThat(sheet.card(2)).containsText("Last");
        assertThat(sheet.card(4)).containsText("at six");
        assertThat(page.getByText("Added: frames 2 to 4.")).isVisible();
        sheet.awaitUndo("Add 3 cards");
    }

    @Test
    void whatWasAddedComesIntoView() {
        Page page = visit.page();
        Sheet sheet = new Sheet(page);
        sheet.choose(IntStream.rangeClosed(1, 5).mapToObj(Stills::png).toArray(FilePayload[]::new));
        assertThat(sheet.cards()).hasCount(5);
        page.getByLabel("Size of the cards").fill("320");
        sheet.select("All");
        sheet.button("Repeat…").click();
        sheet.answer("Times in all", "5", "Repeat");
        assertThat(page.locator("[aria-posinset='6']")).isInViewport();
    }

    @Test
    void aGatheringThatIsCutOffSaysWhichFilesAreMissingAndTriesThemAgain() {
        Page page = visit.page();
        Sheet sheet = new Sheet(page);
        page.route("**/api/pictures*name=Tide%203*", route -> route.abort());
        sheet.choose(Stills.png(1), Stills.png(2), Stills.png(3), Stills.png(4));
        Locator panel = page.getByLabel("Reading files");
        assertThat(panel).containsText("These files are not in the reel: “Tide 3.png” and “Tide 4.png”.");
        page.unroute("**/api/pictures*name=Tide%203*");
        panel.getByText("Try").click();
        sheet.awaitOrder(1, 2, 3, 4);
    }
}
