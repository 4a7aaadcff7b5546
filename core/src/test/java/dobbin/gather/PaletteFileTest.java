package dobbin.gather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.palette.PaletteText;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.PngWriter;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class PaletteFileTest {
    @Test
    void aStripComesBackTheSame() {
        int[] colors = {0xB23A2E, 0, 0xFFFFFF, 0x010203};
        assertThat(PaletteFile.read(PaletteFile.strip(colors))).containsExactly(0xB23A2E, 0, 0xFFFFFF, 0x010203);
    }

    @Test
    void transparentPixelsCountForNothing() {
        Raster strip = Raster.of(new Size(3, 1), new int[] {0xFFB23A2E, 0, 0xFF123456});
        assertThat(PaletteFile.read(PngWriter.bytes(strip))).containsExactly(0xB23A2E, 0x123456);
    }

    @Test
    void textIsTextInAnyCase() {
        assertThat(PaletteFile.read("#B23A2E\n".getBytes(StandardCharsets.UTF_8)))
                .isEqualTo(List.of(0xB23A2E));
    }

    @Test
    void whatIsNeitherIsRefusedWithAReason() {
        refused("neither a text of colors nor a picture", new byte[] {(byte) 0xC3, (byte) 0x28});
        refused("more than 1 MB", new byte[PaletteFile.MOST_BYTES + 1]);
        int[] many = IntStream.range(0, 300).map(i -> 0xFF000000 | i).toArray();
        refused("more than 256 colors", PngWriter.bytes(Raster.of(new Size(300, 1), many)));
        refused("holds no color", PngWriter.bytes(Raster.of(new Size(2, 1), new int[2])));
        byte[] broken = PaletteFile.strip(new int[] {1, 2});
        refused("", java.util.Arrays.copyOf(broken, 20));
    }

    private static void refused(String reason, byte[] file) {
        assertThatThrownBy(() -> PaletteFile.read(file))
                .isInstanceOf(PaletteText.NoPalette.class)
                .hasMessageContaining(reason);
    }
}
