package dobbin.palette;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dobbin.color.Oklab;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.skerry.SkerryPoint;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
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

    @Test
    void distanceIsNoneWhereThePaletteHasEveryColor() {
        ColorCloud cloud = tally.count(Raster.of(new Size(3, 1), new int[] {0xFF102030, 0xFFF0E0D0, 0xFF808080}));
        assertThat(cloud.meanDistance(Palette.opaque(0x102030, 0xF0E0D0, 0x808080)))
                .isCloseTo(0, within(1e-3));
        assertThat(cloud.meanDistance(Palette.opaque(0x102030))).isGreaterThan(0.005);
    }

    private static double sum(ColorCloud cloud) {
        double sum = 0;
        for (float weight : cloud.weights) {
            sum += weight;
        }
        return sum;
    }
}
