package dobbin.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.PngParts;
import dobbin.still.PngRows;
import dobbin.still.PngWriter;
import dobbin.still.UnreadablePicture;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What says that it is a sheet, and is none. */
class SheetReaderTest {
    private static byte[] sheet(String cells) throws IOException {
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        PngParts parts = new PngParts(file);
        parts.begin(new Size(8, 4), false);
        parts.text("Cells", cells);
        try (OutputStream data = parts.data();
                PngRows rows = new PngRows(8, false, 1, data)) {
            for (int y = 0; y < 4; y++) {
                rows.write(new int[8], 0);
            }
            rows.finish();
        }
        parts.end();
        return file.toByteArray();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "0 4 4",
                "0 4",
                "0 0 4\n0 0 40",
                "-1 4 4\n0 0 40",
                "0 4 4\n0 0",
                "0 4 4\n0 0 x",
                "0 4 4\n5 0 40",
                "0 4 4\n0 1 40",
                "0 4 4\n-1 0 40",
                "0 4 4\n2147483647 0 40"
            })
    void isRefusedInASentence(String cells) throws IOException {
        byte[] file = sheet(cells);
        assertThat(SheetReader.isOne(file)).isTrue();
        assertThatThrownBy(() -> SheetReader.open(file, DecodeLimits.USUAL, Checkpoint.NONE))
                .isInstanceOf(UnreadablePicture.class)
                .hasMessageStartingWith("says that it is a sheet, but ");
    }

    @Test
    void moreFramesThanAReelHoldsAreLeftOut() throws Exception {
        SheetReader reader = SheetReader.open(
                sheet("0 4 4\n0 0 40\n4 0 40\n0 0 40"), new DecodeLimits(1_000, 2, 1_000), Checkpoint.NONE);
        assertThat(reader.next()).isPresent();
        assertThat(reader.next()).isPresent();
        assertThat(reader.next()).isEmpty();
        assertThat(reader.warnings()).containsExactly("is a sheet of 3 frames; the first 2 were taken");
    }

    @Test
    void anOrdinaryPictureIsNoSheet() {
        assertThat(SheetReader.isOne(PngWriter.bytes(Raster.filled(new Size(8, 4), 0), "Cells of a honeycomb")))
                .isFalse();
    }
}
