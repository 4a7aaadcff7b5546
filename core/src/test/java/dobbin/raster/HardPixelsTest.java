package dobbin.raster;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class HardPixelsTest {
    private static final Raster ROW = Raster.of(new Size(5, 1), new int[] {1, 2, 3, 4, 5});

    private static int[] scaled(int left, int right, int width) {
        return HardPixels.resize(ROW, new Bounds(left, 0, right, 1), new Size(width, 1))
                .argb();
    }

    @Test
    void eachPixelIsTheOneAtItsMiddle() {
        assertThat(scaled(0, 5, 5)).containsExactly(1, 2, 3, 4, 5);
        assertThat(scaled(0, 5, 10)).containsExactly(1, 1, 2, 2, 3, 3, 4, 4, 5, 5);
        assertThat(scaled(0, 5, 1)).containsExactly(3);
        assertThat(scaled(0, 4, 2)).containsExactly(2, 4);
        assertThat(scaled(1, 4, 6)).containsExactly(2, 2, 3, 3, 4, 4);
    }

    @ParameterizedTest
    @ValueSource(ints = {2, 3, 7, 20})
    void enlargedAndReducedAgainItIsTheSame(int factor) {
        Raster large = HardPixels.resize(ROW, new Bounds(0, 0, 5, 1), new Size(5 * factor, factor));
        assertThat(HardPixels.resize(large, Bounds.all(large.size()), ROW.size()))
                .isEqualTo(ROW);
    }
}
