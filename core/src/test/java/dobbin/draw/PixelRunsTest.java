package dobbin.draw;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is worked out run by run is what is worked out pixel by pixel. */
class PixelRunsTest {
    private static final int WIDTH = 37;
    private static final int HEIGHT = 23;

    private static boolean[] random(int seed) {
        Random random = new Random(seed);
        boolean[] pixels = new boolean[WIDTH * HEIGHT];
        for (int i = 0; i < pixels.length; i++) {
            pixels[i] = random.nextInt(10) < 4 + seed % 5;
        }
        return pixels;
    }

    private static boolean isIn(boolean[] pixels, int x, int y) {
        return x >= 0 && x < WIDTH && y >= 0 && y < HEIGHT && pixels[y * WIDTH + x];
    }

    private static boolean[] reached(boolean[] pixels, int start, boolean corners) {
        boolean[] reached = new boolean[pixels.length];
        Deque<Integer> open = new ArrayDeque<>();
        open.push(start);
        while (!open.isEmpty()) {
            int at = open.pop();
            reached[at] = true;
            for (int dy = -1; dy <= 1; dy++) {
                for (int dx = -1; dx <= 1; dx++) {
                    int x = at % WIDTH + dx;
                    int y = at / WIDTH + dy;
                    if ((corners || dx == 0 || dy == 0) && isIn(pixels, x, y) && !reached[y * WIDTH + x]) {
                        open.push(y * WIDTH + x);
                    }
                }
            }
        }
        return reached;
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void thePixelsComeBackAndThoseConnectedAreFound(int seed) {
        boolean[] pixels = random(seed);
        PixelRuns runs = PixelRuns.of(pixels, WIDTH);
        assertThat(runs.pixels()).isEqualTo(pixels);
        for (int start = 0; start < pixels.length; start += 41) {
            if (pixels[start]) {
                assertThat(runs.connected(start, false).pixels()).isEqualTo(reached(pixels, start, false));
                assertThat(runs.connected(start, true).pixels()).isEqualTo(reached(pixels, start, true));
            }
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6})
    void theRimIsWhatHasANeighborInThePictureThatDoesNotBelong(int seed) {
        boolean[] pixels = random(seed);
        Set<Integer> rim = new TreeSet<>();
        for (int at = 0; at < pixels.length; at++) {
            int x = at % WIDTH;
            int y = at / WIDTH;
            boolean edge = x > 0 && !isIn(pixels, x - 1, y)
                    || x + 1 < WIDTH && !isIn(pixels, x + 1, y)
                    || y > 0 && !isIn(pixels, x, y - 1)
                    || y + 1 < HEIGHT && !isIn(pixels, x, y + 1);
            if (pixels[at] && edge) {
                rim.add(at);
            }
        }
        Places found = PixelRuns.of(pixels, WIDTH).rim();
        Set<Integer> places = new TreeSet<>();
        while (found.count() > 0) {
            places.add(found.pop());
        }
        assertThat(places).isEqualTo(rim);
    }

    @Test
    void nothingAndAllAreRunsToo() {
        boolean[] none = new boolean[WIDTH * HEIGHT];
        assertThat(PixelRuns.of(none, WIDTH).pixels()).isEqualTo(none);
        assertThat(PixelRuns.of(none, WIDTH).rim().count()).isZero();
        boolean[] one = none.clone();
        one[none.length - 1] = true;
        assertThat(PixelRuns.of(one, WIDTH).connected(none.length - 1, false).pixels())
                .isEqualTo(one);
    }
}
