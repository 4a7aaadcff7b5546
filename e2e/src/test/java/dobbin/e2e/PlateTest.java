package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import dobbin.raster.Raster;
import dobbin.skerry.SkerryPoint;
import java.util.List;
import org.junit.jupiter.api.Test;

/** One picture of many drawings: they are found, put in order and cut into frames. */
class PlateTest extends BrowserTest {
    @Test
    void aPlateIsOfferedToBeCut() {
        sheet.choose(new FilePayload(
                "Gull plate.png", "image/png", SkerryPoint.gullPlate().bytes()));
        assertThat(page.getByText("“Gull plate.png” seems to hold 10 drawings."))
                .isVisible();
        sheet.button("Cut it").click();
        assertThat(page.locator(".thumb")).hasCount(10);
    }

    private void openPlate() {
        sheet.choose(new FilePayload(
                "Gull plate.png", "image/png", SkerryPoint.gullPlate().bytes()));
        assertThat(sheet.cards()).hasCount(1);
        sheet.card(1).click();
        sheet.more("Cut into frames…");
        assertThat(page.locator(".thumb")).hasCount(10);
    }

    @Test
    void aPlateIsCutIntoFramesInTheOrderOneGivesThem() throws Exception {
        openPlate();
        Locator thumbs = page.locator(".thumb");
        thumbs.nth(9).click();
        assertThat(sheet.button("Cut into 9 frames")).isEnabled();
        thumbs.nth(0).focus();
        page.keyboard().press("Alt+ArrowRight");
        assertThat(thumbs.nth(1)).isFocused();
        page.locator(".settings .v-select").click();
        page.getByText("By their foot line").click();
        sheet.button("Cut into 9 frames").click();
        assertThat(sheet.cards()).hasCount(9);
        sheet.awaitUndo("Cut “Gull plate.png” into 9 frames");
        List<Raster> drawings = new Easel(page).drawings();
        int across = drawings.get(0).width();
        assertThat(across).isBetween(120, 299);
        for (Raster drawing : drawings) {
            assertThat(drawing.width()).isEqualTo(across);
            assertThat(drawing.pixel(0, 0)).isZero();
            assertThat(lowestDrawn(drawing)).as("all stand on one line").isEqualTo(drawing.height() - 1);
        }
        sheet.button("Undo").click();
        assertThat(sheet.cards()).hasCount(1);
        assertThat(sheet.told("canvas.width")).isEqualTo(1200);
    }

    private static int lowestDrawn(Raster drawing) {
        int lowest = 0;
        for (int i = 0; i < drawing.argb().length; i++) {
            lowest = drawing.argb()[i] >>> 24 > 0 ? i / drawing.width() : lowest;
        }
        return lowest;
    }

    @Test
    void piecesAreFoundByThemselvesAndDraggedToAnotherPlace() {
        openPlate();
        sheet.button("Each by itself").click();
        Locator thumbs = page.locator(".thumb");
        assertThat(page.getByLabel("Join parts as near as")).isVisible();
        assertThat(thumbs).hasCount(10);
        assertThat(sheet.button("Cut into 10 frames")).isEnabled();
        thumbs.nth(4).hover();
        page.mouse().down();
        BoundingBox first = thumbs.nth(0).boundingBox();
        page.mouse().move(first.x + 20, first.y + 20, new Mouse.MoveOptions().setSteps(6));
        page.mouse().up();
        assertThat(thumbs.nth(0)).hasAttribute("data-part", "4");
        assertThat(thumbs.nth(1)).hasAttribute("data-part", "0");
        page.getByLabel("Join parts as near as").fill("400");
        page.keyboard().press("Enter");
        assertThat(thumbs).hasCount(1);
        sheet.button("Cancel").click();
        assertThat(sheet.cards()).hasCount(1);
    }
}
