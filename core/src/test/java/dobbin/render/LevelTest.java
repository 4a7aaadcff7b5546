package dobbin.render;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LevelTest {
    @ParameterizedTest
    @CsvSource({"240, 160, SMALL", "160, 257, MEDIUM", "480, 320, MEDIUM", "640, 640, MEDIUM", "641, 10, FULL"})
    void theDrawnSizeAloneDecidesWhatIsDrawnFrom(int width, int height, Level level) {
        assertThat(Level.forDrawing(new Size(width, height))).isEqualTo(level);
    }

    @ParameterizedTest
    @CsvSource({"1600, 1200, SMALL, 320", "1600, 1200, MEDIUM, 800", "1600, 1200, FULL, 1600", "639, 10, SMALL, 639"})
    void onlyWhatIsTwiceAsLargeIsReduced(int width, int height, Level level, int expectedWidth) {
        Raster copy = level.of(Raster.filled(new Size(width, height), 0xFF336699));
        assertThat(copy.width()).isEqualTo(expectedWidth);
        assertThat(copy.pixel(0, 0)).isEqualTo(0xFF336699);
        assertThat(level.hasCopyOf(new Size(width, height))).isEqualTo(expectedWidth < width);
    }

    @Test
    void picturesThatAreSmallAlreadyAreTheirOwnCopies() {
        Raster small = Raster.filled(new Size(320, 200), 0xFF336699);
        for (Level level : Level.values()) {
            assertThat(level.of(small)).isSameAs(small);
        }
    }
}
