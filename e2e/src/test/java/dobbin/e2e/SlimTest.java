package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import dobbin.dither.Dither;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.skerry.SkerryPoint;
import dobbin.still.PngWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The bench where one sees what settings cost, on the real thing and by keyboard. */
class SlimTest extends BrowserTest {
    private static final Size SIZE = new Size(160, 100);

    @BeforeEach
    void openSunrise() {
        open(SIZE);
    }

    private void open(Size size) {
        List<Raster> sunrise = SkerryPoint.sunrise(4, size);
        FilePayload[] files = new FilePayload[sunrise.size()];
        for (int i = 0; i < files.length; i++) {
            files[i] = new FilePayload("Sunrise " + (i + 1) + ".png", "image/png", PngWriter.bytes(sunrise.get(i)));
        }
        page.locator("[data-test=files]").first().setInputFiles(files);
        assertThat(sheet.cards()).hasCount(4);
        sheet.toSlim();
        assertThat(dots()).hasCount(1);
    }

    private Locator dots() {
        return page.getByRole(
                        AriaRole.LISTBOX, new Page.GetByRoleOptions().setName(Pattern.compile("Settings tried.*")))
                .getByRole(AriaRole.OPTION);
    }

    private Locator panel(String title) {
        Locator tab = page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(Pattern.compile(title + ".*")));
        tab.click();
        return page.getByRole(AriaRole.TABPANEL);
    }

    private void fill(String label, String value) {
        Locator field = page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
        field.fill(value);
        field.press("Enter");
    }

    @Test
    void eachSettingThatIsTurnedBecomesADotAndOneIsTakenByKeyboard() {
        fill("Number of colors", "8");
        sheet.awaitUndo("Deliver 8 colors");
        assertThat(dots()).hasCount(2);
        assertThat(page.locator("[role=option][aria-selected=true]"))
                .hasAttribute("aria-label", Pattern.compile(".*; 8 colors · Sierra lite 85 %.*"));
        page.locator("[role=option][tabindex='0']").focus();
        page.keyboard().press("End");
        page.keyboard().press("Enter");
        sheet.awaitUndo("Deliver 256 colors");
        assertThat(page.getByLabel("The setting in view")).containsText("256 colors");
        page.getByLabel("Name of this setting").fill("For the post");
        page.getByLabel("Name of this setting").press("Enter");
        page.reload();
        assertThat(dots()).hasCount(2);
        assertThat(page.getByLabel(Pattern.compile("^For the post: .*"))).hasCount(1);
    }

    @Test
    void exploringFillsTheChartAndTheBudgetIsMetInOnePress() {
        page.keyboard().press("e");
        assertThat(page.getByText("Explored.")).isVisible();
        assertThat(dots().count()).isGreaterThan(15);
        page.getByLabel("Budget", new Page.GetByLabelOptions().setExact(true)).fill("lots");
        page.getByLabel("Budget", new Page.GetByLabelOptions().setExact(true)).press("Enter");
        assertThat(page.getByText("Write a size from 1 KB")).isVisible();
        page.getByLabel("Budget", new Page.GetByLabelOptions().setExact(true)).fill("12 KB");
        page.getByLabel("Budget", new Page.GetByLabelOptions().setExact(true)).press("Enter");
        assertThat(page.getByText(Pattern.compile("colors instead of 256.*KB\\.")))
                .isVisible();
        assertThat(sheet.weight()).hasText(Pattern.compile("(12|11|10|9) KB"));
        assertThat(page.locator("[role=option][aria-selected=true]")).hasCount(1);
    }

    @Test
    void aDotThatIsBeatenNamesTheOtherAndCanBeForgotten() {
        sheet.button("Explore").click();
        assertThat(page.getByText("Explored.")).isVisible();
        Locator beaten = page.locator(".dot.off").first();
        beaten.focus();
        Locator card = page.getByLabel("The setting in view");
        assertThat(card).containsText("is better in both");
        assertThat(page.getByAltText("The worst frame of the setting that is pointed at"))
                .isVisible();
        int before = dots().count();
        page.locator("[role=option][aria-selected=true]").click();
        page.mouse().move(5, 5);
        page.getByLabel("Forget this setting").click();
        assertThat(dots()).hasCount(before - 1);
    }

    @Test
    void theRhythmBarIsFilledByBytesHereAndByChangeElsewhere() {
        assertThat(page.getByText(Pattern.compile("Frame \\d is the heaviest"))).isVisible();
        Object here = rhythm();
        sheet.toShare();
        assertThat(page.getByText("Change it on Slim")).isVisible();
        page.waitForCondition(() -> !here.equals(rhythm()));
    }

    private Object rhythm() {
        return page.locator(".rhythm canvas").evaluate("canvas => canvas.toDataURL()");
    }

    @Test
    void exploringCanBeStopped() {
        // Large enough that the search is still under way when Stop is pressed.
        page.navigate(visit.address());
        open(new Size(960, 600));
        sheet.button("Explore").click();
        sheet.button("Stop").click();
        assertThat(sheet.button("Explore")).isVisible();
        assertThat(page.getByText("Explored.")).hasCount(0);
    }

    @Test
    void drawnAndDeliveredAreWipedAtOnePlayhead() {
        letThingsMove();
        page.reload();
        page.getByLabel("Wipe between drawn and delivered").press("Home");
        assertThat(page.getByLabel("Wipe between drawn and delivered")).hasAttribute("aria-valuenow", "0");
        page.getByLabel("Wipe between drawn and delivered").press("Shift+ArrowRight");
        assertThat(page.getByLabel("Wipe between drawn and delivered")).hasAttribute("aria-valuenow", "10");
        page.keyboard().press("3");
        assertThat(page.getByLabel(Pattern.compile("Frame .*, where it differs")))
                .isVisible();
        page.keyboard().press("1");
        assertThat(page.getByAltText("The delivered file, playing")).isVisible();
        page.getByLabel("How large it is looked at").getByText("2×").click();
        Locator file = page.getByAltText("The delivered file, playing");
        assertThat(file.boundingBox().width).isEqualTo(2.0 * SIZE.width());
    }

    @Test
    void dimensionsKeepTheRatio() {
        panel("Size");
        fill("Width", "80");
        sheet.awaitUndo("Deliver 80 px wide");
        assertThat(page.getByLabel("Height", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("50");
        fill("Height", "25");
        assertThat(page.getByLabel("Width", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("40");
        fill("Of the canvas", "200");
        assertThat(page.getByLabel("Width", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("320");
        sheet.button("×3").click();
        sheet.awaitUndo("Enlarge 3 times");
        assertThat(page.getByLabel("Width", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("480");
        sheet.button("as the canvas").click();
        assertThat(page.getByLabel("Width", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("160");
        fill("Width", "1601");
        assertThat(page.getByText("A whole number from 1 to 1,600")).isVisible();
    }

    @Test
    void aCropIsSetByKeyboardAndLeavesTheMaterialAlone() {
        panel("Size");
        sheet.button("Crop").click();
        Locator box =
                page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName(Pattern.compile("Crop box.*")));
        assertThat(box).isFocused();
        page.getByLabel("Ratio of the box").getByText("1:1").click();
        box.focus();
        page.keyboard().press("Alt+Shift+ArrowLeft");
        page.keyboard().press("Shift+ArrowLeft");
        assertThat(box).hasAttribute("aria-label", Pattern.compile("Crop box, 90 by 90 at 20, 0\\..*"));
        page.keyboard().press("Enter");
        sheet.awaitUndo("Crop to 90 × 90");
        assertThat(page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(Pattern.compile("Size.*"))))
                .containsText("90 × 90");
        sheet.button("Crop: 90 × 90").click();
        sheet.button("Trim").click();
        assertThat(page.getByText("There is nothing to trim")).isVisible();
        fill("Left", "20");
        page.keyboard().press("Escape");
        sheet.button("Crop: 90 × 90").click();
        sheet.button("Make it the canvas").click();
        sheet.awaitUndo("Crop the canvas to 90 × 90");
        sheet.button("Undo").click();
        assertThat(sheet.button("Crop: 90 × 90")).isVisible();
    }

    @Test
    void aCropIsDraggedByItsHandlesAndNeverLeavesTheCanvas() {
        panel("Size");
        sheet.button("Crop").click();
        Locator box =
                page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName(Pattern.compile("Crop box.*")));
        var all = box.boundingBox();
        page.mouse().move(all.x + all.width - 1, all.y + all.height - 1);
        page.mouse().down();
        page.mouse().move(all.x + all.width / 2 - 1, all.y + all.height / 2 - 1);
        page.mouse().up();
        assertThat(box).hasAttribute("aria-label", Pattern.compile("Crop box, 80 by 50 at 0, 0\\..*"));
        page.mouse().move(all.x + all.width / 4, all.y + all.height / 4);
        page.mouse().down();
        page.mouse().move(all.x + 3 * all.width, all.y + 3 * all.height);
        page.mouse().up();
        assertThat(box).hasAttribute("aria-label", Pattern.compile("Crop box, 80 by 50 at 80, 50\\..*"));
        sheet.button("Cancel").click();
        assertThat(sheet.button("Crop")).isVisible();
    }

    @Test
    void colorsAreKeptDroppedReplacedNamedAndRead() throws Exception {
        fill("Number of colors", "4");
        sheet.awaitUndo("Deliver 4 colors");
        Locator swatches =
                page.getByLabel("Colors of the file, the darkest first").getByRole(AriaRole.BUTTON);
        assertThat(swatches).hasCount(3);
        swatches.nth(0).click();
        sheet.button("Keep exactly").click();
        sheet.awaitUndo("Change the palette");
        assertThat(page.getByText("1 kept exactly")).isVisible();
        assertThat(swatches).hasCount(3);
        swatches.nth(1).click();
        page.getByLabel("Replace with this color").fill("#12ab56");
        page.getByLabel("Replace with this color").press("Enter");
        assertThat(page.getByLabel(Pattern.compile("#12ab56, .*"))).hasCount(1);
        page.getByLabel(Pattern.compile("#12ab56, .*")).click();
        sheet.button("Drop").click();
        assertThat(page.getByLabel(Pattern.compile("#12ab56, .*"))).hasCount(0);

        sheet.button("Palettes").click();
        page.getByLabel("Name for this palette").fill("Dusk");
        page.getByLabel("Name for this palette").press("Enter");
        assertThat(page.getByTitle("Use the 2 colors of Dusk")).isVisible();
        Download text = page.waitForDownload(() -> sheet.button("Save as text").click());
        assertThat(Files.readAllLines(text.path())).hasSize(2).allMatch(line -> line.matches("#[0-9a-f]{6}"));
        Download strip =
                page.waitForDownload(() -> sheet.button("Save as strip").click());
        assertThat(strip.suggestedFilename()).endsWith(".png");
        page.getByLabel("Palette file")
                .setInputFiles(new FilePayload(
                        "harbor.txt", "text/plain", "#b23a2e\n#2b6f86\n#f6f1e7\n".getBytes(StandardCharsets.UTF_8)));
        assertThat(page.getByText("The colors come from “harbor.txt”.")).isVisible();
        assertThat(page.getByLabel(Pattern.compile("#2b6f86, .*"))).hasCount(1);
        sheet.button("Palettes").click();
        page.getByLabel("Palette file")
                .setInputFiles(new FilePayload(
                        "letter.txt", "text/plain", "Dear harbor master".getBytes(StandardCharsets.UTF_8)));
        assertThat(page.getByText("“letter.txt” has no color in line 1")).isVisible();
    }

    @Test
    void howColorsAreChosenAndInHowManyPalettesIsSaid() {
        Locator panel = panel("Colors");
        sheet.button("grays").click();
        sheet.awaitUndo("Change the palette");
        assertThat(panel.locator(".swatch").first()).hasAttribute("aria-label", Pattern.compile("#(..)\\1\\1, .*"));
        sheet.button("one a frame").click();
        assertThat(panel).containsText(Pattern.compile("4 palettes of up to \\d+: as you set\\."));
        sheet.button("one for the loop").click();
        assertThat(panel).containsText("One palette of");
    }

    @Test
    void ditheringIsChosenByEyeAndItsAmountByKeys() {
        Locator panel = panel("Dithering");
        assertThat(panel.getByRole(AriaRole.RADIO)).hasCount(Dither.values().length);
        assertThat(panel.locator(".patch").first()).hasCSS("background-image", Pattern.compile("url.*dithers\\.png.*"));
        panel.getByText("blue noise").click();
        sheet.awaitUndo("Change dithering");
        Locator slider = panel.getByRole(AriaRole.SLIDER);
        slider.focus();
        page.keyboard().press("ArrowRight");
        assertThat(page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(Pattern.compile("Dithering.*"))))
                .containsText("blue noise 86 %");
    }

    @Test
    void framesAreThinnedForTheFileAlone() {
        Locator panel = panel("Change");
        fill("Tolerance", "40");
        sheet.awaitUndo("Change the encoding");
        sheet.button("one frame in 2").click();
        sheet.awaitUndo("Deliver every second frame");
        assertThat(panel).containsText("2 frames of 4 in the file, 400 ms as before");
        sheet.toShare();
        assertThat(page.getByLabel("How the file is made")).isVisible();
        assertThat(page.getByText("2 frames")).isVisible();
    }

    @Test
    void transparencyGetsAPageColorAndTheFileAComment() {
        Locator panel = panel("Edges");
        sheet.button("all on a color").click();
        sheet.awaitUndo("Change soft edges");
        assertThat(panel).containsText("Nothing is transparent");
        sheet.button("mixed with a page color").click();
        fill("Opaque from", "64");
        page.getByLabel("Comment in the file").fill("Skerry Point");
        page.getByLabel("Comment in the file").press("Enter");
        sheet.awaitUndo("Change the encoding");
        assertThat(page.locator("[role=option][aria-selected=true]")).hasCount(1);
        Object hasComment = page.evaluate("""
                async () => {
                  const path = '/api/reels/' + location.pathname.split('/')[2]
                  const { file } = await (await fetch(path + '/weight')).json()
                  return (await (await fetch(`${path}/files/${file}.gif`)).text()).includes('Skerry Point')
                }""");
        assertThat(hasComment).isEqualTo(true);
    }

    @Test
    void twoTabsTurnAtOnceAndNothingIsLost() {
        try (Page other = visit.browser().open(page.url())) {
            assertThat(other.getByLabel("Number of colors")).hasValue("256");
            fill("Number of colors", "16");
            assertThat(other.getByLabel("Number of colors")).hasValue("16");
            other.getByLabel("Number of colors").fill("32");
            other.getByLabel("Number of colors").press("Enter");
            assertThat(page.getByLabel("Number of colors")).hasValue("32");
            assertThat(page.locator("[role=option][aria-selected=true]"))
                    .hasAttribute("aria-label", Pattern.compile(".*; 32 colors .*"));
        }
    }

    @Test
    void withoutFramesItSaysHowToBegin() {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Sheet"))
                .click();
        sheet.select("All");
        page.keyboard().press("Delete");
        assertThat(sheet.cards()).hasCount(0);
        sheet.toSlim();
        assertThat(page.getByText("No frames yet. Add stills on the Sheet")).isVisible();
        assertThat(sheet.button("Explore")).isDisabled();
    }
}
