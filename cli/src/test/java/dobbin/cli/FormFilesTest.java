package dobbin.cli;

import static dobbin.cli.Said.said;
import static org.assertj.core.api.Assertions.assertThat;

import dobbin.gather.SeriesFile;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.PngWriter;
import dobbin.still.Series;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.ZipFile;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What {@code make} writes, by the ending of its name. */
class FormFilesTest {
    private static final Size SIZE = new Size(30, 20);
    private static final int[] COLORS = {0xFFB23E28, 0x802B6F86, 0xFF9CC3E0};

    @TempDir
    private Path folder;

    @BeforeEach
    void stills() throws IOException {
        for (int i = 0; i < COLORS.length; i++) {
            Files.write(folder.resolve("Tide " + i + ".png"), PngWriter.bytes(Raster.filled(SIZE, COLORS[i])));
        }
    }

    private Said make(String out, String... options) {
        return said(Stream.concat(
                        Stream.of("make", folder.toString(), folder.resolve(out).toString()), Stream.of(options))
                .toArray(String[]::new));
    }

    private List<String> files() throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.map(file -> file.getFileName().toString())
                    .filter(name -> !name.startsWith("Tide "))
                    .sorted()
                    .toList();
        }
    }

    @Test
    void anAnimatedPngKeepsPartialTransparency() throws Exception {
        Said made = make("loop.png", "--delay", "120", "--plays", "2");
        assertThat(made.status()).as(made.err()).isZero();
        Series frames = SeriesFile.open(
                Files.readAllBytes(folder.resolve("loop.png")), false, DecodeLimits.USUAL, Checkpoint.NONE);
        assertThat(frames.plays()).hasValue(2);
        for (int color : COLORS) {
            Series.Shown shown = frames.next().orElseThrow();
            assertThat(shown.picture()).isEqualTo(Raster.filled(SIZE, color));
            assertThat(shown.delayMillis()).isEqualTo(120);
        }
        assertThat(JsonMapper.shared().readTree(made.out()))
                .isEqualTo(JsonMapper.shared()
                        .readTree("{\"frames\":3,\"width\":30,\"height\":20,\"bytes\":"
                                + Files.size(folder.resolve("loop.png")) + "}"));
    }

    @Test
    void aZipHoldsNumberedStills() throws Exception {
        assertThat(make("loop.zip").status()).isZero();
        try (ZipFile zip = new ZipFile(folder.resolve("loop.zip").toFile())) {
            assertThat(zip.stream().map(Object::toString))
                    .containsExactly("frame-0001.png", "frame-0002.png", "frame-0003.png", "frames.json");
            var second = ImageIO.read(zip.getInputStream(zip.getEntry("frame-0002.png")));
            assertThat(second.getRGB(29, 19)).isEqualTo(COLORS[1]);
        }
    }

    @Test
    void aSheetHasItsCellsBesideIt() throws Exception {
        assertThat(make("loop.sheet.png", "--columns", "2", "--padding", "1").status())
                .isZero();
        JsonNode cells = JsonMapper.shared().readTree(Files.readString(folder.resolve("loop.sheet.json")));
        var sheet = ImageIO.read(folder.resolve(cells.get("image").asString()).toFile());
        assertThat(sheet.getWidth()).isEqualTo(cells.get("width").asInt()).isEqualTo(63);
        for (int i = 0; i < COLORS.length; i++) {
            JsonNode cell = cells.get("cells").get(i);
            assertThat(sheet.getRGB(cell.get("x").asInt(), cell.get("y").asInt()))
                    .isEqualTo(COLORS[i]);
        }
        assertThat(sheet.getRGB(0, 0)).isZero();
    }

    @Test
    void aPageHasItsGifAndItsStillBesideItAndAllAreNoInput() throws Exception {
        for (int run = 0; run < 2; run++) {
            Said made = make("loop.html", "--alt", "The tide", "--still", "3");
            assertThat(made.status()).as(made.err()).isZero();
            assertThat(made.out()).contains("\"frames\":3");
        }
        assertThat(files()).containsExactly("loop.gif", "loop.html", "loop.still.png");
        assertThat(Files.readString(folder.resolve("loop.html")))
                .contains("srcset=\"loop.still.png\"")
                .contains("src=\"loop.gif\" width=\"30\" height=\"20\" alt=\"The tide\"");
        assertThat(ImageIO.read(folder.resolve("loop.still.png").toFile()).getRGB(0, 0))
                .isEqualTo(COLORS[2]);
        byte[] gif = Files.readAllBytes(folder.resolve("loop.gif"));
        Files.delete(folder.resolve("loop.still.png"));
        assertThat(make("loop.gif").status()).isZero();
        assertThat(folder.resolve("loop.gif")).hasBinaryContent(gif);
    }

    @Test
    void whatCannotBeWrittenIsRefusedAndNothingIsLeft() throws Exception {
        assertThat(make("loop.webp").err())
                .contains("must end in .gif, .png, .zip, .sheet.png, .still.png, .ora, .html or .example.html");
        assertThat(make("loop.sheet.png", "--columns", "2001").err()).contains("columns");
        assertThat(make("loop.png", "--still", "4").err()).contains("--still").contains("from 1 to 3");
        assertThat(make("loop.png", "--budget", "20KB").err())
                .contains("--budget")
                .contains("is for a GIF");
        Files.createDirectory(folder.resolve("loop.sheet.json"));
        assertThat(make("loop.sheet.png").err()).contains("loop.sheet.json").contains("no ordinary file");
        Said large = make("tall.sheet.png", "--columns", "1", "--width", "1600", "--scale", "600");
        assertThat(large.status()).isNotZero();
        assertThat(files()).containsExactly("loop.sheet.json");
    }
}
