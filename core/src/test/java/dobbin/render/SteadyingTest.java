package dobbin.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dobbin.raster.Affine;
import dobbin.raster.Homography;
import dobbin.raster.Size;
import dobbin.reel.Aligned;
import dobbin.reel.Fit;
import dobbin.reel.Still;
import dobbin.render.Steadying.Step;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class SteadyingTest {
    private static final Size SIZE = new Size(640, 360);

    private static List<Still> stills(int count) {
        return Collections.nCopies(count, new Still("a".repeat(64), "Crossing.webm", SIZE, Fit.USUAL));
    }

    private static List<Optional<Step>> steps(List<Homography> camera) {
        return IntStream.range(0, camera.size())
                .mapToObj(i -> i == 0
                        ? Optional.<Step>empty()
                        : Optional.of(
                                new Step(camera.get(i).then(camera.get(i - 1).inverse()), 0.9)))
                .toList();
    }

    /** @return how far the middle of each picture jumps from the way between its neighbors, in the mean */
    private static double shake(List<Homography> camera) {
        double sum = 0;
        for (int i = 1; i + 1 < camera.size(); i++) {
            sum += Math.hypot(
                    x(camera, i) - (x(camera, i - 1) + x(camera, i + 1)) / 2,
                    y(camera, i) - (y(camera, i - 1) + y(camera, i + 1)) / 2);
        }
        return sum / (camera.size() - 2);
    }

    private static double x(List<Homography> camera, int i) {
        return camera.get(i).x(320, 180);
    }

    private static double y(List<Homography> camera, int i) {
        return camera.get(i).y(320, 180);
    }

    private static List<Homography> after(List<Homography> camera, List<Aligned> moved) {
        return IntStream.range(0, camera.size())
                .mapToObj(i -> moved.get(i).place(SIZE).inverse().then(camera.get(i)))
                .toList();
    }

    @Test
    void shakingGoesAndThePanStays() {
        Random random = new Random(3);
        List<Homography> camera = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            camera.add(Aligned.of(Homography.of(Affine.turn(random.nextGaussian() * 0.4)), SIZE, 1)
                    .place(SIZE)
                    .then(Affine.shift(4 * i + 5 * random.nextGaussian(), 5 * random.nextGaussian())));
        }
        List<Homography> steady = after(camera, Steadying.steadied(stills(60), steps(camera)));
        assertThat(shake(steady.subList(8, 52))).isLessThan(shake(camera.subList(8, 52)) / 6);
        assertThat(x(steady, 50) - x(steady, 10)).as("it pans as far").isCloseTo(160, within(12.0));
    }

    @Test
    void aWayThatGoesOnEvenlyStaysAsItIs() {
        List<Homography> camera = IntStream.range(0, 30)
                .mapToObj(i -> Homography.of(Affine.shift(3 * i, -2 * i)))
                .toList();
        assertThat(Steadying.steadied(stills(30), steps(camera))).allSatisfy(aligned -> {
            assertThat(aligned.dx()).isCloseTo(0, within(1e-6));
            assertThat(aligned.dy()).isCloseTo(0, within(1e-6));
        });
    }

    @Test
    void nothingIsSmoothedAcrossACut() {
        List<Homography> camera = Collections.nCopies(12, Homography.NONE);
        List<Optional<Step>> steps = new ArrayList<>(steps(camera));
        steps.set(6, Optional.empty());
        steps.set(7, Optional.of(new Step(Homography.of(Affine.shift(30, 0)), 0.9)));
        List<Aligned> moved = Steadying.steadied(stills(12), steps);
        assertThat(moved.subList(0, 6))
                .allSatisfy(aligned -> assertThat(aligned.dx()).isCloseTo(0, within(1e-9)));
        assertThat(moved.subList(6, 12))
                .anySatisfy(aligned -> assertThat(Math.abs(aligned.dx())).isGreaterThan(4));
    }
}
