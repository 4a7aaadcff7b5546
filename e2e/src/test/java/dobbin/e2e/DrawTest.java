package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import dobbin.gif.GifFrame;
import dobbin.gif.GifReader;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.DecodeLimits;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Frames made by hand, with a real pointer on the real thing. */
class DrawTest extends BrowserTest {
    private Easel easel;

    @BeforeEach
    void open() {
        easel = new Easel(page);
    }

    private static List<Raster> decoded(byte[] gif) throws Exception {
        GifReader reader = GifReader.open(gif, DecodeLimits.USUAL);
        List<Raster> frames = new ArrayList<>();
        for (Optional<GifFrame> frame = reader.next(); frame.isPresent(); frame = reader.next()) {
            frames.add(frame.get().picture());
        }
        return frames;
    }

    private byte[] delivered() throws Exception {
        sheet.toShare();
        return Files.readAllBytes(
                page.waitForDownload(() -> sheet.button("Deliver and download").click())
                        .path());
    }

    @Test
    void aFlipBookIsDrawnPageByPageWithThePageBeforeShiningThrough() throws Exception {
        easel.newReel("480 × 320");
        for (int number = 1; number <= 10; number++) {
            if (number > 1) {
                page.keyboard().press("n");
                easel.goesTo("Page " + number + " of " + number + ", ink alone");
                page.waitForCondition(() -> easel.shines() > 0);
            }
            double x = 40 + 40 * number;
            easel.drawn(x, 200, x + 20, 120 - 4 * number, x + 40, 200);
        }
        page.keyboard().press(",");
        easel.goesTo("Page 9 of 10, ink alone");
        List<Raster> drawings = easel.drawings();
        List<Raster> loop = decoded(delivered());
        assertThat(loop).hasSize(10);
        for (int i = 0; i < loop.size(); i++) {
            Raster drawing = drawings.get(i);
            for (int at = 0; at < drawing.argb().length; at++) {
                int wanted = drawing.argb()[at] >>> 24 >= 128 ? Easel.INK : 0;
                assertThat(loop.get(i).argb()[at])
                        .as("frame %d, pixel %d", i, at)
                        .isEqualTo(wanted);
            }
        }
    }

    @Test
    void pixelPicturesAreDeliveredTenTimesEnlargedWithEveryPixelExact() throws Exception {
        easel.newReel("16 × 16");
        page.keyboard().press("5");
        easel.drawn(2.5, 12.5, 13.5, 12.5);
        easel.drawn(7.5, 11.5, 7.5, 2.5);
        page.keyboard().press("n");
        easel.goesTo("Page 2 of 2, ink alone");
        page.waitForCondition(() -> easel.shines() == 22);
        easel.drawn(3.5, 12.5, 12.5, 12.5);
        page.keyboard().press("o");
        easel.drawn(4.5, 2.5, 10.5, 8.5);
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Sheet"))
                .click();
        page.keyboard().press("Control+a");
        page.getByLabel("Delay in ms").fill("250");
        page.getByLabel("Delay in ms").press("Enter");
        sheet.awaitDelays("250 ms", "250 ms");
        sheet.slimWidth();
        sheet.button("×10").click();
        sheet.awaitUndo("Enlarge 10 times");
        List<Raster> drawings = easel.drawings();
        List<Raster> loop = decoded(delivered());
        assertThat(loop).hasSize(2);
        for (int i = 0; i < 2; i++) {
            assertThat(loop.get(i).size()).isEqualTo(new Size(160, 160));
            for (int y = 0; y < 160; y++) {
                for (int x = 0; x < 160; x++) {
                    assertThat(loop.get(i).pixel(x, y))
                            .as("frame %d at %d, %d", i, x, y)
                            .isEqualTo(drawings.get(i).pixel(x / 10, y / 10));
                }
            }
        }
        assertThat(drawings.get(0).pixel(7, 5)).isEqualTo(Easel.INK);
    }

