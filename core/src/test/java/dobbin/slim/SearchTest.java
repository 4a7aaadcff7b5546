package dobbin.slim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.dither.Dither;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Delivery;
import dobbin.reel.Encoding;
import dobbin.reel.Reel;
import dobbin.skerry.SkerryPoint;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The spread of trials, and the search for a budget. */
class SearchTest {
    private static final List<Raster> SUNRISE = SkerryPoint.sunrise(10, new Size(120, 80));
    private static final Reel REEL = Loops.reel(SUNRISE);

    private static Trial trial(int bytes, double error) {
        return new Trial(Delivery.USUAL, bytes, new Appearance(error, 0, error));
    }

    private static Fitting.Result fit(int budget, boolean mayNarrow, boolean mayThin) {
        Trials trials = Loops.trials(REEL, SUNRISE);
        trials.whole(REEL.delivery(), Progress.NONE);
        return Fitting.fit(trials, budget, mayNarrow, mayThin, Progress.NONE);
    }

    @Test
    void theEdgeIsWhatNothingElseBeats() {
        Trial light = trial(100, 3);
        Trial good = trial(300, 1);
        Trial beaten = trial(310, 1.2);
        Trial middle = trial(200, 2);
        List<Trial> all = List.of(good, beaten, light, middle);
        assertThat(Frontier.of(all)).containsExactly(light, middle, good);
        assertThat(Frontier.better(beaten, all)).contains(good);
        assertThat(Frontier.better(middle, all)).isEmpty();
        assertThat(Frontier.better(good, List.of(good, trial(300, 1))))
                .as("no better, only the same")
                .isEmpty();
    }

    @Test
    void exploringTriesEachSettingOnceAndSpreadsThem() {
        Trials trials = Loops.trials(REEL, SUNRISE);
        trials.whole(REEL.delivery(), Progress.NONE);
        List<Trial> found = new ArrayList<>();
        Explorer.explore(trials, 20_000, found::add, Progress.NONE);
        assertThat(found).hasSize(21).extracting(Trial::delivery).doesNotHaveDuplicates();
        assertThat(found).extracting(each -> each.delivery().colors()).contains(256, 128, 64, 32, 16);
        assertThat(found).extracting(each -> each.delivery().dither()).contains(Dither.NONE, Dither.SIERRA_LITE);
        assertThat(found).extracting(each -> each.delivery().framing().every()).contains(1, 2);
        assertThat(found)
                .extracting(each -> each.delivery().sizeOf(REEL.canvas()).width())
                .contains(120, 90, 72);
        found.forEach(
                each -> assertThat(trials.whole(each.delivery(), Progress.NONE)).isSameAs(each));
        List<Trial> again = new ArrayList<>();
        Explorer.explore(trials, 20_000, again::add, Progress.NONE);
        assertThat(again).as("all of them are known").isEmpty();
    }

    @Test
    void exploringStopsWhenItIsToldTo() {
        List<Trial> found = new ArrayList<>();
        assertThatThrownBy(() -> Explorer.explore(Loops.trials(REEL, SUNRISE), 20_000, found::add, (done, total) -> {
                    if (found.size() >= 3) {
                        throw new CancellationException();
                    }
                }))
                .isInstanceOf(CancellationException.class);
        assertThat(found).hasSizeBetween(3, 5);
    }

    /** Whole encodings of every setting there is tell what the best is. */
    @ParameterizedTest
    @ValueSource(doubles = {0.7, 0.45, 0.25})
    void whatIsFoundIsHardlyWorseThanTheBestThereIs(double share) {
        Trials all = Loops.trials(REEL, SUNRISE);
        List<Trial> full = new TrialSettings(REEL)
                .all(false, false).stream()
                        .map(delivery -> all.whole(delivery, Progress.NONE))
                        .toList();
        int budget = (int) (share * full.stream().mapToInt(Trial::bytes).max().orElseThrow());
        Trial best = full.stream()
                .filter(each -> each.bytes() <= budget)
                .min(Comparator.comparingDouble(Trial::error))
                .orElseThrow();
        Fitting.Result found = fit(budget, false, false);
        assertThat(found.best().bytes()).isLessThanOrEqualTo(budget);
        assertThat(found.best().error()).isLessThanOrEqualTo(1.05 * best.error());
        assertThat(found.encodes()).isLessThanOrEqualTo(Fitting.ENCODES);
    }

