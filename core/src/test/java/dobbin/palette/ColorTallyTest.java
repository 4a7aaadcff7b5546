package dobbin.palette;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import dobbin.color.Oklab;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.skerry.SkerryPoint;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ColorTallyTest {
    private final ColorTally tally = new ColorTally();

    @Test
    void aPointIsTheMeanOfWhatFellIntoItsBin() {
        ColorCloud cloud = tally.count(Raster.of(new Size(2, 1), new int[] {0xFF404040, 0xFF424242}));
        assertThat(cloud.weights).hasSize(1);
        float[] between = new float[3];
        Oklab.fromRgb(0x414141, between, 0);
        // The second differs from the first by two in three channels, so it counts a little less.
        assertThat(cloud.points[0]).isCloseTo(between[0], within(0.003f));
    }

    @Test
    void aBusyPlaceCountsForLessThanAQuietOne() {
        int[] argb = new int[40 * 20];
        for (int i = 0; i < argb.length; i++) {
            boolean left = i % 40 < 20;
            boolean black = (i + i / 40) % 2 == 0;
            argb[i] = left ? 0xFF808080 : black ? 0xFF000000 : 0xFFFFFFFF;
        }
        ColorCloud cloud = tally.count(Raster.of(new Size(40, 20), argb));
        float[] weights = cloud.weights.clone();
        Arrays.sort(weights);
        assertThat(weights).hasSize(3);
        assertThat(weights[2]).isCloseTo(400, within(10f));
        assertThat(weights[0] + weights[1]).isLessThan(weights[2] / 50);
    }

    @Test
    void whatIsJoinedIsWhatWasCounted() {
        List<Raster> sunrise = SkerryPoint.sunrise(3, new Size(60, 40));
        List<ColorCloud> clouds = sunrise.stream().map(tally::count).toList();
        ColorCloud all = ColorCloud.joined(clouds);
        assertThat(sum(all))
                .isCloseTo(clouds.stream().mapToDouble(ColorTallyTest::sum).sum(), within(0.1));
        long bins = clouds.stream()
                .flatMapToInt(cloud -> Arrays.stream(cloud.bins))
                .distinct()
                .count();
        assertThat(all.weights).hasSize((int) bins);
    }

    @Test
    void itDoesNotMatterInWhatOrderTheyAreJoined() {
        List<ColorCloud> clouds = new ArrayList<>(SkerryPoint.sunrise(5, new Size(60, 40)).stream()
                .map(tally::count)
                .toList());
        ColorCloud all = ColorCloud.joined(clouds);
        Collections.rotate(clouds, 2);
        Collections.swap(clouds, 0, 3);
        ColorCloud moved = ColorCloud.joined(clouds);
        assertThat(moved.points).isEqualTo(all.points);
        assertThat(moved.weights).isEqualTo(all.weights);
    }

    @Test
    void theMostFrequentColorComesFirstWhereverItIs() {
        Raster few =
                Raster.of(new Size(6, 1), new int[] {0xFF000003, 0xFF000001, 0xFF000002, 0xFF000001, 0, 0xFF000002});
        Raster more = Raster.of(new Size(2, 1), new int[] {0xFF000002, 0xFF000009});
        assertThat(tally.count(few).distinctColors()).containsExactly(1, 2, 3);
        ColorCloud all = ColorCloud.joined(List.of(tally.count(few), tally.count(more)));
        assertThat(all.distinctColors()).containsExactly(2, 1, 3, 9);
        assertThat(all.transparentSeen()).isTrue();
        assertThat(tally.count(more).transparentSeen()).isFalse();
    }

    /** Of large pictures only a part is weighed, but no color is missed while they can be counted. */
    @Test
    void aSinglePixelOfALargePictureIsSeen() {
        int[] argb = new int[700 * 500];
        Arrays.fill(argb, 0xFF204060);
        argb[123_457] = 0xFFFF0000;
        assertThat(tally.count(Raster.of(new Size(700, 500), argb)).distinctColors())
                .containsExactly(0x204060, 0xFF0000);
    }

    /** A line as wide as a pixel is weighed in every frame of a loop, wherever it is, as are 30 frames of 640 x 480. */
    @Test
    void aLineOfAPixelIsSeenInEveryColumn() {
        Size size = new Size(640, 60);
        for (int column = 0; column < 28; column++) {
            Random random = new Random(column);
            int[] argb = random.ints(640 * 60, 0, 1 << 12)
                    .map(value -> 0xFF606060 | value & 0xF | value << 4 & 0xF00 | value << 8 & 0xF0000)
                    .toArray();
            for (int y = 0; y < 60; y++) {
                argb[640 * y + column] = 0xFFFF2000;
            }
            ColorCloud cloud = new ColorTally(640 * 60 / 7).count(Raster.of(size, argb));
            assertThat(cloud.distinct()).isGreaterThan(Palette.MAX_ENTRIES);
            assertThat(cloud.bins).as("column %d", column).contains(0xFF >> 2 << 12 | 0x20 >> 2 << 6);
        }
    }

    @Test
    void aTinyDrawingOnALargeTransparentCanvasIsSeenWhole() {
        int[] argb = new int[1600 * 1200];
        for (int i = 0; i < 300; i++) {
            argb[700_000 + 1600 * (i / 20) + i % 20] = 0xFF000000 | i * 37 << 8 | i;
        }
        ColorCloud cloud = new ColorTally().count(Raster.of(new Size(1600, 1200), argb));
        assertThat(cloud.transparentSeen()).isTrue();
        assertThat(cloud.distinct()).isGreaterThan(Palette.MAX_ENTRIES);
        int[] bins = Arrays.stream(argb)
                .filter(pixel -> pixel != 0)
                .map(pixel -> (pixel >> 18 & 63) << 12 | (pixel >> 10 & 63) << 6 | pixel >> 2 & 63)
                .distinct()
                .toArray();
        assertThat(cloud.bins).containsExactlyInAnyOrder(bins);
    }

    /** Each pixel that is taken stands for those that are not, so large and small parts of a loop keep their shares. */
    @Test
    void whatIsPassedOverCountsWithItsNeighbors() {
        Raster sunrise = SkerryPoint.sunrise(1, new Size(400, 300)).get(0);
        double all = sum(new ColorTally(400 * 300).count(sunrise));
        assertThat(sum(new ColorTally(5_000).count(sunrise))).isCloseTo(all, withinPercentage(5));
    }

    @Test
    void distanceIsNoneWhereThePaletteHasEveryColor() {
        ColorCloud cloud = tally.count(Raster.of(new Size(3, 1), new int[] {0xFF102030, 0xFFF0E0D0, 0xFF808080}));
        assertThat(cloud.meanDistance(Palette.of(false, 0x102030, 0xF0E0D0, 0x808080)))
                .isCloseTo(0, within(1e-3));
        assertThat(cloud.meanDistance(Palette.of(false, 0x102030))).isGreaterThan(0.005);
    }

    private static double sum(ColorCloud cloud) {
        double sum = 0;
        for (float weight : cloud.weights) {
            sum += weight;
        }
        return sum;
    }
}
