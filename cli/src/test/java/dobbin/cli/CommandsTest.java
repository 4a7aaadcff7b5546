package dobbin.cli;

import static dobbin.cli.Said.said;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dobbin.raster.Bounds;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.skerry.SkerryPoint;
import dobbin.still.DecodeLimits;
import dobbin.still.PngWriter;
import dobbin.still.StillReader;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class CommandsTest {
    private static final Size SIZE = new Size(30, 20);
    private static final int[] COLORS = {0xFF102030, 0xFFF0E0D0, 0xFF00AA55};

    @TempDir
    private Path folder;

    private Path stills;
    private Path gif;

    @BeforeEach
    void threeStillsWithNamesThatSortBadly() throws IOException {
        stills = Files.createDirectory(folder.resolve("stills"));
        gif = folder.resolve("out.gif");
        String[] names = {"Tide 2.png", "tide 9.png", "Tide 10.png"};
        for (int i = 0; i < names.length; i++) {
            write(names[i], Raster.filled(SIZE, COLORS[i]));
        }
    }

    @Test
    void whatIsMadeIsUnpackedAgainInCountingOrder() throws Exception {
        Said made = said("make", stills.toString(), gif.toString(), "--delay", "150", "--plays", "3", "--repeat", "3");
        assertThat(made.status()).isZero();
        JsonNode line = JsonMapper.shared().readTree(made.out());
        assertThat(line.propertyNames())
                .containsExactly(
                        "frames",
                        "width",
                        "height",
                        "bytes",
                        "encodeMillis",
                        "cpuMillis",
                        "paletteMillis",
                        "ditherMillis",
                        "writeMillis",
                        "peakHeapBytes",
                        "colors",
                        "palettes",
                        "lossless");
        assertThat(line.get("frames").asInt()).isEqualTo(3);
        assertThat(line.get("bytes").asLong()).isEqualTo(Files.size(gif));
        assertThat(line.get("encodeMillis").asDouble()).isPositive();
        assertThat(line.get("peakHeapBytes").asLong()).isPositive();
        assertThat(line.get("lossless").asBoolean()).isTrue();

        Path unpacked = folder.resolve("unpacked");
        assertThat(said("unpack", gif.toString(), unpacked.toString()).status()).isZero();
        for (int i = 0; i < COLORS.length; i++) {
            byte[] png = Files.readAllBytes(unpacked.resolve("frame-000" + (i + 1) + ".png"));
            assertThat(StillReader.read(png, DecodeLimits.USUAL).raster()).isEqualTo(Raster.filled(SIZE, COLORS[i]));
        }
        assertThat(JsonMapper.shared().readTree(Files.readString(unpacked.resolve("frames.json"))))
                .isEqualTo(JsonMapper.shared()
                        .readTree("{\"width\":30,\"height\":20,\"plays\":3,\"frames\":"
                                + "[{\"delayMillis\":150},{\"delayMillis\":150},{\"delayMillis\":150}]}"));
    }

    @Test
    void aLayeredFileHoldsTheFramesAndIsUnpackedAgain() throws Exception {
        Path layered = folder.resolve("loop.ora");
        Said made = said("make", stills.toString(), layered.toString(), "--width", "15");
        assertThat(made.status()).isZero();
        assertThat(made.out()).contains("\"frames\":3,\"width\":15,\"height\":10,\"bytes\":" + Files.size(layered));
        Path unpacked = folder.resolve("layers");
        Said again = said("unpack", layered.toString(), unpacked.toString());
        assertThat(again.status()).isZero();
        assertThat(again.err()).contains("note: holds layers; each became a frame, the lowest first");
        for (int i = 0; i < COLORS.length; i++) {
            byte[] png = Files.readAllBytes(unpacked.resolve("frame-000" + (i + 1) + ".png"));
            assertThat(StillReader.read(png, DecodeLimits.USUAL).raster())
                    .isEqualTo(Raster.filled(new Size(15, 10), COLORS[i]));
        }
    }

    @Test
    void stillsTakenByHandAreLaidOverOneAnotherAndCropped() throws Exception {
        Path burst = Files.createDirectory(folder.resolve("burst"));
        Raster scene = SkerryPoint.sunrise(3, new Size(480, 360)).get(2);
        int[][] corners = {{40, 30}, {52, 21}, {33, 44}};
        for (int i = 0; i < corners.length; i++) {
            int[] corner = corners[i];
            Raster still = scene.cut(new Bounds(corner[0], corner[1], corner[0] + 400, corner[1] + 280));
            Files.write(burst.resolve("view " + (i + 1) + ".png"), PngWriter.bytes(still));
        }
        Files.write(burst.resolve("view 4.png"), PngWriter.bytes(Raster.filled(new Size(400, 280), 0xFF8090A0)));
        Said made = said(
                "make",
                burst.toString(),
                gif.toString(),
                "--line-up-to",
                "1",
                "--crop-ragged",
                "--report",
                "--scale",
                "100");
        assertThat(made.status()).isZero();
        List<String> told =
                made.err().lines().filter(line -> line.startsWith("{\"file\"")).toList();
        assertThat(told).hasSize(4);
        for (int i = 0; i < corners.length; i++) {
            JsonNode line = JsonMapper.shared().readTree(told.get(i));
            assertThat(line.get("file").asString()).isEqualTo("view " + (i + 1) + ".png");
            assertThat(line.get("dx").asDouble()).isCloseTo(corners[i][0] - 40, within(0.1));
            assertThat(line.get("dy").asDouble()).isCloseTo(corners[i][1] - 30, within(0.1));
            assertThat(line.get("turnDegrees").asDouble()).isCloseTo(0, within(0.02));
            assertThat(line.get("scale").asDouble()).isCloseTo(1, within(0.001));
            assertThat(line.get("sure").asDouble()).isGreaterThan(0.9);
        }
        assertThat(made.err()).contains("left as it was: “view 4.png” does not match “view 1.png”");
        JsonNode line = JsonMapper.shared().readTree(made.out());
        assertThat(line.get("width").asInt()).isBetween(378, 381);
        assertThat(line.get("height").asInt()).isBetween(255, 257);
        Said refused = said("make", burst.toString(), gif.toString(), "--line-up-to", "5");
        assertThat(refused.err()).contains("--line-up-to").contains("must be from 1 to 4");
    }

    @Test
    void settingsAreObeyed() throws Exception {
        Said made = said(
                "make",
                stills.toString(),
                gif.toString(),
                "--width",
                "15",
                "--colors",
                "2",
                "--dither",
                "none",
                "--matte",
                "F6F1E7");
        assertThat(made.status()).isZero();
        assertThat(made.out()).contains("\"width\":15,\"height\":10");
        assertThat(Files.readAllBytes(gif)[10] & 7)
                .as("bits of the color table, less one")
                .isZero();
    }

    @Test
    void framesTheFileAsItIsTold() throws Exception {
        assertThat(said("make", stills.toString(), gif.toString(), "--height", "10")
                        .out())
                .contains("\"width\":15,\"height\":10");
        assertThat(said("make", stills.toString(), gif.toString(), "--enlarge", "3")
                        .out())
                .contains("\"width\":90,\"height\":60");
        assertThat(said("make", stills.toString(), gif.toString(), "--every", "2")
                        .out())
                .contains("\"frames\":2");
    }

    @Test
    void takesColorsOfOnesOwn() throws Exception {
        Path colors = Files.writeString(folder.resolve("harbor.txt"), "#102030\n#f0e0d0\n#00aa55\n#b23a2e\n");
        Said made = said("make", stills.toString(), gif.toString(), "--own-palette", colors.toString());
        assertThat(made.status()).isZero();
        assertThat(made.out()).contains("\"lossless\":true");
        Files.writeString(colors, "#102030\nrein red\n");
        assertRefused("has no color in line 2", "--own-palette", colors.toString());
        assertRefused("--choice cannot be given together", "--own-palette", colors.toString(), "--choice", "grays");
    }

    @Test
    void fitsABudgetAndWritesWhatWasTried() throws Exception {
        Files.list(stills).forEach(each -> each.toFile().delete());
        List<Raster> sunrise = SkerryPoint.sunrise(3, new Size(90, 60));
        for (int i = 0; i < sunrise.size(); i++) {
            write("Sunrise " + i + ".png", sunrise.get(i));
        }
        Path table = folder.resolve("tried.csv");
        Said made = said("make", stills.toString(), gif.toString(), "--budget", "6KB", "--explore", table.toString());
        assertThat(made.status()).as(made.err()).isZero();
        assertThat(Files.size(gif)).isLessThanOrEqualTo(6_000);
        assertThat(made.err()).contains("colors instead of 256").contains("took: --colors ");
        List<String> lines = Files.readAllLines(table);
        assertThat(lines.get(0)).startsWith("colors,dither,amount,tolerance,width,height,every,bytes,visible_error");
        assertThat(lines)
                .hasSizeGreaterThan(12)
                .allSatisfy(line -> assertThat(line.split(",")).hasSize(11));
        assertRefused("--budget cannot be met. Nothing that may change brings it under 300 B", "--budget", "300");
        assertRefused("--budget must be a size as 500KB or 2MB, not much", "--budget", "much");
        Said narrower = said("make", stills.toString(), gif.toString(), "--budget", "2KB", "--may", "width,frames");
        assertThat(narrower.status()).as(narrower.err()).isZero();
        assertThat(Files.size(gif)).isLessThanOrEqualTo(2_000);
    }

    @Test
    void cropsScalesCommentsAndReports() throws Exception {
        Said made = said(
                "make",
                stills.toString(),
                gif.toString(),
                "--crop",
                "5,4,20,10",
                "--scale",
                "50",
                "--comment",
                "Skerry Point",
                "--report");
        assertThat(made.status()).isZero();
        assertThat(made.out()).contains("\"width\":10,\"height\":5");
        assertThat(Files.readString(gif, StandardCharsets.ISO_8859_1)).contains("Skerry Point");
        assertThat(made.err())
                .contains("Lossless, every color is kept: 4 entries")
                .contains("10 x 5 at 0, 0")
                .contains("all of it is new")
                .contains("header, palette and loop");
    }

    @Test
    void benchPrintsOneLineOfMedians() throws Exception {
        Said timed = said(
                "bench",
                stills.toString(),
                gif.toString(),
                "4",
                "0",
                "--warmups",
                "1",
                "--runs",
                "2",
                "--threads",
                "1");
        assertThat(timed.status()).isZero();
        JsonNode line = JsonMapper.shared().readTree(timed.out());
        assertThat(line.get("bytes").asLong()).isEqualTo(Files.size(gif));
        assertThat(line.get("runs").asInt()).isEqualTo(2);
        assertThat(line.get("cpu").asDouble()).isNotNegative();
        assertThat(line.get("wall").asDouble()).isPositive();
    }

    @Test
    void whatIsNoPictureIsNamedAndLeftOut() throws Exception {
        Files.writeString(stills.resolve("“ferry” 🌊.txt"), "18.00");
        Said made = said("make", stills.toString(), gif.toString());
        assertThat(made.status()).isZero();
        assertThat(made.err()).contains("left out: “" + "“ferry” 🌊.txt" + "” is not a picture");
        assertThat(made.out()).contains("\"frames\":3");
    }

    @Test
    void badNumbersAreRefusedByNameAndRangeAndWriteNothing() {
        assertRefused("delayMillis must be from 10 to 600,000, not 0", "--delay", "0");
        assertRefused("colors must be from 2 to 256, not 300", "--colors", "300");
        assertRefused("width must be from 1 to 1,600, not -5", "--width", "-5");
        assertRefused("--plays must be forever or a number", "--plays", "often");
        assertRefused("--repeat must be from 1 to 1,000", "--repeat", "0");
        assertRefused("--dither must be one of none, floyd-steinberg, sierra-lite", "--dither", "lots");
        assertRefused("--dither takes 0 to 100 percent after the colon, not 120", "--dither", "bayer:120");
        assertRefused("tolerance must be from 0 to 100, not 101", "--tolerance", "101");
        assertRefused("alphaCutoff must be from 1 to 255, not 0", "--alpha-cutoff", "0");
        assertRefused("keptColors must be six hexadecimal digits", "--keep-colors", "F6F1E7,red");
        assertRefused("keptColors must be fewer than the colors", "--keep-colors", "F6F1E7,000000", "--colors", "2");
        assertRefused("--crop takes four numbers", "--crop", "1,2,3");
        assertRefused("crop must lie on the canvas of 30 × 20", "--crop", "20,0,20,20");
        assertRefused("--scale cannot be given together with --width", "--scale", "50", "--width", "10");
        assertThat(gif).doesNotExist();
    }

    @Test
    void aNameThatMeansAnotherKindOfFileIsRefused() throws Exception {
        for (String name : List.of("loop.webp", "loop.mp4", "loop")) {
            Said refused = said("make", stills.toString(), folder.resolve(name).toString());
            assertThat(refused.status()).isEqualTo(2);
            assertThat(refused.err()).contains("must end in .gif");
            assertThat(folder.resolve(name)).doesNotExist();
        }
    }

    @Test
    void aLinkIsWrittenThroughAndNothingElseIsTouched() throws Exception {
        Path real = folder.resolve("real.gif");
        Path link = Files.createSymbolicLink(folder.resolve("link.gif"), Path.of("real.gif"));
        Path part = Files.writeString(folder.resolve("link.gif.part"), "somebody's");
        assertThat(said("make", stills.toString(), link.toString()).status()).isZero();
        assertThat(link).isSymbolicLink();
        assertThat(Files.readAllBytes(real)).startsWith('G', 'I', 'F');
        assertThat(part).hasContent("somebody's");
        try (Stream<Path> files = Files.list(folder)) {
            assertThat(files.filter(file -> file.toString().endsWith(".part"))).containsExactly(part);
        }
        Path device = Files.createDirectory(folder.resolve("folder.gif"));
        Said refused = said("make", stills.toString(), device.toString());
        assertThat(refused.status()).isEqualTo(2);
        assertThat(refused.err()).contains("is no ordinary file");
    }

    @Test
    void whatIsWrittenIsNoInputTheNextTime() throws Exception {
        Path inside = stills.resolve("Tide.gif");
        String first = said("make", stills.toString(), inside.toString()).out();
        String second = said("make", stills.toString(), inside.toString()).out();
        assertThat(JsonMapper.shared().readTree(second).get("frames").asInt())
                .isEqualTo(JsonMapper.shared().readTree(first).get("frames").asInt())
                .isEqualTo(3);
    }

    @Test
    void unpackingAgainLeavesNoOlderFrames() throws Exception {
        Path unpacked = folder.resolve("unpacked");
        said("make", stills.toString(), gif.toString());
        said("unpack", gif.toString(), unpacked.toString());
        Files.delete(stills.resolve("Tide 10.png"));
        said("make", stills.toString(), gif.toString());
        assertThat(said("unpack", gif.toString(), unpacked.toString()).status()).isZero();
        assertThat(unpacked.resolve("frame-0002.png")).exists();
        assertThat(unpacked.resolve("frame-0003.png")).doesNotExist();
        Path foreign = Files.createDirectory(folder.resolve("foreign"));
        Files.copy(unpacked.resolve("frame-0001.png"), foreign.resolve("frame-0001.png"));
        assertThat(said("unpack", gif.toString(), foreign.toString()).err()).contains("were not written here");
    }

    @Test
    void missingAndBrokenInputIsSaid() throws Exception {
        assertThat(said("make", folder.resolve("nowhere").toString(), gif.toString())
                        .err())
                .contains("is not a folder");
        assertThat(said("unpack", folder.resolve("none.gif").toString(), folder.toString())
                        .err())
                .contains("none.gif is not there");
        Path empty = Files.createDirectory(folder.resolve("empty"));
        assertThat(said("make", empty.toString(), gif.toString()).err()).contains("holds no picture that can be read");
        Said unpacked = said("unpack", stills.resolve("Tide 2.png").toString(), folder.toString());
        assertThat(unpacked.status()).isEqualTo(2);
        assertThat(unpacked.err()).contains("does not begin with GIF87a or GIF89a");
    }

    private void assertRefused(String message, String... options) {
        String[] args = new String[3 + options.length];
        args[0] = "make";
        args[1] = stills.toString();
        args[2] = gif.toString();
        System.arraycopy(options, 0, args, 3, options.length);
        Said said = said(args);
        assertThat(said.status()).isEqualTo(2);
        assertThat(said.err()).contains(message);
    }

    private void write(String name, Raster raster) throws IOException {
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        PngWriter.write(raster, png);
        Files.write(stills.resolve(name), png.toByteArray());
    }
}