    @Test
    void whatIsFoundIsTheVeryFile() {
        Fitting.Result found = fit(25_000, false, false);
        Reel fitted = REEL.withDelivery(found.best().delivery());
        assertThat(new Slim(Runnable::run)
                        .deliver(fitted, Loops.pictures(SUNRISE), Progress.NONE)
                        .bytes())
                .hasSize(found.best().bytes());
    }

    @Test
    void widthAndFramesGoOnlyWhereTheyMay() {
        int budget = 4_000;
        Fitting.Result colors = fit(budget, false, false);
        assertThat(Stream.of(colors.best(), colors.smallest()).filter(java.util.Objects::nonNull))
                .allSatisfy(each -> assertThat(each.delivery().framing())
                        .isEqualTo(REEL.delivery().framing()));
        Fitting.Result more = fit(budget, true, true);
        assertThat(more.best().bytes()).isLessThanOrEqualTo(budget);
        assertThat(more.best().delivery().framing())
                .isNotEqualTo(REEL.delivery().framing());
    }

    @Test
    void whereNothingFitsItSaysHowCloseItCame() {
        Fitting.Result result = fit(1_000, false, false);
        assertThat(result.best()).isNull();
        assertThat(result.smallest().bytes()).isGreaterThan(1_000);
        assertThat(GivenUp.sentence(REEL, result, 1_000))
                .isEqualTo("Nothing that may change brings it under 1 KB; the lightest is "
                        + ByteCount.text(result.smallest().bytes()) + ".");
    }

    @Test
    void whatFitsAndLosesNothingStaysAsItIsSet() {
        List<Raster> flat =
                List.of(Raster.filled(new Size(40, 30), 0xFFB23A2E), Raster.filled(new Size(40, 30), 0xFF2B6F86));
        Reel reel = Loops.reel(flat);
        Fitting.Result found = Fitting.fit(Loops.trials(reel, flat), 100_000, true, true, Progress.NONE);
        assertThat(found.best().delivery()).isEqualTo(reel.delivery());
        assertThat(GivenUp.sentence(reel, found, 100_000)).startsWith("Nothing had to be given up");
    }

    @Test
    void oneFrameIsALoopToo() {
        List<Raster> one = SUNRISE.subList(0, 1);
        Reel reel = Loops.reel(one);
        Trials trials = Loops.trials(reel, one);
        int whole = trials.whole(reel.delivery(), Progress.NONE).bytes();
        Fitting.Result found = Fitting.fit(trials, whole / 2, true, true, Progress.NONE);
        assertThat(found.best().bytes()).isLessThanOrEqualTo(whole / 2);
        assertThat(found.best().delivery().framing().every()).isEqualTo(1);
    }

    @Test
    void aSentenceSaysWhatWasGivenUp() {
        Delivery after = new Delivery(60, 64, Dither.NONE, "", Encoding.USUAL.withTolerance(40));
        Fitting.Result result = new Fitting.Result(new Trial(after, 498_200, new Appearance(1, 0, 1)), null, 3);
        assertThat(GivenUp.sentence(REEL, result, 500_000))
                .isEqualTo("64 colors instead of 256, no dithering, a tolerance of 40 instead of 20, and 60 px wide"
                        + " instead of 120: 498 KB.");
        Fitting.Result same = new Fitting.Result(new Trial(REEL.delivery(), 900, new Appearance(1, 0, 1)), null, 0);
        assertThat(GivenUp.sentence(REEL, same, 500_000)).isEqualTo("Nothing had to be given up: 900 B.");
    }

    @Test
    void sizesAreReadAsPeopleWriteThem() {
        assertThat(ByteCount.parse("500 KB")).isEqualTo(500_000);
        assertThat(ByteCount.parse("2mb")).isEqualTo(2_000_000);
        assertThat(ByteCount.parse(" 1.5 MB ")).isEqualTo(1_500_000);
        assertThat(ByteCount.parse("640")).isEqualTo(640);
        assertThat(List.of("", "much", "5 GB", "-3 KB", "9999999 MB"))
                .allSatisfy(each -> assertThat(ByteCount.parse(each)).isEqualTo(-1));
        assertThat(ByteCount.text(2_140_000)).isEqualTo("2.1 MB");
    }
}
