package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import dobbin.gif.GifFrame;
import dobbin.gif.GifReader;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.DecodeLimits;
import dobbin.still.StillReader;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Frames made by hand, with a real pointer on the real thing. */
class DrawTest {
    private static final int INK = 0xFF1E2A32;
    private static final String FETCH = """
            async (address) => {
              const bytes = new Uint8Array(await (await fetch(address)).arrayBuffer())
              return btoa(bytes.reduce((text, byte) => text + String.fromCharCode(byte), ''))
            }""";
    /** Remembers the pixels of the ink that is shown, under a name. */
    private static final String REMEMBER = """
            (name) => {
              const canvas = document.querySelector('[data-test=ink]')
              window[name] = canvas.getContext('2d').getImageData(0, 0, canvas.width, canvas.height).data
            }""";
    /** How many pixels changed from `without` to `told`, and on how many `under` is off by more than 8 levels on any page. */
    private static final String JUMPS = """
            () => {
              const light = (data, at, channel) => channel === 3 ? data[at + 3] : data[at + channel] * data[at + 3] / 255
              const some = (at, test) => [0, 1, 2, 3].some((channel) => test(at, channel))
              let changed = 0, off = 0
              for (let at = 0; at < told.length; at += 4) {
                changed += some(at, (a, c) => told[a + c] !== without[a + c])
                off += some(at, (a, c) => Math.abs(light(told, a, c) - light(under, a, c)) > 8)
              }
              return [changed, off]
            }""";

    @RegisterExtension
    private static final Visit visit = new Visit();

    private Page page;
    private Sheet sheet;

    @BeforeEach
    void open() {
        page = visit.page();
        sheet = new Sheet(page);
    }

    private void newReel(String size) {
        sheet.button("New reel…").click();
        Locator dialog = page.locator(".v-dialog");
        dialog.getByText(size).click();
        dialog.locator("button[type=submit]").click();
        assertThat(sheet.cards()).hasCount(1);
        toDraw();
    }

    private void toDraw() {
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Draw").setExact(true))
                .click();
        assertThat(easel()).isVisible();
    }

    private Locator easel() {
        return page.getByRole(AriaRole.APPLICATION, new Page.GetByRoleOptions().setName(Pattern.compile("Easel.*")));
    }

    private Locator inkCanvas() {
        return page.getByLabel("Ink of this page");
    }

    /** @param points x and y each, in pixels of the canvas */
    private void stroke(double... points) {
        for (int i = 0; i < points.length; i += 2) {
            moveTo(points[i], points[i + 1], i == 0 ? 1 : 6);
            if (i == 0) {
                page.mouse().down();
            }
        }
        page.mouse().up();
    }

    private void moveTo(double x, double y, int steps) {
        BoundingBox box = inkCanvas().boundingBox();
        int width = Integer.parseInt(inkCanvas().getAttribute("width"));
        double scale = box.width / width;
        page.mouse().move(box.x + x * scale, box.y + y * scale, new Mouse.MoveOptions().setSteps(steps));
    }

    /** Draws, and waits until the server's own picture is shown. */
    private void drawn(double... points) {
        String before = inkCanvas().getAttribute("data-ink");
        stroke(points);
        awaitOtherInk(before);
    }

    private void awaitOtherInk(String before) {
        assertThat(inkCanvas()).not().hasAttribute("data-ink", before);
    }

