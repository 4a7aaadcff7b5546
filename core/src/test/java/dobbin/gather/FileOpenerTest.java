package dobbin.gather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.skerry.DemoFile;
import dobbin.skerry.DemoFolder;
import dobbin.skerry.SkerryPoint;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.PngWriter;
import dobbin.still.UnreadablePicture;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.zip.CRC32;
import org.junit.jupiter.api.Test;

class FileOpenerTest {
    private static final DemoFolder SUNRISE = SkerryPoint.sunrise();
    private static final DemoFolder LIGHT = SkerryPoint.light();

    @Test
    void anAnimationOpensAsItsFramesWithTheirDelays() throws Exception {
        DemoFile light = LIGHT.files().get(0);
        List<Gathered> frames = opened(light.bytes());
        assertThat(frames)
                .extracting(Gathered::delayMillis)
                .containsExactly(900, 80, 80, 60, 60, 40, 120, 40, 60, 60, 80, 80);
        assertThat(frames).allMatch(frame -> frame.size().equals(new Size(360, 240)));
    }

    @Test
    void whatAFileHoldsCountsNotWhatItIsCalled() throws Exception {
        byte[] jpeg = SUNRISE.files().get(0).bytes();
        assertThat(opened(jpeg)).hasSize(1);
        assertThat(FileOpener.notesOn(jpeg, "sunrise.gif"))
                .containsExactly("is a JPEG file by another name; it was read as that");
        assertThat(FileOpener.notesOn(jpeg, "sunrise.JPG")).isEmpty();
        assertThat(FileOpener.notesOn(jpeg, "sunrise")).isEmpty();
    }

    @Test
    void aBrokenAnimationIsRefusedInOneSentence() {
        byte[] light = LIGHT.files().get(0).bytes();
        assertThatThrownBy(() -> opened(Arrays.copyOf(light, 60)))
                .isInstanceOf(UnreadablePicture.class)
                .hasMessageContaining("is a GIF that cannot be read")
                .hasMessageContaining("global color table, byte");
    }

    @Test
    void theDemoIsTheSameEachTimeAndHasTheUsualFlaws() throws Exception {
        assertThat(SkerryPoint.gull().files())
                .zipSatisfy(
                        SkerryPoint.gull().files(),
                        (a, b) -> assertThat(a.bytes()).isEqualTo(b.bytes()));
        assertThat(SUNRISE.files())
                .extracting(DemoFile::name)
                .startsWith("Sunrise 1.jpg", "Sunrise 10.jpg", "Sunrise 11.jpg");
        List<Size> sizes = new ArrayList<>();
        for (DemoFile file : SUNRISE.files()) {
            sizes.add(opened(file.bytes()).get(0).size());
        }
        assertThat(sizes).hasSize(24).containsOnlyOnce(new Size(800, 600));
    }

    @Test
    void anAnimationSaysHowOftenItPlaysAndWhatWasChanged() throws Exception {
        GifFileOf file = new GifFileOf(2).frame(0).frame(50).frame(65_000).frame(5);
        Opened opened = FileOpener.open(file.bytes(), DecodeLimits.USUAL, Checkpoint.NONE, still -> {});
        assertThat(opened.plays()).hasValue(3);
        assertThat(opened.notes())
                .containsExactly(
                        "gives no delay to 1 of its 4 frames; they got 100 ms, as browsers show them",
                        "shows 1 of its 4 frames for more than 10 minutes; that is the most there can be, and they got it");
    }

    @Test
    void whatIsLeftOutOfAFileIsSaid() throws Exception {
        byte[] whole = new GifFileOf(0).frame(10).frame(10).frame(10).bytes();
        DecodeLimits two = new DecodeLimits(1_000, 2, 100_000);
        assertThat(FileOpener.open(whole, two, Checkpoint.NONE, still -> {}).notes())
                .singleElement()
                .asString()
                .startsWith("could be read as far as 2 frames: More than 2 frames");
        byte[] broken = Arrays.copyOf(whole, whole.length - 12);
        assertThat(FileOpener.open(broken, DecodeLimits.USUAL, Checkpoint.NONE, still -> {})
                        .notes())
                .singleElement()
                .asString()
                .startsWith("could be read as far as ");
        byte[] png = PngWriter.bytes(Raster.filled(new Size(2, 2), 0xFF102030));
        byte[] animated = withChunk(png, "acTL");
        assertThat(FileOpener.notesOn(png, "ferry.png")).isEmpty();
        assertThat(FileOpener.notesOn(animated, "ferry.png"))
                .containsExactly("is an animation; only its first picture was read. Save it as a GIF to bring in all");
    }

    @Test
    void readingAnAnimationCanBeEnded() {
        byte[] file = new GifFileOf(0).frame(10).frame(10).frame(10).bytes();
        List<Gathered> came = new ArrayList<>();
        assertThatThrownBy(() -> FileOpener.open(
                        file,
                        DecodeLimits.USUAL,
                        () -> {
                            if (!came.isEmpty()) {
                                throw new CancellationException("is not wanted any more");
                            }
                        },
                        came::add))
                .isInstanceOf(CancellationException.class);
        assertThat(came).hasSize(1);
    }

    /** Puts an empty chunk after a PNG's header. */
    private static byte[] withChunk(byte[] png, String type) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(png, 0, 33);
        out.writeBytes(new byte[] {0, 0, 0, 8});
        byte[] body = (type + "\0\0\0\1\0\0\0\0").getBytes(StandardCharsets.ISO_8859_1);
        out.writeBytes(body);
        CRC32 checksum = new CRC32();
        checksum.update(body);
        out.writeBytes(ByteBuffer.allocate(4).putInt((int) checksum.getValue()).array());
        out.write(png, 33, png.length - 33);
        return out.toByteArray();
    }

    /** A GIF of one pixel, that plays so often again. */
    private static final class GifFileOf {
        private final ByteArrayOutputStream out = new ByteArrayOutputStream();

        GifFileOf(int repeats) {
            out.writeBytes("GIF89a".getBytes(StandardCharsets.ISO_8859_1));
            bytes(1, 0, 1, 0, 0x80, 0, 0, 1, 2, 3, 4, 5, 6);
            bytes(0x21, 0xFF, 11);
            out.writeBytes("NETSCAPE2.0".getBytes(StandardCharsets.ISO_8859_1));
            bytes(3, 1, repeats, 0, 0);
        }

        GifFileOf frame(int hundredths) {
            bytes(0x21, 0xF9, 4, 0, hundredths & 0xFF, hundredths >> 8, 0, 0);
            bytes(0x2C, 0, 0, 0, 0, 1, 0, 1, 0, 0, 2, 2, 0x44, 1, 0);
            return this;
        }

        byte[] bytes() {
            ByteArrayOutputStream whole = new ByteArrayOutputStream();
            whole.writeBytes(out.toByteArray());
            whole.write(0x3B);
            return whole.toByteArray();
        }

        private void bytes(int... values) {
            for (int value : values) {
                out.write(value);
            }
        }
    }

    private static List<Gathered> opened(byte[] file) throws UnreadablePicture {
        List<Gathered> stills = new ArrayList<>();
        FileOpener.open(file, DecodeLimits.USUAL, Checkpoint.NONE, stills::add);
        return stills;
    }
}
