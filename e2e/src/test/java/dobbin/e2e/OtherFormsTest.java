package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ReducedMotion;
import dobbin.raster.Raster;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.List;
import java.util.zip.ZipFile;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Each form is saved by the browser, and judged by a reader that is not ours. */
class OtherFormsTest extends BrowserTest {
    @BeforeEach
    void open() {
        sheet.openFive();
    }

    private Path saved(String form, String file) {
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Form"))
                .press("ArrowDown");
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(form))
                .click();
        return saved(page.getByLabel("Other forms").getByText("Download"), file);
    }

    private Path saved(Locator button, String file) {
        Download download = page.waitForDownload(button::click);
        assertThat(download.suggestedFilename()).isEqualTo(file);
        return download.path();
    }

    /** What the browser makes of an animation: of each frame its time in microseconds, and its middle. */
    private List<?> framesOf(Path file, String type) throws IOException {
        return (List<?>)
                page.evaluate("""
                async ([file, type]) => {
                  const data = Uint8Array.from(atob(file), (each) => each.charCodeAt(0))
                  const decoder = new ImageDecoder({ data, type })
                  await decoder.tracks.ready
                  await decoder.completed
                  const frames = []
                  for (let frameIndex = 0; frameIndex < decoder.tracks.selectedTrack.frameCount; frameIndex++) {
                    const { image } = await decoder.decode({ frameIndex })
                    const surface = new OffscreenCanvas(image.displayWidth, image.displayHeight).getContext('2d')
                    surface.drawImage(image, 0, 0)
                    const [r, g, b, a] = surface.getImageData(image.displayWidth / 2, image.displayHeight / 2, 1, 1).data
                    frames.push(`${image.duration}: ${image.displayWidth} x ${image.displayHeight}, ${r} ${g} ${b} ${a}`)
                  }
                  return frames
                }""", List.of(Base64.getEncoder().encodeToString(Files.readAllBytes(file)), type));
    }

    private static String middle(int number) {
        int color = Stills.color(number);
        return "60 x 40, " + (color >> 16 & 0xFF) + " " + (color >> 8 & 0xFF) + " " + (color & 0xFF) + " 255";
    }

    @Test
    void anAnimatedPngPlaysInTheBrowser() throws IOException {
        sheet.toShare();
        assertThat(framesOf(saved("Animated PNG", "Tide.png"), "image/png"))
                .isEqualTo(List.of(
                        "100000: " + middle(1),
                        "100000: " + middle(2),
                        "100000: " + middle(3),
                        "100000: " + middle(9),
                        "100000: " + middle(10)));
    }

    @Test
    void onlyTheSelectedFramesAreSavedAsStills() throws IOException {
        sheet.chooseFrames(2, 4);
        sheet.toShare();
        page.getByLabel("Only the 2 selected frames").click();
        try (ZipFile zip = new ZipFile(saved("Numbered PNG stills", "Tide.zip").toFile())) {
            assertThat(zip.stream().map(Object::toString))
                    .containsExactly("frame-0001.png", "frame-0002.png", "frames.json");
            assertThat(ImageIO.read(zip.getInputStream(zip.getEntry("frame-0002.png")))
                            .getRGB(30, 20))
                    .isEqualTo(Stills.color(9));
        }
    }

    @Test
    void aSheetIsSavedAndBroughtInAgain(@TempDir Path folder) throws Exception {
        sheet.toShare();
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Form"))
                .press("ArrowDown");
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Sheet of all frames"))
                .click();
        Locator across = page.getByLabel("Side by side");
        across.fill("2");
        across.press("Enter");
        Path again = folder.resolve("Tide.sheet.png");
        try (ZipFile zip = new ZipFile(saved(page.getByLabel("Other forms").getByText("Download"), "Tide.zip")
                .toFile())) {
            byte[] bytes = zip.getInputStream(zip.getEntry("Tide.sheet.png")).readAllBytes();
            var picture = ImageIO.read(new ByteArrayInputStream(bytes));
            assertThat(picture.getWidth()).isEqualTo(120);
            assertThat(picture.getHeight()).isEqualTo(120);
            assertThat(picture.getRGB(90, 60)).isEqualTo(Stills.color(9));
            assertThat(new String(
                            zip.getInputStream(zip.getEntry("Tide.sheet.json")).readAllBytes(), StandardCharsets.UTF_8))
                    .contains("{\"x\":60,\"y\":40,\"width\":60,\"height\":40,\"delayMillis\":100}");
            Files.write(again, bytes);
        }
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Sheet").setExact(true))
                .click();
        page.locator("[data-test=files]").first().setInputFiles(again);
        assertThat(sheet.cards()).hasCount(10);
        List<Raster> drawings = new Easel(page).drawings();
        assertThat(drawings.subList(5, 10)).isEqualTo(drawings.subList(0, 5));
    }

    @Test
    void theHtmlSaysWhatIsShownAndShowsAStillWhereNothingMayMove(@TempDir Path folder) throws IOException {
        sheet.toShare();
        sheet.button("HTML…").click();
        page.getByLabel("What it shows, in words").fill("The tide \"comes in\"");
        Locator still = page.getByLabel("Still is frame");
        still.fill("3");
        still.press("Enter");
        sheet.awaitUndo("Choose the still that stands for it");
        Locator html = page.getByLabel("HTML", new Page.GetByLabelOptions().setExact(true));
        assertThat(html).containsText("alt=\"The tide &quot;comes in&quot;\" loading=\"lazy\"");
        assertThat(html).containsText("src=\"Tide.gif\" width=\"60\" height=\"40\"");

        Path example = folder.resolve("example.html");
        Files.copy(saved(sheet.button("Page in one file"), "Tide.example.html"), example);
        try (Page shown = page.context().newPage()) {
            for (ReducedMotion motion : ReducedMotion.values()) {
                shown.emulateMedia(new Page.EmulateMediaOptions().setReducedMotion(motion));
                shown.navigate(example.toUri().toString());
                Locator image = shown.getByAltText("The tide \"comes in\"");
                shown.waitForCondition(
                        () -> (Boolean) image.evaluate("(img) => img.complete && img.naturalWidth === 60"));
                assertThat((String) image.evaluate("(img) => img.currentSrc.slice(0, 15)"))
                        .isEqualTo(motion == ReducedMotion.REDUCE ? "data:image/png;" : "data:image/gif;");
                assertThat(image.evaluate("(img) => img.width + ' x ' + img.height"))
                        .isEqualTo("60 x 40");
            }
        }
        try (ZipFile zip = new ZipFile(
                saved(sheet.button("Page with its files"), "Tide.zip").toFile())) {
            assertThat(zip.stream().map(Object::toString)).containsExactly("Tide.html", "Tide.gif", "Tide.still.png");
            assertThat(ImageIO.read(zip.getInputStream(zip.getEntry("Tide.still.png")))
                            .getRGB(30, 20))
                    .isEqualTo(Stills.color(3));
        }
    }
}