    @Test
    void aPhotoIsDrawnOverAndStaysAsItIs() throws Exception {
        sheet.openFive();
        easel.toDraw();
        page.keyboard().press("Home");
        easel.goesTo("Page 1 of 5, over Tide 1.png");
        Raster photo = easel.drawings().get(0);
        easel.drawn(10, 10, 50, 30);
        sheet.awaitUndo("Draw on frame 1");
        assertThat(easel.drawings().get(0)).isNotEqualTo(photo);
        page.keyboard().press("r");
        page.keyboard().press("4");
        page.getByLabel("Width of the line").last().fill("200");
        page.getByLabel("Width of the line").last().press("Enter");
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("More").setExact(true))
                .click();
        page.getByLabel("Opacity").fill("100");
        page.getByLabel("Opacity").press("Enter");
        page.getByLabel("Soft edge").fill("0");
        page.getByLabel("Soft edge").press("Enter");
        easel.drawn(0, 20, 60, 20);
        sheet.awaitUndo("Erase on frame 1");
        assertThat(easel.drawings().get(0)).isEqualTo(photo);
        sheet.button("Undo").click();
        sheet.awaitUndo("Draw on frame 1");
        assertThat(easel.drawings().get(0)).isNotEqualTo(photo);
    }

    @Test
    void arrowKeysChooseAmongPensForTheKeyboardAndDrawAfterAPress() {
        easel.newReel("64 × 64");
        Locator pens = page.getByRole(AriaRole.RADIOGROUP, new Page.GetByRoleOptions().setName("Pens"))
                .getByRole(AriaRole.RADIO);
        pens.nth(1).click();
        page.keyboard().press("ArrowRight");
        assertThat(pens.nth(1)).isChecked();
        assertThat(page.getByRole(AriaRole.APPLICATION)).isFocused();

        pens.nth(1).focus();
        page.keyboard().press("ArrowRight");
        assertThat(pens.nth(2)).isFocused();
        assertThat(pens.nth(2)).isChecked();
        page.keyboard().press("ArrowLeft");
        page.keyboard().press("ArrowLeft");
        page.keyboard().press("ArrowLeft");
        assertThat(pens.last()).isFocused();
        assertThat(pens.last()).isChecked();
        page.keyboard().press("Shift+Tab");
        page.keyboard().press("Tab");
        assertThat(pens.last()).isFocused();
    }

    @Test
    void aFigureInFivePosesIsSeenThroughAndDeliveredCroppedAndTransparent() throws Exception {
        easel.newReel("64 × 64");
        page.keyboard().press("5");
        for (int pose = 0; pose < 5; pose++) {
            if (pose > 0) {
                page.keyboard().press("n");
                easel.goesTo("Page " + (pose + 1) + " of " + (pose + 1) + ", ink alone");
            }
            double x = 10.5 + 6 * pose;
            easel.drawn(x, 20.5, x, 40.5);
        }
        page.getByRole(AriaRole.RADIOGROUP, new Page.GetByRoleOptions().setName("Pages before"))
                .getByText("all")
                .click();
        page.waitForCondition(() -> easel.shines() == 4 * 21);
        sheet.slimWidth();
        sheet.button("Crop").click();
        sheet.button("Trim").click();
        assertThat(page.getByText("Trimmed to 25 × 21.")).isVisible();
        page.getByLabel("Crop", new Page.GetByLabelOptions().setExact(true))
                .getByText("Crop", new Locator.GetByTextOptions().setExact(true))
                .last()
                .click();
        sheet.awaitUndo("Crop to 25 × 21");
        List<Raster> loop = decoded(delivered());
        assertThat(loop).hasSize(5);
        for (int pose = 0; pose < 5; pose++) {
            assertThat(loop.get(pose).size()).isEqualTo(new Size(25, 21));
            assertThat(loop.get(pose).pixel(6 * pose, 10)).isEqualTo(Easel.INK);
            assertThat(loop.get(pose).pixel(6 * pose + (pose < 4 ? 1 : -1), 10)).isZero();
        }
    }

    @Test
    void aPageIsDrawnByKeysAloneAndUndoneMarkByMark() throws Exception {
        easel.newReel("16 × 16");
        page.keyboard().press("5");
        easel.place().focus();
        page.keyboard().press("Enter");
        for (int i = 0; i < 4; i++) {
            page.keyboard().press("ArrowRight");
        }
        page.keyboard().press("Enter");
        sheet.awaitUndo("Draw on frame 1");
        assertThat(Inked.count(easel.drawings().get(0))).isEqualTo(5);
        page.keyboard().press("l");
        page.keyboard().press("Enter");
        page.keyboard().press("ArrowDown");
        page.keyboard().press("ArrowDown");
        page.keyboard().press("Enter");
        page.waitForCondition(() -> easel.count() == 7);
        page.keyboard().press("Control+z");
        page.waitForCondition(() -> easel.count() == 5);
        page.keyboard().press("Control+z");
        page.waitForCondition(() -> easel.count() == 0);
        page.reload();
        assertThat(easel.place()).isVisible();
        page.keyboard().press("Control+Shift+z");
        page.waitForCondition(() -> easel.count() == 5);
    }
}
