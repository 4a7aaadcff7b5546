package dobbin.slim;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.dither.Dither;
import dobbin.palette.PaletteChoice;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Crop;
import dobbin.reel.Delivery;
import dobbin.reel.Encoding;
import dobbin.reel.Framing;
import dobbin.reel.Reel;
import dobbin.reel.Scaling;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which settings a search has to choose from. */
class TrialSettingsTest {
    private static Reel reel(int frames, Size size) {
        return Loops.reel(Collections.nCopies(frames, Raster.filled(size, 0xFF102030)));
    }

    private static Reel with(Reel reel, Delivery delivery) {
        return reel.withDelivery(delivery);
    }

    @Test
    void aFullSearchHasEveryNumberOfColorsDitherAndTolerance() {
        Reel reel = reel(12, new Size(480, 320));
        List<Delivery> all = new TrialSettings(reel).all(false, false);
        assertThat(all).hasSize(14 * 2 * 3).doesNotHaveDuplicates();
        assertThat(all)
                .allSatisfy(each ->
                        assertThat(each.framing()).isEqualTo(reel.delivery().framing()));
        assertThat(all).extracting(each -> each.encoding().tolerance()).containsOnly(20, 40, 60);
        assertThat(all).extracting(Delivery::dither).containsOnly(Dither.NONE, Dither.SIERRA_LITE);
    }

    @ParameterizedTest
    @CsvSource({"false, false, 1", "true, false, 6", "false, true, 3", "true, true, 18"})
    void widthAndFramesAreOpenOnlyWhereTheyMayChange(boolean width, boolean frames, int framings) {
        TrialSettings choices = new TrialSettings(reel(12, new Size(480, 320)));
        assertThat(choices.framings(width, frames)).hasSize(framings).doesNotHaveDuplicates();
        assertThat(choices.framings(width, frames).get(0)).isEqualTo(Framing.USUAL);
    }

    @Test
    void fewFramesAreNotThinnedAndNarrowOnesStay() {
        TrialSettings choices = new TrialSettings(reel(3, new Size(70, 50)));
        assertThat(choices.framings(true, true)).containsExactly(Framing.USUAL);
    }

    @Test
    void whatIsSetStaysWhereItIsNotForChoice() {
        Encoding set = new Encoding(40, PaletteChoice.LOOP, 50, 99, List.of("b23a2e"), "Skerry");
        Reel reel = reel(12, new Size(480, 320));
        Framing crop = new Framing(new Crop(10, 10, 300, 200), 0, 150, 1, Scaling.HARD, 2);
        Delivery delivery = new Delivery(crop, 64, dobbin.reel.Coloring.USUAL, Dither.BAYER, "f6f1e7", true, set);
        TrialSettings choices = new TrialSettings(with(reel, delivery));
        assertThat(choices.all(true, false)).allSatisfy(each -> {
            assertThat(each.encoding().keptColors()).containsExactly("b23a2e");
            assertThat(each.encoding().palette()).isEqualTo(PaletteChoice.LOOP);
            assertThat(each.encoding().tolerance()).isIn(50, 60);
            assertThat(each.dither()).isIn(Dither.BAYER, Dither.NONE);
            assertThat(each.framing().crop()).isEqualTo(crop.crop());
            assertThat(each.framing().every()).isEqualTo(2);
            assertThat(each.colors()).isGreaterThan(2);
            assertThat(each.flat()).isTrue();
        });
        assertThat(choices.spread())
                .allSatisfy(each -> assertThat(each.encoding().tolerance()).isGreaterThanOrEqualTo(50));
    }

    @Test
    void whatIsEnlargedByWholeFactorsIsEnlargedLess() {
        Reel reel = reel(12, new Size(32, 20));
        Framing ten = new Framing(Crop.WHOLE, 0, 0, 10, Scaling.SMOOTH, 1);
        TrialSettings choices = new TrialSettings(with(reel, reel.delivery().with(ten)));
        assertThat(choices.framings(true, false)).extracting(Framing::enlarge).containsExactly(10, 9, 7, 6, 5, 4);
    }

    @Test
    void aSpreadHasAboutTwoDozenSettingsOfEachKind() {
        List<Delivery> spread = new TrialSettings(reel(12, new Size(480, 320))).spread();
        assertThat(spread).hasSize(24).doesNotHaveDuplicates();
        assertThat(spread).extracting(Delivery::colors).contains(256, 128, 64, 32, 16);
        assertThat(spread).extracting(each -> each.framing().width()).contains(0, 360, 288, 216);
    }
}
