package dobbin.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RasterTest {
    private static final Raster STORED = Raster.of(new Size(3, 2), new int[] {1, 2, 3, 4, 5, 6});

    @ParameterizedTest
    @CsvSource({
        "1, 3, 1 2 3 4 5 6",
        "2, 3, 3 2 1 6 5 4",
        "3, 3, 6 5 4 3 2 1",
        "4, 3, 4 5 6 1 2 3",
        "5, 2, 1 4 2 5 3 6",
        "6, 2, 4 1 5 2 6 3",
        "7, 2, 6 3 5 2 4 1",
        "8, 2, 3 6 2 5 1 4",
        "0, 3, 1 2 3 4 5 6",
        "9, 3, 1 2 3 4 5 6"
    })
    void standsUprightFromEveryOrientation(int exif, int width, String pixels) {
        Raster upright = Orientation.ofExif(exif).upright(STORED);
        assertThat(upright.width()).isEqualTo(width);
        assertThat(upright.argb())
                .containsExactly(Arrays.stream(pixels.split(" "))
                        .mapToInt(Integer::parseInt)
                        .toArray());
        assertThat(Orientation.ofExif(exif).upright(STORED.size())).isEqualTo(upright.size());
    }

    @ParameterizedTest
    @CsvSource({"4000,3000,480,320,427,320", "100,100,50,80,50,50", "1,4000,10,10,1,10", "960,640,480,320,480,320"})
    void fitsInsideByItsRatio(int w, int h, int frameW, int frameH, int fittedW, int fittedH) {
        assertThat(new Size(w, h).fittedInside(new Size(frameW, frameH))).isEqualTo(new Size(fittedW, fittedH));
    }

    @Test
    void pixelsMustFillTheSize() {
        assertThatThrownBy(() -> Raster.of(new Size(3, 3), new int[8]))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("8 pixels");
        assertThatThrownBy(() -> new Size(0, 4)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void knowsWhetherItIsOpaque() {
        assertThat(Raster.filled(new Size(2, 2), 0xFF000000).isOpaque()).isTrue();
        assertThat(Raster.of(new Size(2, 1), new int[] {0xFF000000, 0xFE000000}).isOpaque())
                .isFalse();
    }

    @Test
    void overMixesSrgbValues() {
        assertThat(Compositor.over(0x80FFFFFF, 0xFF000000)).isEqualTo(0xFF808080);
        assertThat(Compositor.over(0x00FFFFFF, 0xFF123456)).isEqualTo(0xFF123456);
        assertThat(Compositor.over(0xFF654321, 0xFF123456)).isEqualTo(0xFF654321);
        assertThat(Compositor.over(0x40AABBCC, 0x00000000)).isEqualTo(0x40AABBCC);
        assertThat(Compositor.over(0x00AABBCC, 0x00000000)).isZero();
        assertThat(Compositor.over(0x80FF0000, 0x800000FF))
                .as("half of half is a third: 128/255 and 128/255 x 127/255")
                .isEqualTo(0xC0AA0055);
    }

    @Test
    void drawingCutsOffWhatFallsOutside() {
        int[] into = new int[9];
        Compositor.over(Raster.filled(new Size(3, 3), 0xFF0000FF), 2, -1, into, new Size(3, 3));
        assertThat(into).containsExactly(0, 0, 0xFF0000FF, 0, 0, 0xFF0000FF, 0, 0, 0);
        Compositor.over(Raster.filled(new Size(3, 3), 0xFF00FF00), 7, 0, into, new Size(3, 3));
        assertThat(into).doesNotContain(0xFF00FF00);
    }
}
