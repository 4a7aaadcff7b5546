package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.file.Files;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A reel is saved as a file, and opened where it is not known. */
class WorkingFilesTest extends BrowserTest {
    @BeforeEach
    void open() {
        sheet.openFive();
        sheet.chooseFrames(2);
        page.keyboard().press("Delete");
        assertThat(sheet.cards()).hasCount(4);
    }

    private FilePayload saved(boolean history) {
        sheet.toShare();
        if (history) {
            page.getByLabel("With its history").check();
        }
        Download download =
                page.waitForDownload(() -> sheet.button("Save working file").click());
        try {
            return file(download.suggestedFilename(), Files.readAllBytes(download.path()));
        } catch (IOException e) {
            throw new AssertionError(e);
        }
    }

    private static FilePayload file(String name, byte[] bytes) {
        return new FilePayload(name, "application/octet-stream", bytes);
    }

    /** The shelf of somebody else. */
    private void goElsewhere() {
        page.navigate(visit.address());
        visit.emptyTheShelf();
        assertThat(page.getByText("The shelf is empty.")).isVisible();
    }

    @Test
    void itIsOpenedWithItsHistoryAndSavedAsTheSameBytes() {
        FilePayload saved = saved(true);
        assertThat(saved.name).isEqualTo("Tide.dobbin");
        goElsewhere();
        sheet.choose(saved);
        assertThat(sheet.cards()).hasCount(4);
        assertThat(page.getByText("The working file is a new reel.")).isVisible();
        assertThat(saved(true).buffer).isEqualTo(saved.buffer);
        sheet.button("Undo").click();
        page.getByText("Sheet", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(sheet.cards()).hasCount(5);
    }

    @Test
    void withoutItsHistoryThereIsNothingToUndo() {
        FilePayload saved = saved(false);
        goElsewhere();
        sheet.choose(saved);
        assertThat(sheet.cards()).hasCount(4);
        assertThat(sheet.button("Undo")).isDisabled();
    }

    @Test
    void aDamagedOneIsRefusedAndOthersAreOpened() {
        FilePayload saved = saved(false);
        byte[] damaged = saved.buffer.clone();
        damaged[60] ^= 1;
        goElsewhere();
        sheet.choose(file("Ebb.dobbin", damaged), saved);
        assertThat(page.getByText("“Ebb.dobbin” has a damaged part “reel.json”. Nothing was opened."))
                .isVisible();
        assertThat(sheet.cards()).hasCount(4);
        page.navigate(visit.address());
        assertThat(page.getByLabel("Reels").getByRole(com.microsoft.playwright.options.AriaRole.ARTICLE))
                .hasCount(1);
    }

    @Test
    void onTheSheetOneSaysWhereItIsOpened() {
        sheet.choose(file("Ebb.dobbin", new byte[] {1}));
        assertThat(page.getByText(
                        "“Ebb.dobbin” is a working file, a reel of its own. Drop it on the shelf to open it."))
                .isVisible();
        assertThat(sheet.cards()).hasCount(4);
    }
}
