package dobbin.palette;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.color.Oklab;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.skerry.SkerryPoint;
import java.util.Comparator;
import java.util.Random;
import java.util.concurrent.ForkJoinPool;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class NearestColorTest {
    private static final Raster SUNRISE =
            SkerryPoint.sunrise(1, new Size(96, 64)).get(0);

    /** What is nearest to the middle of a cell is farther from a point of it than the nearest by a diagonal at most. */
    @Test
    void nearlyIsWithinACell() {
        Palette palette = PaletteBuilder.build(new ColorTally().count(SUNRISE), PaletteTerms.seen(200, true, true));
        NearestColor nearest = new NearestColor(palette);
        float[] lab = new float[3];
        int other = 0;
        for (int rgb : SUNRISE.argb()) {
            Oklab.fromRgb(rgb, lab, 0);
            int near = nearest.nearlyIndexOf(lab[0], lab[1], lab[2]);
            int exact = nearest.indexOf(lab[0], lab[1], lab[2]);
            assertThat(distance(nearest, near, lab))
                    .isLessThanOrEqualTo(distance(nearest, exact, lab) + nearest.cellDiagonal() + 1e-6);
            other += near == exact ? 0 : 1;
        }
        assertThat(other).isBetween(1, SUNRISE.argb().length / 2);
    }

    @Test
    void manyThreadsFindTheSameAsOne() {
        Palette palette = PaletteBuilder.build(new ColorTally().count(SUNRISE), PaletteTerms.seen(256, false, true));
        NearestColor alone = new NearestColor(palette);
        NearestColor shared = new NearestColor(palette);
        int[] one =
                IntStream.range(0, 4_000).map(seed -> nearRandom(alone, seed)).toArray();
        ForkJoinPool pool = new ForkJoinPool(4);
        try {
            int[] many = pool.submit(() -> IntStream.range(0, 4_000)
                            .parallel()
                            .map(seed -> nearRandom(shared, seed))
                            .toArray())
                    .join();
            assertThat(many).isEqualTo(one);
        } finally {
            pool.shutdown();
        }
    }

    @Test
    void neighborsAreTheClosestInOrder() {
        Random random = new Random(11);
        float[] lab = new float[3 * 90];
        for (int i = 0; i < lab.length; i++) {
            lab[i] = random.nextFloat();
        }
        ClosestColors neighbors = new ColorsByLightness(lab).neighbors(7);
        for (int of = 0; of < 90; of++) {
            int color = of;
            int[] closest = IntStream.range(0, 90)
                    .boxed()
                    .sorted(Comparator.comparingDouble(other -> squared(lab, color, other)))
                    .limit(7)
                    .mapToInt(other -> other)
                    .toArray();
            assertThat(IntStream.range(0, neighbors.each()).map(rank -> neighbors.of(color, rank)))
                    .containsExactly(IntStream.of(closest).boxed().toArray(Integer[]::new));
        }
    }

    @Test
    void ofFewColorsAllAreNeighbors() {
        ClosestColors neighbors = new ColorsByLightness(new float[] {0.2f, 0, 0, 0.9f, 0, 0}).neighbors(7);
        assertThat(neighbors.each()).isEqualTo(2);
        assertThat(neighbors.of(0, 1)).isEqualTo(1);
        assertThat(neighbors.of(1, 1)).isZero();
    }

    private static int nearRandom(NearestColor nearest, int seed) {
        Random random = new Random(seed);
        return nearest.nearlyIndexOf(
                random.nextFloat(), random.nextFloat() * 0.4f - 0.2f, random.nextFloat() * 0.4f - 0.2f);
    }

    private static double distance(NearestColor nearest, int color, float[] lab) {
        return Math.sqrt(nearest.squaredDistance(color, lab[0], lab[1], lab[2]));
    }

    private static double squared(float[] lab, int one, int other) {
        return IntStream.range(0, 3)
                .mapToDouble(axis -> Math.pow(lab[3 * one + axis] - lab[3 * other + axis], 2))
                .sum();
    }
}
