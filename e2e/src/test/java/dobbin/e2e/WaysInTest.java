package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import dobbin.ora.OraWriter;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.skerry.SkerryPoint;
import dobbin.still.PngWriter;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Files of other kinds than stills that the server reads: they become frames as the browser shows them, or say why not. */
class WaysInTest {
    /** Half opaque pixels are mixed in whole numbers, here and there. */
    private static final int ROUNDING = 2;

    @RegisterExtension
    private static final Visit visit = new Visit();

    private Page page;
    private Sheet sheet;

    @BeforeEach
    void open() {
        page = visit.page();
        sheet = new Sheet(page);
    }

    /** A file, and what the browser makes of it. */
    private record Moving(byte[] file, List<Map<String, Object>> frames) {}

    /** @param call of what {@code moving.js} has */
    @SuppressWarnings("unchecked")
    private Moving moving(String call, String type) {
        Map<String, Object> made = (Map<String, Object>) page.evaluate("async () => { const moving = " + script()
                + "; return moving.shown(await moving." + call + ", '" + type + "') }");
        return new Moving(
                Base64.getDecoder().decode((String) made.get("file")), (List<Map<String, Object>>) made.get("frames"));
    }

    private static String script() {
        try (InputStream in = WaysInTest.class.getResourceAsStream("moving.js")) {
            String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            return text.substring(text.indexOf("({"));
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private void bring(String name, byte[] file) {
        page.locator("[data-test=files]")
                .first()
                .setInputFiles(new FilePayload(name, "application/octet-stream", file));
    }

    private void assertShown(Moving moving) throws Exception {
        List<Raster> drawings = new Easel(page).drawings();
        assertThat(drawings).hasSameSizeAs(moving.frames());
        for (int i = 0; i < drawings.size(); i++) {
            byte[] wanted =
                    Base64.getDecoder().decode((String) moving.frames().get(i).get("pixels"));
            assertSame(drawings.get(i), wanted, "frame " + i);
        }
    }

    private static void assertSame(Raster drawing, byte[] wanted, String frame) {
        int[] argb = drawing.argb();
        assertThat(wanted).hasSize(4 * argb.length);
        for (int at = 0; at < argb.length; at++) {
            int alpha = argb[at] >>> 24;
            int wantedAlpha = wanted[4 * at + 3] & 0xFF;
            assertThat(alpha).as("%s, alpha of pixel %d", frame, at).isCloseTo(wantedAlpha, within(ROUNDING));
            for (int channel = 0; channel < 3; channel++) {
                int mine = (argb[at] >> 16 - 8 * channel & 0xFF) * alpha / 255;
                int other = (wanted[4 * at + channel] & 0xFF) * wantedAlpha / 255;
                assertThat(mine)
                        .as("%s, channel %d of pixel %d", frame, channel, at)
                        .isCloseTo(other, within(ROUNDING));
            }
        }
    }

    private static org.assertj.core.data.Offset<Integer> within(int levels) {
        return org.assertj.core.data.Offset.offset(levels);
    }

    @Test
    void anAnimatedPngBecomesTheFramesTheBrowserShows() throws Exception {
        Moving ferry = moving("""
                png(48, 32, 3, [
                  { x: 0, y: 0, width: 48, height: 32, color: '#2b6a80', delay: 1, parts: 8, disposal: 0, blending: 0 },
                  { x: 5, y: 6, width: 20, height: 10, color: '#b23e28', delay: 70, parts: 1000, disposal: 1, blending: 1 },
                  { x: 10, y: 10, width: 30, height: 20, color: '#e0b04a', delay: 20, parts: 0, disposal: 2, blending: 0 },
                  { x: 2, y: 1, width: 12, height: 12, color: '#1e2a32', delay: 40, parts: 100, disposal: 0, blending: 1 },
                ])""", "image/png");
        bring("Ferry.png", ferry.file());
        sheet.awaitDelays("125 ms", "70 ms", "200 ms", "400 ms");
        assertShown(ferry);
        assertThat(page.getByText("plays 3 times")).isVisible();
    }

    @Test
    void anAnimatedWebpIsReadByTheBrowserWithItsDelays() throws Exception {
        Moving gull = moving(
                "webp(40, 30, 0, [{ color: '#2b6a80', delay: 90 }, { color: '#b23e28', delay: 250 }, { color: '#e0b04a', delay: 40 }])",
                "image/webp");
        bring("Gull.webp", gull.file());
        sheet.awaitDelays("90 ms", "250 ms", "40 ms");
        assertThat(page.getByText("“Gull.webp” was read by the browser and kept as PNG, pixel by pixel."))
                .isVisible();
        assertShown(gull);
    }

    @Test
    void aStillThatOnlyTheBrowserReadsIsBroughtInAndAnotherSaysWhatToDo() throws Exception {
        byte[] avif;
        try (InputStream in = WaysInTest.class.getResourceAsStream("harbor.avif")) {
            avif = in.readAllBytes();
        }
        Moving harbor = moving("bytes('" + Base64.getEncoder().encodeToString(avif) + "')", "image/avif");
        byte[] heic = "\0\0\0\u0018ftypheic\0\0\0\0mif1heic".getBytes(StandardCharsets.ISO_8859_1);
        page.locator("[data-test=files]").first().setInputFiles(new FilePayload[] {
            new FilePayload("Harbor.avif", "image/avif", avif), new FilePayload("Photo.heic", "image/heic", heic)
        });
        assertThat(sheet.cards()).hasCount(1);
        assertThat(page.getByText("“Photo.heic” is a HEIC photo, which this browser cannot read."))
                .isVisible();
        assertShown(harbor);
    }

    @Test
    void subfoldersOfAFolderBecomeNamedRuns(@TempDir Path folder) throws IOException {
        for (String still : List.of("Dusk/Ferry 10.png", "Dusk/Ferry 2.png", "Dawn/Gull 1.png", "Dawn/Gull 2.png")) {
            Path file = folder.resolve("Crossing").resolve(still);
            Files.createDirectories(file.getParent());
            int color = 0xFF000000 | 0x10203 * still.length();
            Files.write(file, PngWriter.bytes(Raster.filled(new Size(8, 6), color)));
        }
        page.locator("[data-test=folder]").first().setInputFiles(folder.resolve("Crossing"));
        sheet.awaitUndo("Name runs after their folders");
        assertThat(sheet.cards()).hasCount(4);
        List<?> names = (List<?>) page.evaluate("""
                async (id) => {
                  const { frames, runs } = await (await fetch('/api/reels/' + id)).json()
                  return frames.map((frame) => runs.find(({ id }) => id === frame.run).name + ': ' + frame.name)
                }""", page.url().replaceAll(".*/reels/([0-9a-f-]+)/.*", "$1"));
        assertThat(names)
                .isEqualTo(List.of("Dawn: Gull 1.png", "Dawn: Gull 2.png", "Dusk: Ferry 2.png", "Dusk: Ferry 10.png"));
        page.keyboard().press("Control+z");
        assertThat(sheet.cards()).hasCount(4);
    }

    private void openHandHeld() {
        sheet.choose(SkerryPoint.handHeld().stream()
                .map(file -> new FilePayload(file.name(), "image/jpeg", file.bytes()))
                .toArray(FilePayload[]::new));
        assertThat(sheet.cards()).hasCount(8);
    }

    private Object ask(String what) {
        return page.evaluate(
                "async (id) => { const { canvas, frames } = await (await fetch('/api/reels/' + id)).json(); return "
                        + what + " }",
                page.url().replaceAll(".*/reels/([0-9a-f-]+)/.*", "$1"));
    }

    @Test
    void photosTakenByHandAreLinedUpCroppedAndLaidBack() {
        openHandHeld();
        sheet.more("Line up…");
        page.locator(".v-dialog button[type=submit]").click();
        assertThat(page.getByText("7 frames lie on frame 4.")).isVisible();
        assertThat(page.getByText(Pattern.compile("lined up \\d+ %"))).hasCount(7);
        assertThat((Integer) ask("canvas.width")).isBetween(840, 940);
        assertThat(ask("frames.some((frame) => frame.bare)")).isEqualTo(false);

        sheet.card(2).click();
        page.keyboard().press("u");
        assertThat(page.getByText("Move the still of frame 2")).isVisible();
        page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Turn clockwise"))
                .fill("1.5");
        page.keyboard().press("Enter");
        sheet.awaitUndo("Line up frame 2");
        assertThat(ask("frames[1].content.aligned.turn")).isEqualTo(1.5);
        page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Right edge smaller"))
                .fill("12.5");
        page.keyboard().press("Enter");
        page.waitForCondition(
                () -> ask("frames[1].content.aligned.perspective.across").equals(0.125));
        sheet.button("Lay it back").click();
        sheet.awaitUndo("Lay frame 2 back as it was");
        assertThat(page.getByText(Pattern.compile("lined up \\d+ %"))).hasCount(6);
        for (String left : List.of("Line up frame 2", "Line up frame 2", "Line up 8 frames")) {
            sheet.button("Undo").click();
            sheet.awaitUndo(left);
        }
        sheet.button("Undo").click();
        assertThat(page.getByText(Pattern.compile("lined up \\d+ %"))).hasCount(0);
        assertThat(ask("canvas.width")).isEqualTo(960);
    }

    @Test
    void photosAreLinedUpByThePartOneDraws() {
        openHandHeld();
        sheet.chooseFrames(1, 2, 3);
        page.keyboard().press("u");
        page.getByLabel("Only by a part of the view").click();
        Locator picture = page.locator(".v-dialog .picture");
        BoundingBox seen = picture.boundingBox();
        page.mouse().move(seen.x + 0.6 * seen.width, seen.y + 0.2 * seen.height);
        page.mouse().down();
        page.mouse().move(seen.x + 0.95 * seen.width, seen.y + 0.8 * seen.height, new Mouse.MoveOptions().setSteps(5));
        page.mouse().up();
        assertThat(page.getByLabel(Pattern.compile("Part: 3[23]\\d × 38\\d at 57\\d, 12\\d")))
                .isVisible();
        page.getByLabel("Leave them").click();
        page.locator(".v-dialog button[type=submit]").click();
        assertThat(page.getByText("2 frames lie on frame 2.")).isVisible();
        assertThat(page.getByText(Pattern.compile("lined up \\d+ %"))).hasCount(2);
    }

    @Test
    void perspectiveIsFoundWhereItIsAskedFor() {
        openHandHeld();
        sheet.chooseFrames(1, 2);
        page.keyboard().press("u");
        page.getByLabel("Perspective too, for a page or a wall seen from the side")
                .click();
        page.locator(".v-dialog button[type=submit]").click();
        assertThat(page.getByText("1 frame lies on frame 1.")).isVisible();
        assertThat(ask("frames[1].content.aligned.perspective.across !== 0")).isEqualTo(true);
    }

    @Test
    void shakingAloneIsTakenOut() {
        openHandHeld();
        sheet.more("Line up…");
        page.getByLabel("Steady: only the shaking goes, a pan stays").click();
        assertThat(page.getByLabel("Lie on frame")).hasCount(0);
        page.locator(".v-dialog button[type=submit]").click();
        assertThat(page.getByText("8 frames are steadied.")).isVisible();
        sheet.awaitUndo("Line up 8 frames");
    }

    @Test
    void framesGoIntoOrderOfDateAndAreShownAsTheyWereTaken() {
        page.locator("[data-test=files]").first().evaluate("""
                async (input) => {
                  const canvas = new OffscreenCanvas(30, 20)
                  const taken = { 'Dusk.png': 3000, 'Noon.png': 1000, 'Dawn.png': 0 }
                  const files = new DataTransfer()
                  for (const [name, after] of Object.entries(taken)) {
                    canvas.getContext('2d').fillStyle = `rgb(${after / 20} 80 80)`
                    canvas.getContext('2d').fillRect(0, 0, 30, 20)
                    files.items.add(new File([await canvas.convertToBlob()], name, { lastModified: 1780000000000 + after }))
                  }
                  input.files = files.files
                  input.dispatchEvent(new Event('change'))
                }""");
        assertThat(sheet.cards()).hasCount(3);
        sheet.more("Into order of date");
        sheet.awaitUndo("Put 3 frames in order of date");
        assertThat(ask("frames.map((frame) => frame.name)")).isEqualTo(List.of("Dawn.png", "Noon.png", "Dusk.png"));
        sheet.button("Other changes").click();
        sheet.choose("Pace by date…");
        sheet.answer("Total", "1000", "Pace");
        sheet.awaitDelays("200 ms", "400 ms", "400 ms");
    }

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
        assertThat(ask("canvas.width")).isEqualTo(1200);
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

    @ParameterizedTest
    @CsvSource({"Photos taken by hand, 8", "A plate of drawings, 1", "A clip, 30"})
    void anEmptyShelfHasSomethingToTryEachWith(String what, int frames) {
        visit.emptyTheShelf();
        page.locator(".thing")
                .filter(new Locator.FilterOptions().setHasText(what))
                .click();
        if (what.equals("A clip")) {
            sheet.button("Bring in frames").click();
        }
        assertThat(sheet.cards()).hasCount(frames);
    }

    @Test
    void aVectorDrawingIsDrawnAtTheSizeOneSays() throws Exception {
        String flag = "<svg xmlns='http://www.w3.org/2000/svg' width='60' height='40'>"
                + "<rect width='60' height='40' fill='#b23e28'/></svg>";
        sheet.choose(
                new FilePayload("Flag.svg", "image/svg+xml", flag.getBytes(StandardCharsets.UTF_8)), Stills.png(1));
        assertThat(page.getByText("How large is “Flag.svg”?")).isVisible();
        sheet.button("240").click();
        sheet.button("Draw").click();
        assertThat(sheet.cards()).hasCount(2);
        assertThat(ask("frames.map((frame) => frame.content.size.width)")).isEqualTo(List.of(240, 60));
        assertThat(new Easel(page).drawings().get(0).pixel(120, 80)).isEqualTo(0xFFB23E28);
    }

    @Test
    void whoDoesNotSayHowLargeAVectorDrawingIsLeavesItOut() {
        sheet.choose(
                new FilePayload("Flag.svg", "image/svg+xml", "<svg/>".getBytes(StandardCharsets.UTF_8)), Stills.png(1));
        sheet.button("Cancel").click();
        assertThat(sheet.cards()).hasCount(1);
        assertThat(ask("frames[0].name")).isEqualTo("Tide 1.png");
    }

    @ParameterizedTest
    @CsvSource({"A frame for each layer, 2", "One frame, 1"})
    void ofALayeredFileOneSaysWhatBecomesOfItsLayers(String what, int frames) throws Exception {
        Size size = new Size(8, 6);
        Iterator<Raster> layers = List.of(Raster.filled(size, 0xFFB23E28), Raster.filled(size, 0xFF2B6F86))
                .iterator();
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        OraWriter.write(size, () -> layers.hasNext() ? layers.next() : null, file);
        sheet.choose(new FilePayload("Flag.ora", "image/openraster", file.toByteArray()));
        page.getByLabel(what).click();
        sheet.button("Bring in").click();
        assertThat(sheet.cards()).hasCount(frames);
        List<Raster> drawings = new Easel(page).drawings();
        assertThat(drawings.get(frames - 1).pixel(4, 3)).isEqualTo(0xFF2B6F86);
    }

    @Test
    void theSamePictureBroughtTwiceIsTold() {
        sheet.choose(Stills.png(1), Stills.png(2), Stills.png("Copy of tide.png", Stills.SIZE, Stills.color(2)));
        assertThat(sheet.cards()).hasCount(3);
        assertThat(page.getByText(Pattern.compile("“.*” is the same picture as “.*”")))
                .isVisible();
    }

    @Test
    void flickerOfExposureIsEvenedAndTakenBack() {
        sheet.choose(IntStream.range(0, 5)
                .mapToObj(i -> Stills.png("Dusk " + i + ".png", Stills.SIZE, i == 2 ? 0xFF303030 : 0xFF404040 + i))
                .toArray(FilePayload[]::new));
        assertThat(sheet.cards()).hasCount(5);
        Object before = ask("frames[2].drawn");
        sheet.more("Even the light");
        sheet.awaitUndo("Even the light of 5 frames");
        assertThat(ask("frames[2].drawn")).isNotEqualTo(before);
        assertThat((Double) ask("frames[2].content.light.lift * 1.0")).isGreaterThan(0.03);
        sheet.more("Light as in the photos");
        sheet.awaitUndo("Give 2 frames back the light of the photo");
        assertThat(ask("frames[2].drawn")).isEqualTo(before);
    }
}