    private void goesTo(String pageTitle) {
        assertThat(page.getByText(pageTitle)).isVisible();
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

    private String reel() {
        return page.url().replaceAll(".*/reels/([0-9a-f-]+)/.*", "$1");
    }

    /** @return the frames as the server draws them, at the size of the canvas */
    private List<Raster> drawings() throws Exception {
        List<?> looks = (List<?>) page.evaluate(
                "async (id) => (await (await fetch('/api/reels/' + id)).json()).frames.map(frame => frame.drawn)",
                reel());
        List<Raster> drawings = new ArrayList<>();
        for (Object look : looks) {
            Object file = page.evaluate(FETCH, "/api/reels/" + reel() + "/frames/" + look + ".png?width=1600");
            drawings.add(StillReader.read(Base64.getDecoder().decode(file.toString()), DecodeLimits.USUAL)
                    .raster());
        }
        return drawings;
    }

    @Test
    void aFlipBookIsDrawnPageByPageWithThePageBeforeShiningThrough() throws Exception {
        newReel("480 × 320");
        for (int number = 1; number <= 10; number++) {
            if (number > 1) {
                page.keyboard().press("n");
                goesTo("Page " + number + " of " + number + ", ink alone");
                page.waitForCondition(() -> shines() > 0);
            }
            double x = 40 + 40 * number;
            drawn(x, 200, x + 20, 120 - 4 * number, x + 40, 200);
        }
        page.keyboard().press(",");
        goesTo("Page 9 of 10, ink alone");
        List<Raster> drawings = drawings();
        List<Raster> loop = decoded(delivered());
        assertThat(loop).hasSize(10);
        for (int i = 0; i < loop.size(); i++) {
            Raster drawing = drawings.get(i);
            for (int at = 0; at < drawing.argb().length; at++) {
                int wanted = drawing.argb()[at] >>> 24 >= 128 ? INK : 0;
                assertThat(loop.get(i).argb()[at])
                        .as("frame %d, pixel %d", i, at)
                        .isEqualTo(wanted);
            }
        }
    }

    private int shines() {
        Object found = page.evaluate("""
                () => {
                  const canvas = document.querySelector('[data-test=shine]')
                  return canvas.getContext('2d').getImageData(0, 0, canvas.width, canvas.height).data.filter((_, i) => i % 4 === 3).reduce((sum, alpha) => sum + (alpha > 0), 0)
                }""");
        return ((Number) found).intValue();
    }

    @Test
    void pixelPicturesAreDeliveredTenTimesEnlargedWithEveryPixelExact() throws Exception {
        newReel("16 × 16");
        page.keyboard().press("5");
        drawn(2.5, 12.5, 13.5, 12.5);
        drawn(7.5, 11.5, 7.5, 2.5);
        page.keyboard().press("n");
        goesTo("Page 2 of 2, ink alone");
        page.waitForCondition(() -> shines() == 22);
        drawn(3.5, 12.5, 12.5, 12.5);
        page.keyboard().press("o");
        drawn(4.5, 2.5, 10.5, 8.5);
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Sheet"))
                .click();
        page.keyboard().press("Control+a");
        page.getByLabel("Delay in ms").fill("250");
        page.getByLabel("Delay in ms").press("Enter");
        sheet.awaitDelays("250 ms", "250 ms");
        sheet.slimWidth();
        sheet.button("×10").click();
        sheet.awaitUndo("Enlarge 10 times");
        List<Raster> drawings = drawings();
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
        assertThat(drawings.get(0).pixel(7, 5)).isEqualTo(INK);
    }

    @ParameterizedTest
    @ValueSource(strings = {"1", "2", "3", "4", "5"})
    void whatIsShownUnderTheHandIsWhatTheServerDraws(String pen) {
        newReel("480 × 320");
        page.keyboard().press("2");
        drawn(100, 60, 380, 80);
        page.keyboard().press(pen);
        String before = inkCanvas().getAttribute("data-ink");
        page.evaluate(REMEMBER, "without");
        stroke(90, 40, 180, 200, 240, 60, 330, 260, 400, 100);
        page.evaluate(REMEMBER, "under");
        awaitOtherInk(before);
        page.evaluate(REMEMBER, "told");
        List<?> jumps = (List<?>) page.evaluate(JUMPS);
        int ofStroke = ((Number) jumps.get(0)).intValue();
        assertThat(ofStroke).isGreaterThan(100);
        assertThat(((Number) jumps.get(1)).intValue())
                .as("pixels of %d that jump", ofStroke)
                .isLessThanOrEqualTo(ofStroke / 50);
    }

    @Test
    void aPhotoIsDrawnOverAndStaysAsItIs() throws Exception {
        sheet.openFive();
        toDraw();
        page.keyboard().press("Home");
        goesTo("Page 1 of 5, over Tide 1.png");
        Raster photo = drawings().get(0);
        drawn(10, 10, 50, 30);
        sheet.awaitUndo("Draw on frame 1");
        assertThat(drawings().get(0)).isNotEqualTo(photo);
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
        drawn(0, 20, 60, 20);
        sheet.awaitUndo("Erase on frame 1");
        assertThat(drawings().get(0)).isEqualTo(photo);
        sheet.button("Undo").click();
        sheet.awaitUndo("Draw on frame 1");
        assertThat(drawings().get(0)).isNotEqualTo(photo);
    }

    @Test
    void aFigureInFivePosesIsSeenThroughAndDeliveredCroppedAndTransparent() throws Exception {
        newReel("64 × 64");
        page.keyboard().press("5");
        for (int pose = 0; pose < 5; pose++) {
            if (pose > 0) {
                page.keyboard().press("n");
                goesTo("Page " + (pose + 1) + " of " + (pose + 1) + ", ink alone");
            }
            double x = 10.5 + 6 * pose;
            drawn(x, 20.5, x, 40.5);
        }
        page.getByRole(AriaRole.RADIOGROUP, new Page.GetByRoleOptions().setName("Pages before"))
                .getByText("all")
                .click();
        page.waitForCondition(() -> shines() == 4 * 21);
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
            assertThat(loop.get(pose).pixel(6 * pose, 10)).isEqualTo(INK);
            assertThat(loop.get(pose).pixel(6 * pose + (pose < 4 ? 1 : -1), 10)).isZero();
        }
    }

