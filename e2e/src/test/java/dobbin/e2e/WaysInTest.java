package dobbin.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.FilePayload;
import dobbin.ora.OraWriter;
import dobbin.raster.Raster;
import dobbin.raster.Size;
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
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Files of other kinds than stills that the server reads: they become frames as the browser shows them, or say why not. */
class WaysInTest extends BrowserTest {
    /** Half opaque pixels are mixed in whole numbers, here and there. */
    private static final int ROUNDING = 2;

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
        assertThat(sheet.told("frames.map((frame) => frame.content.size.width)"))
                .isEqualTo(List.of(240, 60));
        assertThat(new Easel(page).drawings().get(0).pixel(120, 80)).isEqualTo(0xFFB23E28);
    }

    @Test
    void whoDoesNotSayHowLargeAVectorDrawingIsLeavesItOut() {
        sheet.choose(
                new FilePayload("Flag.svg", "image/svg+xml", "<svg/>".getBytes(StandardCharsets.UTF_8)), Stills.png(1));
        sheet.button("Cancel").click();
        assertThat(sheet.cards()).hasCount(1);
        assertThat(sheet.told("frames[0].name")).isEqualTo("Tide 1.png");
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
}
