package dobbin.gif;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.DecodeLimits;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Files our writer would never write, put together by hand: a screen of 2 x 1 in red (0) and blue (1). */
class GifReaderTest {
    private static final int RED = 0xFFFF0000;
    private static final int BLUE = 0xFF0000FF;

    private final ByteArrayOutputStream file = new ByteArrayOutputStream();

    @ParameterizedTest
    @CsvSource({
        "0, true, true",
        "1, true, true",
        "2, false, false",
        "3, false, true",
        "4, false, true",
        "5, true, true",
        "7, true, true"
    })
    void disposesAsBrowsersDo(int disposal, boolean patchStays, boolean firstStays) throws Exception {
        screen(2, 1);
        control(0, 4, -1);
        image(0, 0, 2, 1, 0, 0, 0);
        control(disposal, 4, -1);
        image(0, 0, 1, 1, 0, 1);
        control(0, 4, 0);
        image(1, 0, 1, 1, 0, 0);
        Raster last = read().get(2);
        assertThat(last.pixel(0, 0)).isEqualTo(patchStays ? BLUE : firstStays ? RED : 0);
        assertThat(last.pixel(1, 0)).isEqualTo(RED);
    }

    @Test
    void untouchedPixelsAreTransparentWhateverTheBackground() throws Exception {
        screen(2, 1);
        image(1, 0, 1, 1, 0, 1);
        assertThat(read()).containsExactly(Raster.of(new Size(2, 1), new int[] {0, BLUE}));
    }

    @Test
    void patchesMayReachPastTheScreen() throws Exception {
        screen(2, 1);
        image(1, 0, 2, 2, 0, 1, 0, 0, 0);
        image(5, 5, 1, 1, 0, 1);
        assertThat(read().get(1)).isEqualTo(Raster.of(new Size(2, 1), new int[] {0, BLUE}));
    }

    @Test
    void interlacedRowsComeInFourPasses() throws Exception {
        screen(1, 10);
        image(0, 0, 1, 10, 0x40, 1, 1, 0, 0, 1, 0, 1, 0, 1, 0);
        assertThat(read().get(0).argb()).containsExactly(BLUE, RED, RED, BLUE, RED, RED, BLUE, BLUE, BLUE, RED);
    }

    @Test
    void aFileWithoutControlsPlaysOnceWithoutDelay() throws Exception {
        screen(2, 1);
        image(0, 0, 2, 1, 0, 1, 0);
        GifReader reader = GifReader.open(file.toByteArray(), DecodeLimits.USUAL);
        assertThat(reader.next().orElseThrow().delayMillis()).isZero();
        assertThat(reader.next()).isEmpty();
        assertThat(reader.plays()).isEqualTo(1);
    }

    /** A frame of a few bytes may declare a hundred by a hundred pixels, and the next one again. */
    @Test
    void whatFramesDeclareIsCountedTogether() throws Exception {
        screen(1, 1);
        for (int i = 0; i < 30; i++) {
            image(0, 0, 100, 100, 0, 1);
        }
        bytes(0x3B);
        assertThat(GifReader.open(file.toByteArray(), DecodeLimits.USUAL).pixels())
                .as("before any is read")
                .isEqualTo(30 * 10_000);
    }

    @Test
    void aLocalTableServesItsFrameOnly() throws Exception {
        screen(2, 1);
        bytes(0x2C, 0, 0, 0, 0, 2, 0, 1, 0, 0x80, 0, 255, 0, 9, 9, 9, 2);
        byte[] data = new LzwEncoder().encode(new byte[] {0, 1}, 2);
        bytes(data.length);
        file.writeBytes(data);
        bytes(0);
        image(0, 0, 1, 1, 0, 0);
        assertThat(read()).extracting(each -> each.pixel(0, 0)).containsExactly(0xFF00FF00, RED);
    }

    /** As Chromium shows it. */
    @Test
    void aFileWithoutAnyColorTableIsBlack() throws Exception {
        bytes('G', 'I', 'F', '8', '9', 'a', 2, 0, 1, 0, 0, 0, 0);
        image(0, 0, 2, 1, 0, 0, 1);
        assertThat(read().get(0).argb()).containsExactly(0xFF000000, 0xFF000000);
    }