    @Test
    void aPageIsDrawnByKeysAloneAndUndoneMarkByMark() throws Exception {
        newReel("16 × 16");
        page.keyboard().press("5");
        easel().focus();
        page.keyboard().press("Enter");
        for (int i = 0; i < 4; i++) {
            page.keyboard().press("ArrowRight");
        }
        page.keyboard().press("Enter");
        sheet.awaitUndo("Draw on frame 1");
        assertThat(Inked.count(drawings().get(0))).isEqualTo(5);
        page.keyboard().press("l");
        page.keyboard().press("Enter");
        page.keyboard().press("ArrowDown");
        page.keyboard().press("ArrowDown");
        page.keyboard().press("Enter");
        page.waitForCondition(() -> count() == 7);
        page.keyboard().press("Control+z");
        page.waitForCondition(() -> count() == 5);
        page.keyboard().press("Control+z");
        page.waitForCondition(() -> count() == 0);
        page.reload();
        assertThat(easel()).isVisible();
        page.keyboard().press("Control+Shift+z");
        page.waitForCondition(() -> count() == 5);
    }

    private int count() {
        try {
            return Inked.count(drawings().get(0));
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void twentyStrokesInASecondAreAllKept() throws Exception {
        newReel("64 × 64");
        page.keyboard().press("5");
        for (int i = 0; i < 20; i++) {
            double x = 1.5 + 3 * i;
            moveTo(x, 10.5, 1);
            page.mouse().down();
            moveTo(x, 12.5, 1);
            page.mouse().up();
        }
        page.waitForCondition(() -> count() == 60);
    }

    @Test
    void inkIsTakenMovedCopiedAndPastedOnAnotherPage() throws Exception {
        newReel("64 × 64");
        page.keyboard().press("5");
        drawn(10.5, 10.5, 14.5, 10.5);
        page.keyboard().press("t");
        stroke(8, 8, 18, 14);
        page.keyboard().press("Control+c");
        easel().press("Shift+ArrowDown");
        sheet.awaitUndo("Move ink on frame 1");
        assertThat(drawings().get(0).pixel(12, 20)).isEqualTo(INK);
        assertThat(drawings().get(0).pixel(12, 10)).isZero();
        page.keyboard().press("n");
        goesTo("Page 2 of 2, ink alone");
        page.keyboard().press("Control+v");
        sheet.awaitUndo("Paste ink on frame 2");
        sheet.button("Ink").click();
        sheet.choose("Make it a cut-out");
        sheet.awaitUndo("Make the ink of frame 2 a cut-out");
    }

    @Test
    void aMarkThatCouldNotBeSavedIsTriedAgain() {
        newReel("64 × 64");
        page.keyboard().press("5");
        page.route("**/marks", route -> route.abort());
        stroke(10.5, 10.5, 20.5, 10.5);
        assertThat(page.getByText("One mark is not saved.")).isVisible();
        page.unroute("**/marks");
        sheet.button("Try again").click();
        sheet.awaitUndo("Draw on frame 1");
        assertThat(page.getByText("One mark is not saved.")).hasCount(0);
        page.waitForCondition(() -> count() == 11);
        visit.browser().complaints().clear();
    }
}
