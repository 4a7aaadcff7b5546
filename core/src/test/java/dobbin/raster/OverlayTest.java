package dobbin.raster;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class OverlayTest {
    private static final Size SIZE = new Size(20, 10);

    private static Raster with(int ground, int color, int x, int y) {
        int[] argb = Raster.filled(SIZE, ground).argb().clone();
        argb[y * 20 + x] = color;
        return Raster.of(SIZE, argb);
    }

    private static Overlay of(List<Raster> frames) {
        Overlay overlay = new Overlay(SIZE);
        frames.forEach(overlay::add);
        return overlay;
    }

    @Test
    void whatMovesIsSeenWhereverItWas() {
        int ground = 0xFF808080;
        Raster together = of(List.of(
                        with(ground, 0xFFB23A2E, 3, 4), with(ground, 0xFFB23A2E, 12, 7), with(ground, ground, 0, 0)))
                .together();
        assertThat(together.pixel(0, 0)).isEqualTo(ground);
        assertThat(together.pixel(3, 4)).isNotEqualTo(ground);
        assertThat(together.pixel(12, 7) >> 16 & 0xFF).as("red shows through").isGreaterThan(0x90);
    }

    @Test
    void trimmingLeavesAllThatIsNotOneUnchangingColor() {
        assertThat(of(List.of(with(0xFF808080, 0xFFB23A2E, 3, 4), with(0xFF808080, 0xFFB23A2E, 12, 7)))
                        .content())
                .contains(new Bounds(3, 4, 13, 8));
        assertThat(of(List.of(with(0, 0xFF010203, 19, 9))).content()).contains(new Bounds(19, 9, 20, 10));
    }

    @Test
    void whereAllIsOneColorThereIsNothingToKeep() {
        assertThat(of(List.of(Raster.filled(SIZE, 0xFFFFFFFF), Raster.filled(SIZE, 0xFFFFFFFF)))
                        .content())
                .isEmpty();
        assertThat(of(List.of(Raster.filled(SIZE, 0xFFFFFFFF), Raster.filled(SIZE, 0xFF000000)))
                        .content())
                .as("it changes, so it is seen")
                .contains(Bounds.all(SIZE));
    }
}
