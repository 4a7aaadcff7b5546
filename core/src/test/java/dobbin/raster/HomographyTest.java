package dobbin.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;

class HomographyTest {
    private static final Size SIZE = new Size(64, 48);

    private static Homography some(Random random) {
        return Homography.keystone(random.nextGaussian() * 0.001, random.nextGaussian() * 0.001)
                .then(Affine.turn(random.nextInt(360)))
                .then(Affine.scale(0.5 + random.nextDouble(), 0.5 + random.nextDouble()))
                .then(Affine.shift(random.nextInt(40), random.nextInt(40)));
    }

    @Test
    void oneAfterTheOtherGoesWhereBothGo() {
        for (int seed = 0; seed < 100; seed++) {
            Random random = new Random(seed);
            Homography one = some(random);
            Homography two = some(random);
            Homography both = one.then(two);
            double x = random.nextInt(60);
            double y = random.nextInt(60);
            assertThat(both.x(x, y)).isCloseTo(two.x(one.x(x, y), one.y(x, y)), within(1e-6));
            assertThat(both.y(x, y)).isCloseTo(two.y(one.x(x, y), one.y(x, y)), within(1e-6));
        }
    }

    @Test
    void thereAndBackIsWhereOneWas() {
        for (int seed = 0; seed < 100; seed++) {
            Homography there = some(new Random(seed));
            Homography back = there.inverse();
            assertThat(back.x(there.x(31, 17), there.y(31, 17))).isCloseTo(31, within(1e-6));
            assertThat(back.y(there.x(31, 17), there.y(31, 17))).isCloseTo(17, within(1e-6));
        }
    }

    /** Where the origin lies beyond the vanishing line, all that is before the camera is found again. */
    @Test
    void theOriginMayLieBehindTheCamera() {
        for (double far : new double[] {0, 99.9, 100, 100.1, 400, -400}) {
            Homography there = Homography.of(Affine.shift(-32, -24))
                    .then(Homography.keystone(0.01, 0.003))
                    .then(Affine.shift(32 + far, 24));
            Homography back = there.inverse();
            for (int[] point : new int[][] {{0, 0}, {63, 0}, {0, 47}, {63, 47}, {32, 24}}) {
                double x = there.x(point[0], point[1]);
                double y = there.y(point[0], point[1]);
                assertThat(there.divisor(point[0], point[1])).isPositive();
                assertThat(back.divisor(x, y)).as("%s moved by %s", point, far).isPositive();
                assertThat(back.x(x, y)).isCloseTo(point[0], within(1e-6));
                assertThat(back.y(x, y)).isCloseTo(point[1], within(1e-6));
            }
        }
    }

    /** A picture in perspective that is moved by whole pixels is drawn as it was, wherever the canvas begins. */
    @Test
    void aPictureIsDrawnTheSameWhereverItsCanvasBegins() {
        int[] argb = new int[(int) SIZE.area()];
        for (int i = 0; i < argb.length; i++) {
            argb[i] = 0xFF000000 | i * 0x010305;
        }
        Raster picture = Raster.of(SIZE, argb);
        Homography middle = Homography.of(Affine.shift(-32, -24)).then(Homography.keystone(0.012, 0.004));
        Layer here = Placement.draw(picture, middle.then(Affine.shift(60, 40)), new Bounds(0, 0, 160, 120))
                .orElseThrow();
        for (int by : new int[] {30, 100, 143, 144, 300, 5000}) {
            Layer moved = Placement.draw(
                            picture, middle.then(Affine.shift(60 + by, 40)), new Bounds(by, 0, by + 160, 120))
                    .orElseThrow();
            assertThat(moved.x()).isEqualTo(here.x() + by);
            assertThat(off(moved.raster(), here.raster())).as("moved by %d", by).isLessThanOrEqualTo(1);
        }
    }

    private static int off(Raster one, Raster other) {
        assertThat(one.size()).isEqualTo(other.size());
        int off = 0;
        for (int i = 0; i < one.argb().length; i++) {
            for (int shift = 0; shift < 32; shift += 8) {
                off = Math.max(off, Math.abs((one.argb()[i] >> shift & 0xFF) - (other.argb()[i] >> shift & 0xFF)));
            }
        }
        return off;
    }

    @Test
    void nearAPointItIsWhatTouchesItThere() {
        for (int seed = 0; seed < 100; seed++) {
            Homography place = some(new Random(seed));
            Affine near = place.near(20, 30);
            assertThat(near.x(20, 30)).isCloseTo(place.x(20, 30), within(1e-9));
            assertThat(near.y(20, 30)).isCloseTo(place.y(20, 30), within(1e-9));
            double step = 1e-4;
            assertThat((near.x(20 + step, 30 + step) - place.x(20 + step, 30 + step)) / step)
                    .isCloseTo(0, within(1e-4));
            assertThat((near.y(20 + step, 30 + step) - place.y(20 + step, 30 + step)) / step)
                    .isCloseTo(0, within(1e-4));
        }
    }

    /** Four colored corners of a picture are drawn where the arithmetic says that they go. */
    @Test
    void aPictureIsDrawnWhereItGoes() {
        int[] argb = new int[(int) SIZE.area()];
        for (int i = 0; i < argb.length; i++) {
            boolean right = i % SIZE.width() >= 32;
            boolean lower = i / SIZE.width() >= 24;
            argb[i] = right ? lower ? 0xFFFFFFFF : 0xFF00FF00 : lower ? 0xFF0000FF : 0xFFFF0000;
        }
        Homography place = Homography.keystone(0.006, 0.002).then(Affine.shift(5, 3));
        Layer layer =
                Placement.draw(Raster.of(SIZE, argb), place, Bounds.all(SIZE)).orElseThrow();
        for (int[] point : new int[][] {{10, 8}, {56, 8}, {10, 42}, {56, 42}, {28, 20}, {36, 28}}) {
            int x = (int) place.x(point[0], point[1]) - layer.x();
            int y = (int) place.y(point[0], point[1]) - layer.y();
            assertThat(layer.raster().pixel(x, y))
                    .as("%d, %d", point[0], point[1])
                    .isEqualTo(argb[point[1] * SIZE.width() + point[0]]);
        }
        assertThat(layer.raster().pixel(layer.raster().width() - 1, 1) >>> 24)
                .as("where nothing goes")
                .isZero();
    }

    @Test
    void whatKeepsLinesParallelIsDrawnAsThePlacementThatItIs() {
        Affine place = Affine.turn(17).then(Affine.scale(0.8, 0.9)).then(Affine.shift(12.3, 4.5));
        assertThat(Homography.of(place).isAffine()).isTrue();
        assertThat(Homography.of(place).near(9, 9).xx()).isCloseTo(place.xx(), within(1e-12));
        assertThat(Homography.of(place).around(64, 48)).isEqualTo(place.around(64, 48));
        assertThat(Homography.of(place).inverse()).isEqualTo(Homography.of(place.inverse()));
    }
}
