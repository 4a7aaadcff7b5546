package dobbin.register;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Bounds;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CommonBoxTest {
    private static final Size SIZE = new Size(9, 7);

    private static boolean isCovered(List<Raster> pictures, Bounds box) {
        for (int y = box.top(); y < box.bottom(); y++) {
            for (int x = box.left(); x < box.right(); x++) {
                for (Raster picture : pictures) {
                    if (picture.pixel(x, y) >>> 24 < 255) {
                        return false;
                    }
                }
            }
        }
        return true;
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void noLargerBoxIsCoveredByAll(int seed) {
        Random random = new Random(seed);
        List<Raster> pictures = List.of(holed(random), holed(random));
        Bounds found = CommonBox.of(pictures);
        assertThat(isCovered(pictures, found)).isTrue();
        for (int left = 0; left < 9; left++) {
            for (int top = 0; top < 7; top++) {
                for (int right = left + 1; right <= 9; right++) {
                    for (int bottom = top + 1; bottom <= 7; bottom++) {
                        Bounds box = new Bounds(left, top, right, bottom);
                        if (box.size().area() > found.size().area()) {
                            assertThat(isCovered(pictures, box)).as("%s", box).isFalse();
                        }
                    }
                }
            }
        }
    }

    private static Raster holed(Random random) {
        int[] argb = new int[63];
        for (int i = 0; i < argb.length; i++) {
            argb[i] = random.nextInt(8) == 0 ? 0xFE000000 : 0xFF000000;
        }
        return Raster.of(SIZE, argb);
    }

    @Test
    void whereNothingIsCoveredAllIsLeft() {
        assertThat(CommonBox.of(List.of(Raster.filled(SIZE, 0)))).isEqualTo(Bounds.all(SIZE));
    }
}
