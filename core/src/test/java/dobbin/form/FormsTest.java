package dobbin.form;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.edit.AddStills;
import dobbin.edit.Edit;
import dobbin.edit.NewStill;
import dobbin.edit.SetAlt;
import dobbin.edit.SetDelay;
import dobbin.edit.SetDelivery;
import dobbin.edit.SetPlays;
import dobbin.edit.SetStill;
import dobbin.gather.FileOpener;
import dobbin.gather.Gathered;
import dobbin.gather.Opened;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Crop;
import dobbin.reel.Framing;
import dobbin.reel.OutOfRange;
import dobbin.reel.Reel;
import dobbin.reel.Scaling;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.PngChunks;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.json.JsonMapper;

class FormsTest {
    private static final Size SIZE = new Size(40, 30);
    private static final byte[] GIF = "GIF89a".getBytes(StandardCharsets.US_ASCII);

    /** A part of the picture changes from frame to frame, and some of it lets the page through. */
    private static Raster picture(int frame) {
        Random random = new Random(5);
        int[] argb = random.ints(SIZE.area()).toArray();
        for (int i = 400; i < 400 + 90 * Math.min(frame, 2); i++) {
            argb[i] = 0x80102030 + frame;
        }
        for (int i = 0; i < argb.length; i++) {
            argb[i] = argb[i] >>> 24 == 0 ? 0 : argb[i];
        }
        return Raster.of(SIZE, argb);
    }

