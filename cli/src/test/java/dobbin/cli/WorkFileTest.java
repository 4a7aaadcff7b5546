package dobbin.cli;

import static dobbin.cli.Said.said;
import static org.assertj.core.api.Assertions.assertThat;

import dobbin.document.Work;
import dobbin.document.WorkWriter;
import dobbin.edit.AddStills;
import dobbin.edit.Edit;
import dobbin.edit.NewStill;
import dobbin.edit.SetAlt;
import dobbin.edit.SetDelay;
import dobbin.edit.SetDelivery;
import dobbin.edit.SetPlays;
import dobbin.gather.SeriesFile;
import dobbin.gif.GifReader;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.ContentName;
import dobbin.reel.Reel;
import dobbin.render.Pictures;
import dobbin.slim.Progress;
import dobbin.slim.Slim;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.PngWriter;
import dobbin.still.Series;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** {@code make} of a reel that was saved as a file. */
class WorkFileTest {
    private static final Size SIZE = new Size(30, 20);
    private static final int[] COLORS = {0xFFB23E28, 0xFF2B6F86, 0xFF9CC3E0};

    @TempDir
    private Path folder;

    private final Map<String, Raster> rasters = new HashMap<>();
    private Reel reel;
    private Path file;

    @BeforeEach
    void save() throws IOException {
        List<NewStill> stills = new java.util.ArrayList<>();
        for (int color : COLORS) {
            Raster raster = Raster.filled(SIZE, color);
            String name = ContentName.of(PngWriter.bytes(raster));
            rasters.put(name, raster);
            stills.add(new NewStill(name, "Tide " + stills.size() + ".png", SIZE, 0));
        }
        reel = Edit.apply(new AddStills(stills, 0), Reel.empty("Tide"));
        reel = Edit.apply(new SetDelay(List.of(2), 400), reel);
        reel = Edit.apply(new SetPlays(3), reel);
        reel = Edit.apply(new SetAlt("The tide comes in"), reel);
        reel = Edit.apply(new SetDelivery(reel.delivery().withWidth(24).withColors(2)), reel);
        file = folder.resolve("Tide.dobbin");
        try (OutputStream out = Files.newOutputStream(file)) {
            WorkWriter.write(new InMemory(reel, rasters), out);
        }
    }

    private record InMemory(Reel reel, Map<String, Raster> rasters) implements Work {
        @Override
        public Optional<Past> past() {
            return Optional.empty();
        }

        @Override
        public byte[] picture(String name) {
            return PngWriter.bytes(rasters.get(name));
        }

        @Override
        public byte[] typeface(String name) {
            throw new IllegalStateException("There are no letters");
        }
    }

    private Said make(String out, String... options) {
        return said(java.util.stream.Stream.concat(
                        java.util.stream.Stream.of(
                                "make", file.toString(), folder.resolve(out).toString()),
                        java.util.stream.Stream.of(options))
                .toArray(String[]::new));
    }

    @Test
    void theReelIsDeliveredAsItsSettingsSay() throws Exception {
        Said made = make("loop.gif");
        assertThat(made.status()).as(made.err()).isZero();
        Pictures pictures = (picture, level) -> level.of(rasters.get(picture));
        byte[] expected =
                new Slim(Runnable::run).deliver(reel, pictures, Progress.NONE).bytes();
        assertThat(Files.readAllBytes(folder.resolve("loop.gif"))).isEqualTo(expected);
        GifReader read = GifReader.open(expected, DecodeLimits.USUAL);
        assertThat(read.size()).isEqualTo(new Size(24, 16));
    }

    @Test
    void whatIsSaidTakesThePlaceOfWhatItHas() throws Exception {
        Said made = make("loop.png", "--height", "40", "--delay", "70", "--plays", "forever");
        assertThat(made.status()).as(made.err()).isZero();
        Series frames = SeriesFile.open(
                Files.readAllBytes(folder.resolve("loop.png")), false, DecodeLimits.USUAL, Checkpoint.NONE);
        assertThat(frames.size()).isEqualTo(new Size(60, 40));
        assertThat(frames.plays()).hasValue(0);
        assertThat(frames.next().orElseThrow().delayMillis()).isEqualTo(70);
        assertThat(make("page.html").status()).isZero();
        assertThat(Files.readString(folder.resolve("page.html"))).contains("alt=\"The tide comes in\"");
    }

    @Test
    void whatCannotBeOpenedIsRefusedWithItsPartNamed() throws Exception {
        byte[] bytes = Files.readAllBytes(file);
        // Within the last picture, which is stored as it is.
        bytes[bytes.length - 700] ^= 1;
        Files.write(file, bytes);
        Said made = make("loop.gif");
        assertThat(made.status()).isNotZero();
        assertThat(made.err()).contains("Tide.dobbin").contains("damaged part “pictures/");
        assertThat(folder.resolve("loop.gif")).doesNotExist();
        assertThat(make("loop.gif", "--line-up").err()).contains("--line-up is for a folder of stills");
    }
}
