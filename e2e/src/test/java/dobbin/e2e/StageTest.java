package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import dobbin.lettering.Typeface;
import dobbin.raster.Size;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The stage of Move: room around the canvas, zoom, its tools by keyboard, and words of any script. */
class StageTest extends AtTheMoveBench {
    private static final int RED = 0xFFB23E28;

    @BeforeEach
    void goToTheFirstFrame() {
        bench.goTo(1);
    }

    private void addSquare() {
        bench.addPictures("Pictures…", Stills.png("Ferry.png", new Size(20, 20), RED));
        bench.awaitTitle("Ferry at frame 1");
    }

    private void press(String... keys) {
        page.locator(".surface").focus();
        List.of(keys).forEach(page.keyboard()::press);
    }

    @Test
    void whatWasMovedOffTheCanvasIsChosenAndMovedBackThere() {
        addSquare();
        bench.drag(120, 80, -30, 80);
        page.waitForCondition(() -> Math.abs(bench.track(1, "x").get(0) + 30) < 1);
        page.keyboard().press("Escape");
        assertThat(page.locator(".box.beyond")).hasCount(1);
        bench.drag(-32, 80, 100, 80);
        page.waitForCondition(() -> Math.abs(bench.track(1, "x").get(0) - 102) < 1);
        bench.awaitTitle("Ferry at frame 1");
    }

    @Test
    void theStageIsZoomedAboutThePointerAndFittedAgain() {
        addSquare();
        Locator surface = page.locator(".surface");
        BoundingBox fitted = surface.boundingBox();
        double x = fitted.x + fitted.width / 4;
        double y = fitted.y + fitted.height / 2;
        page.mouse().move(x, y);
        page.keyboard().down("Control");
        for (int i = 0; i < 6; i++) {
            page.mouse().wheel(0, -100);
            page.waitForTimeout(50);
        }
        page.keyboard().up("Control");
        BoundingBox near = surface.boundingBox();
        assertThat(near.width).isGreaterThan(3 * fitted.width);
        assertThat((x - near.x) / near.width).as("the place under the pointer").isCloseTo(0.25, within(0.01));
        press("0");
        assertThat(surface.boundingBox().width).isCloseTo(fitted.width, within(1.0));
        press("-");
        assertThat(surface.boundingBox().width).isLessThan(0.9 * fitted.width);
    }

    @Test
    void boxesLieOnWholePixelsByChoice() {
        addSquare();
        bench.set("Across", "100.4");
        page.waitForCondition(() -> bench.track(1, "x").get(0) == 100.4);
        sheet.button("Whole pixels").click();
        press("ArrowRight");
        page.waitForCondition(() -> bench.track(1, "x").get(0) == 101);
        sheet.button("Whole pixels").click();
    }

    @Test
    void thePivotABoxAndAPathAreSetByKeyboard() {
        addSquare();
        bench.more("Set its pivot…");
        assertThat(page.locator(".hint[role=status]")).containsText("press Enter");
        press("Enter", "Shift+ArrowLeft", "Shift+ArrowUp", "Enter");
        sheet.awaitUndo("Move the pivot of Ferry");
        assertThat(bench.track(1, "x").get(0)).isEqualTo(110.0);
        assertThat(page.locator(".hint[role=status]")).hasCount(0);

        bench.motion("Follow a path");
        bench.submit();
        press("Enter", "Enter", "Shift+ArrowRight", "Shift+ArrowRight", "Enter", "Enter");
        sheet.awaitUndo("Let Ferry follow a path");
        assertThat(bench.track(1, "x").get(0)).isEqualTo(110.0);
        assertThat(bench.track(1, "x").get(11)).isEqualTo(130.0);

        page.keyboard().press("Escape");
        bench.add("A box on this frame…");
        press("Enter", "Enter", "Shift+ArrowRight", "Shift+ArrowDown", "Enter");
        assertThat(bench.head("Cut from")).isVisible();
        bench.add("A box on this frame…");
        press("Escape");
        assertThat(page.locator(".hint[role=status]")).hasCount(0);
    }

    @Test
    void aCutOutIsHiddenOnARowOfFramesInOneStep() {
        addSquare();
        bench.more("Hide on some frames…");
        bench.fill("From frame", "5");
        bench.fill("to frame", "8");
        bench.submit();
        sheet.awaitUndo("Hide Ferry on 4 frames");
        assertThat(bench.reel().get("tracks").get(0).get("away").toString()).isEqualTo("[4,5,6,7]");
    }

    @Test
    void aTweenFromTheLastFrameClosesTheLoop() {
        page.evaluate("document.activeElement.blur()");
        page.keyboard().press("End");
        sheet.button("Tween…").click();
        bench.fill("New frames", "3");
        bench.submit();
        sheet.awaitUndo("Tween 3 frames");
        assertThat(bench.reel().get("frames").size()).isEqualTo(15);
        assertThat(bench.reel()
                        .get("frames")
                        .get(14)
                        .get("content")
                        .get("share")
                        .asDouble())
                .isEqualTo(0.75);
    }

    @Test
    void wordsAreInAnyScriptAndWhatIsRefusedStaysInTheDialog() {
        bench.add("Words…");
        Locator text = page.locator(".v-dialog textarea").first();
        text.fill("tide \uE000");
        page.locator(".v-dialog button[type=submit]").click();
        assertThat(page.locator(".v-dialog .refused")).containsText("which no typeface here has a letter for");
        assertThat(text).hasValue("tide \uE000");
        visit.browser().complaints().clear();
        text.fill("שלום 灯台 مرحبا ⛴");
        bench.submit();
        assertThat(bench.head("שלום")).isVisible();
    }

    @Test
    void wordsAreSetInATypefaceFromAFileAndInColorsOneAfterTheOther() throws IOException {
        bench.add("Words…");
        page.locator(".v-dialog textarea").first().fill("Ferry");
        page.locator("[data-test=typeface]")
                .setInputFiles(new FilePayload("Notes.ttf", "font/ttf", "no letters".getBytes()));
        assertThat(page.locator(".v-dialog")).containsText("“Notes.ttf” is no typeface in the form of TTF or OTF.");
        visit.browser().complaints().clear();
        try (InputStream lora = Typeface.class.getResourceAsStream("Lora-Regular.ttf")) {
            page.locator("[data-test=typeface]")
                    .setInputFiles(new FilePayload("Mine.ttf", "font/ttf", lora.readAllBytes()));
        }
        assertThat(page.locator(".v-dialog .v-select")).containsText("Lora Regular");
        page.getByLabel("Letters in several colors").check();
        sheet.button("Color").click();
        bench.submit();
        assertThat(bench.head("Ferry")).isVisible();
        var art = bench.reel().get("cutouts").get(0).get("art");
        assertThat(art.get("own").get("name").asString()).isEqualTo("Lora Regular");
        assertThat(art.get("colors").size()).isEqualTo(3);
        assertThat(art.get("widest").asInt()).isEqualTo(216);
    }
}
