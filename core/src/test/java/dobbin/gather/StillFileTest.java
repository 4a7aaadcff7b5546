package dobbin.gather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.PngWriter;
import dobbin.still.ReducedPng;
import dobbin.still.UnreadablePicture;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

class StillFileTest {
    private static final Size SIZE = new Size(8, 6);
    private static final Size BEFORE = new Size(2400, 1800);
    private static final Raster BLUE = Raster.filled(SIZE, 0xFF2B6F86);

    private static Gathered read(byte[] file, Size size) throws UnreadablePicture {
        return StillFile.read(file, size, DecodeLimits.USUAL, Checkpoint.NONE);
    }

    @Test
    void aStillHasTheSizeThatTheDocumentSays() throws Exception {
        assertThat(read(PngWriter.bytes(BLUE), SIZE).raster()).isEqualTo(BLUE);
        assertThatThrownBy(() -> read(PngWriter.bytes(BLUE), BEFORE))
                .isInstanceOf(UnreadablePicture.class)
                .hasMessage("is 8 x 6 pixels, not 2400 x 1800 as the reel says");
    }

    @Test
    void aReducedOneSaysWhatSizeItHad() throws Exception {
        byte[] reduced = ReducedPng.bytes(BLUE, BEFORE);
        assertThat(ReducedPng.sizeBefore(reduced)).contains(BEFORE);
        assertThat(read(reduced, BEFORE).raster()).isEqualTo(BLUE);
        assertThat(read(reduced, BEFORE).size()).isEqualTo(BEFORE);
        assertThat(read(reduced, SIZE).size()).isEqualTo(SIZE);
        assertThat(ReducedPng.sizeBefore(PngWriter.bytes(BLUE))).isEmpty();
        assertThat(ReducedPng.sizeBefore(PngWriter.bytes(BLUE, "Reduced from 0 x 9")))
                .isEmpty();
        assertThat(ReducedPng.sizeBefore("Comment".getBytes(StandardCharsets.US_ASCII)))
                .isEmpty();
    }

    @Test
    void filesOfSeveralPicturesAreNoStills() {
        byte[] drawing =
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"8\" height=\"6\"/>".getBytes(StandardCharsets.UTF_8);
        byte[] animation = "GIF89a".getBytes(StandardCharsets.US_ASCII);
        for (byte[] file : new byte[][] {drawing, animation}) {
            assertThatThrownBy(() -> read(file, SIZE)).hasMessage("is not one still");
        }
    }
}
