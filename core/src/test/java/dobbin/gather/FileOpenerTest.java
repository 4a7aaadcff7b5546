package dobbin.gather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.apng.ApngFile;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.skerry.DemoFile;
import dobbin.skerry.DemoFolder;
import dobbin.skerry.SkerryPoint;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.UnreadablePicture;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CancellationException;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
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
    }

    @Test
    void anAnimatedPngOpensAsItsFrames() throws Exception {
        Size size = new Size(2, 2);
        byte[] file = new ApngFile(size, 2, 3)
                .frame(Raster.filled(size, 0x80102030), 1, 5)
                .frame(Raster.filled(size, 0x80405060), 0, 100)
                .bytes();
        List<Gathered> stills = new ArrayList<>();
        Opened opened = FileOpener.open(file, DecodeLimits.USUAL, Checkpoint.NONE, stills::add);
        assertThat(stills).extracting(Gathered::delayMillis).containsExactly(200, 0);
        assertThat(stills.get(1).raster()).isEqualTo(Raster.filled(size, 0x80405060));
        assertThat(opened.plays()).hasValue(3);
        assertThat(opened.notes())
                .containsExactly("gives no delay to 1 of its 2 frames; they got 100 ms, as browsers show them");
        assertThat(FileOpener.notesOn(file, "ferry.png")).isEmpty();
    }

    @Test
    void theSheetsOfATiffAreStillsOfTheirOwn() throws Exception {
        byte[] one = tiff(0x102030);
        byte[] three = tiff(0x102030, 0xB23A24, 0xFFFFFF);
        List<Gathered> stills = new ArrayList<>();
        Opened opened = FileOpener.open(three, DecodeLimits.USUAL, Checkpoint.NONE, stills::add);
        assertThat(stills)
                .extracting(still -> still.raster().pixel(0, 0))
                .containsExactly(0xFF102030, 0xFFB23A24, 0xFFFFFFFF);
        assertThat(stills).noneMatch(Gathered::alone);
        assertThat(opened.notes()).containsExactly("holds 3 pages; each became a frame");
        assertThat(opened.plays()).isEmpty();
        assertThat(opened(one)).singleElement().matches(Gathered::alone);
        DecodeLimits two = new DecodeLimits(1_000, 2, 100_000);
        assertThat(FileOpener.open(three, two, Checkpoint.NONE, still -> {}).notes())
                .containsExactly("holds 3 pages; the first 2 became frames");
        assertThat(FileOpener.notesOn(one, "Tide.jpg"))
                .containsExactly("is a TIFF file by another name; it was read as that");
    }

    private static byte[] tiff(int... colors) throws IOException {
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        ImageWriter writer = ImageIO.getImageWritersByFormatName("tiff").next();
        try (ImageOutputStream out = ImageIO.createImageOutputStream(file)) {
            writer.setOutput(out);
            writer.prepareWriteSequence(null);
            for (int color : colors) {
                BufferedImage page = new BufferedImage(2, 2, BufferedImage.TYPE_INT_RGB);
                page.setRGB(0, 0, 2, 2, new int[] {color, color, color, color}, 0, 2);
                writer.writeToSequence(new IIOImage(page, null, null), null);
            }
            writer.endWriteSequence();
        } finally {
            writer.dispose();
        }
        return file.toByteArray();
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