    @Test
    void anIndexThatNoTableHasIsNotDrawnAndNoHoleEither() throws Exception {
        screen(2, 1);
        image(0, 0, 2, 1, 0, 0, 0);
        control(0, 1, 200);
        image(0, 0, 2, 1, 0, 3, 1);
        assertThat(read().get(1).argb()).containsExactly(RED, BLUE);
    }

    @Test
    void theLastOfSeveralLoopsCountsAndDelaysAreAsWritten() throws Exception {
        screen(1, 1);
        loop(5);
        control(0, 0, -1);
        image(0, 0, 1, 1, 0, 0);
        loop(2);
        control(0, 1, -1);
        image(0, 0, 1, 1, 0, 1);
        bytes(0x3B, 'r', 'u', 'b', 'b', 'i', 's', 'h');
        GifReader reader = GifReader.open(file.toByteArray(), DecodeLimits.USUAL);
        assertThat(reader.next().orElseThrow().delayHundredths()).isZero();
        assertThat(reader.next().orElseThrow().delayHundredths()).isEqualTo(1);
        assertThat(reader.next()).isEmpty();
        assertThat(reader.plays()).isEqualTo(3);
        assertThat(reader.warnings()).isEmpty();
    }

    @Test
    void withoutAnEndCodeOrATrailerItIsStillAPicture() throws Exception {
        screen(2, 1);
        // Clear 4, then 0 and 1, in three bits each, and nothing more.
        bytes(0x2C, 0, 0, 0, 0, 2, 0, 1, 0, 0, 2, 2, 0x44, 0, 0);
        GifReader reader = GifReader.open(file.toByteArray(), DecodeLimits.USUAL);
        assertThat(reader.next().orElseThrow().picture().argb()).containsExactly(RED, BLUE);
        assertThat(reader.next()).isEmpty();
        assertThat(reader.warnings()).isEmpty();
    }

    @Test
    void aFrameCutOffInTheMiddleShowsWhatThereIs() throws Exception {
        screen(2, 2);
        image(0, 0, 2, 2, 0, 1, 1);
        GifReader reader = GifReader.open(file.toByteArray(), DecodeLimits.USUAL);
        assertThat(reader.next().orElseThrow().picture().argb()).containsExactly(BLUE, BLUE, 0, 0);
        assertThat(reader.warnings()).containsExactly("Frame 1 has 2 of 4 pixels");
    }

    private void loop(int again) {
        bytes(0x21, 0xFF, 11);
        file.writeBytes("NETSCAPE2.0".getBytes(StandardCharsets.US_ASCII));
        bytes(3, 1, again, 0, 0);
    }

    private List<Raster> read() throws GifFormatException {
        file.write(0x3B);
        GifReader reader = GifReader.open(file.toByteArray(), DecodeLimits.USUAL);
        List<Raster> pictures = new ArrayList<>();
        for (Optional<GifFrame> frame = reader.next(); frame.isPresent(); frame = reader.next()) {
            pictures.add(frame.get().picture());
        }
        return pictures;
    }

    private void screen(int width, int height) {
        bytes('G', 'I', 'F', '8', '9', 'a', width, 0, height, 0, 0x80, 1, 0, 255, 0, 0, 0, 0, 255);
    }

    private void control(int disposal, int hundredths, int transparent) {
        bytes(0x21, 0xF9, 4, disposal << 2 | (transparent < 0 ? 0 : 1), hundredths, 0, Math.max(0, transparent), 0);
    }

    private void image(int left, int top, int width, int height, int packed, int... indices) {
        bytes(0x2C, left, 0, top, 0, width, 0, height, 0, packed, 2);
        byte[] pixels = new byte[indices.length];
        for (int i = 0; i < pixels.length; i++) {
            pixels[i] = (byte) indices[i];
        }
        byte[] data = new LzwEncoder().encode(pixels, 2);
        bytes(data.length);
        file.writeBytes(data);
        bytes(0);
    }

    private void bytes(int... values) {
        for (int value : values) {
            file.write(value);
        }
    }
}