    private static Reel reel() {
        List<NewStill> stills = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            // The third is shown twice.
            stills.add(new NewStill("%064x".formatted(i == 3 ? 2 : i), "Tide " + i, SIZE, 40 + 10 * i));
        }
        Reel reel = Edit.apply(new AddStills(stills, 0), Reel.empty("Tide"));
        reel = Edit.apply(new SetDelay(List.of(5), 70_000), reel);
        return Edit.apply(new SetPlays(3), reel);
    }

    private static Raster drawn(int place) {
        return loop(reel()).picture(place);
    }

    private static DrawnLoop loop(Reel reel) {
        return new DrawnLoop(
                reel,
                (it, tracks, frame, framed) ->
                        framed.draw(it, tracks, frame, (name, level) -> picture(Integer.parseInt(name, 60, 64, 16))));
    }

    private static Map<String, byte[]> files(String form, Reel reel, SheetPlan plan) throws IOException {
        Map<String, ByteArrayOutputStream> files = new LinkedHashMap<>();
        Form written = Forms.byId(form).orElseThrow();
        written.write(
                new Material("High tide", loop(reel), () -> GIF, plan, JsonMapper.shared()::writeValueAsBytes),
                suffix -> files.computeIfAbsent(suffix, name -> new ByteArrayOutputStream()));
        assertThat(files.keySet()).containsExactlyElementsOf(written.suffixes());
        Map<String, byte[]> bytes = new LinkedHashMap<>();
        files.forEach((suffix, out) -> bytes.put(suffix, out.toByteArray()));
        return bytes;
    }

    private static byte[] file(String form, Reel reel) throws IOException {
        return files(form, reel, SheetPlan.USUAL).values().iterator().next();
    }

    private static List<Gathered> opened(byte[] file, int plays) throws Exception {
        List<Gathered> frames = new ArrayList<>();
        Opened opened = FileOpener.open(file, DecodeLimits.USUAL, Checkpoint.NONE, frames::add);
        assertThat(opened.plays()).hasValue(plays);
        return frames;
    }

    @Test
    void anAnimatedPngHasEveryPixelDelayAndPlay() throws Exception {
        List<Gathered> frames = opened(file("apng", reel()), 3);
        assertThat(frames).hasSize(5);
        for (int i = 0; i < 5; i++) {
            assertThat(frames.get(i).raster()).isEqualTo(drawn(i));
        }
        assertThat(frames.stream().map(Gathered::delayMillis)).containsExactly(40, 50, 60, 70, 70_000);
    }

    @Test
    void anAnimatedPngStoresWhatChanges() throws Exception {
        PngChunks chunks = new PngChunks(file("apng", reel()));
        List<String> boxes = new ArrayList<>();
        while (chunks.hasNext()) {
            PngChunks.Chunk chunk = chunks.next();
            if (chunk.type().equals("fcTL")) {
                boxes.add(
                        "%d,%d %dx%d".formatted(chunk.number(12), chunk.number(16), chunk.number(4), chunk.number(8)));
            }
        }
        assertThat(boxes).containsExactly("0,0 40x30", "0,10 40x3", "0,10 40x5", "0,0 1x1", "0,10 40x5");
    }

    @Test
    void numberedStillsAreThePicturesAndSayHowLongEachShows() throws Exception {
        List<String> names = new ArrayList<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file("stills", reel())))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                names.add(entry.getName());
                byte[] bytes = zip.readAllBytes();
                if (entry.getName().equals("frame-0002.png")) {
                    var image = ImageIO.read(new ByteArrayInputStream(bytes));
                    assertThat(image.getRGB(0, 0, 40, 30, null, 0, 40)).isEqualTo(drawn(1).argb());
                } else if (entry.getName().equals("frames.json")) {
                    assertThat(new String(bytes, StandardCharsets.UTF_8))
                            .isEqualTo("{\"width\":40,\"height\":30,\"plays\":3,\"frames\":[{\"delayMillis\":40},"
                                    + "{\"delayMillis\":50},{\"delayMillis\":60},{\"delayMillis\":70},"
                                    + "{\"delayMillis\":70000}]}");
                }
            }
        }
        assertThat(names)
                .containsExactly(
                        "frame-0001.png",
                        "frame-0002.png",
                        "frame-0003.png",
                        "frame-0004.png",
                        "frame-0005.png",
                        "frames.json");
    }

    @Test
    void aSheetHasEachFrameInItsCell() throws Exception {
        Map<String, byte[]> files = files("sheet", reel(), new SheetPlan(2, 3));
        var image = ImageIO.read(new ByteArrayInputStream(files.get(".sheet.png")));
        assertThat(image.getWidth()).isEqualTo(3 + 2 * 43);
        assertThat(image.getHeight()).isEqualTo(3 + 3 * 33);
        assertThat(image.getRGB(46, 36, 40, 30, null, 0, 40)).isEqualTo(drawn(3).argb());
        assertThat(image.getRGB(45, 36)).as("the padding").isZero();
        assertThat(new String(files.get(".sheet.json"), StandardCharsets.UTF_8))
                .startsWith("{\"image\":\"High tide.sheet.png\",\"width\":89,\"height\":102,\"plays\":3,\"cells\":["
                        + "{\"x\":3,\"y\":3,\"width\":40,\"height\":30,\"delayMillis\":40},")
                .contains("{\"x\":46,\"y\":36,\"width\":40,\"height\":30,\"delayMillis\":70}");
    }

    @ParameterizedTest
    @CsvSource({"0, 0, 3", "1, 2, 1", "9, 0, 5"})
    void aSheetIsBroughtInAsTheFramesItWasMadeOf(int columns, int padding, int across) throws Exception {
        byte[] sheet = files("sheet", reel(), new SheetPlan(columns, padding)).get(".sheet.png");
        assertThat(ImageIO.read(new ByteArrayInputStream(sheet)).getWidth())
                .isEqualTo(padding + across * (40 + padding));
        List<Gathered> frames = opened(sheet, 3);
        assertThat(frames.stream().map(Gathered::raster))
                .containsExactly(drawn(0), drawn(1), drawn(2), drawn(3), drawn(4));
        assertThat(frames.stream().map(Gathered::delayMillis)).containsExactly(40, 50, 60, 70, 70_000);
    }

    @Test
    void aSheetThatNoBrowserWouldDrawIsRefused() {
        assertThatThrownBy(() -> new SheetPlan(1, 0).sheet(2_000, new Size(480, 320)))
                .isInstanceOf(OutOfRange.class)
                .hasMessageContaining("480 x 640000 pixels");
        assertThat(new SheetPlan(0, 1).sheet(2_000, new Size(99, 99))).isEqualTo(new Size(4_501, 4_501));
    }

    @Test
    void onlyTheFramesThatAreChosenAreDelivered() throws Exception {
        Reel chosen = DrawnLoop.only(Set.of(2, 5), reel());
        List<Gathered> frames = opened(file("apng", chosen), 3);
        assertThat(frames.stream().map(Gathered::raster)).containsExactly(drawn(1), drawn(4));
        assertThat(frames.stream().map(Gathered::delayMillis)).containsExactly(50, 70_000);
    }

    @Test
    void theCropTheSizeAndEveryNthFrameAreThoseOfTheDelivery() throws Exception {
        Reel reel = reel();
        Framing framing = new Framing(new Crop(10, 5, 20, 20), 0, 0, 1, Scaling.SMOOTH, 2);
        Reel framed = Edit.apply(new SetDelivery(reel.delivery().with(framing)), reel);
        List<Gathered> frames = opened(file("apng", framed), 3);
        assertThat(frames.stream().map(Gathered::delayMillis)).containsExactly(90, 130, 70_000);
        assertThat(frames.get(1).raster()).isEqualTo(drawn(2).cut(new dobbin.raster.Bounds(10, 5, 30, 25)));
    }

    @Test
    void theStillIsTheFrameThatStandsForTheLoop() throws Exception {
        Reel reel = Edit.apply(new SetStill(2), reel());
        var image = ImageIO.read(new ByteArrayInputStream(file("still", reel)));
        assertThat(image.getRGB(0, 0, 40, 30, null, 0, 40)).isEqualTo(drawn(1).argb());
        Reel without = DrawnLoop.only(Set.of(1, 3), reel);
        assertThat(loop(without).standing()).isZero();
    }

    @Test
    void aPageShowsTheLoopAndTheStillBesideIt() throws Exception {
        Reel reel = Edit.apply(new SetAlt("Tide & \"spray\" <high>"), reel());
        Map<String, byte[]> files = files("page", reel, SheetPlan.USUAL);
        assertThat(new String(files.get(".html"), StandardCharsets.UTF_8))
                .contains("<source media=\"(prefers-reduced-motion: reduce)\" srcset=\"High%20tide.still.png\">")
                .contains("<img src=\"High%20tide.gif\" width=\"40\" height=\"30\""
                        + " alt=\"Tide &amp; &quot;spray&quot; &lt;high&gt;\" loading=\"lazy\">");
        assertThat(files.get(".gif")).isEqualTo(GIF);
        assertThat(files.get(".still.png")).isEqualTo(file("still", reel));
    }

    @Test
    void anExamplePageHoldsAllThatItNeeds() throws Exception {
        String page = new String(file("example", reel()), StandardCharsets.UTF_8);
        assertThat(page).contains("src=\"data:image/gif;base64,R0lGODlh\"").contains("srcset=\"data:image/png;base64,");
    }

    @ParameterizedTest
    @ValueSource(strings = {"gif", "apng", "stills", "sheet", "still", "layers", "page", "example"})
    void theSameLoopGivesTheSameBytes(String form) throws Exception {
        Map<String, byte[]> first = files(form, reel(), SheetPlan.USUAL);
        Map<String, byte[]> second = files(form, reel(), SheetPlan.USUAL);
        first.forEach((suffix, bytes) -> assertThat(second.get(suffix)).isEqualTo(bytes));
    }

    @ParameterizedTest
    @CsvSource({
        "out.gif, gif",
        "OUT.PNG, apng",
        "a.zip, stills",
        "tide.sheet.png, sheet",
        "tide.still.png, still",
        "tide.ora, layers",
        "tide.html, page",
        "tide.example.html, example"
    })
    void aFormIsToldByTheLongestEndingOfItsName(String name, String id) {
        assertThat(Forms.byName(name).map(Form::id)).contains(id);
        assertThat(Forms.byName("tide.webp")).isEmpty();
    }
}
