package dobbin.slim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dobbin.compare.Viewed;
import dobbin.dither.Dither;
import dobbin.raster.Bilinear;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Coloring;
import dobbin.reel.Delivery;
import dobbin.reel.Encoding;
import dobbin.reel.Framing;
import dobbin.reel.Reel;
import dobbin.skerry.SkerryPoint;
import java.util.List;
import org.junit.jupiter.api.Test;

/** How a delivered loop looks beside the drawn one. */
class AppearanceTest {
    private static final Size SIZE = new Size(48, 32);
    private static final List<Raster> SUNRISE = SkerryPoint.sunrise(4, SIZE);

    private static Appearance of(Reel reel, List<Raster> rasters, Delivery delivery) {
        return Loops.trials(reel.withDelivery(delivery), rasters)
                .whole(delivery, Progress.NONE)
                .looks();
    }

    private static Delivery gray(int width) {
        return new Delivery(
                Framing.ofWidth(width),
                256,
                new Coloring(dobbin.palette.ColorChoice.GRAYS, List.of()),
                Dither.NONE,
                "",
                false,
                Encoding.USUAL);
    }

    @Test
    void aLosslessFileHasNoError() {
        List<Raster> flat = List.of(Raster.filled(SIZE, 0xFFB23A2E), Raster.filled(SIZE, 0xFF2B6F86));
        Appearance looks = of(Loops.reel(flat), flat, Delivery.USUAL);
        assertThat(looks.error()).isZero();
        assertThat(looks.worstError()).isZero();
    }

    @Test
    void framesCountByHowLongTheyShow() {
        List<Raster> two = List.of(Raster.filled(SIZE, 0xFFB23A2E), Raster.filled(SIZE, 0xFF808080));
        Appearance even = of(Loops.reel(two, 100, 100), two, gray(0));
        Appearance mostlyRed = of(Loops.reel(two, 300, 100), two, gray(0));
        assertThat(even.worstFrame()).isZero();
        assertThat(even.error()).isCloseTo(even.worstError() / 2, within(1e-9));
        assertThat(mostlyRed.error()).isCloseTo(even.worstError() * 3 / 4, within(1e-9));
    }

    /** Half of the frames then show what came before them. */
    @Test
    void framesThatArePassedOverCount() {
        Reel reel = Loops.reel(SUNRISE);
        Delivery every = new Delivery(0, 256, Dither.SIERRA_LITE, "", Encoding.USUAL);
        Delivery fewer = every.with(every.framing().withEvery(2));
        double passedOver = Viewed.of(SUNRISE.get(1)).meanError(Viewed.of(SUNRISE.get(0)));
        double all = of(reel, SUNRISE, every).error();
        Appearance looks = of(reel, SUNRISE, fewer);
        assertThat(looks.error()).isGreaterThan(all);
        assertThat(looks.worstFrame()).isOdd();
        assertThat(looks.worstError()).isGreaterThan(0.5 * passedOver);
    }

    @Test
    void aSmallerFileIsEnlargedAsBrowsersDo() {
        Reel reel = Loops.reel(SUNRISE.subList(0, 1));
        Delivery half = new Delivery(24, 256, Dither.NONE, "", Encoding.USUAL);
        Trials trials = Loops.trials(reel, SUNRISE);
        Encoded encoded = trials.encode(half, Progress.NONE);
        Raster shown = new dobbin.gif.Replay(encoded.size(), encoded.settings().palette(), encoded.stored()).at(0);
        double expected = Viewed.of(SUNRISE.get(0)).meanError(Viewed.of(Bilinear.resize(shown, SIZE)));
        assertThat(trials.trial(half, encoded, Progress.NONE).error()).isCloseTo(expected, within(1e-9));
    }

    @Test
    void transparencyIsLookedAtOnWhiteAndOnBlackOrOnTheMatte() {
        List<Raster> soft = List.of(Raster.filled(SIZE, 0x80FFFFFF));
        Reel reel = Loops.reel(soft);
        double onWhite = 0;
        double onBlack =
                Viewed.of(Raster.filled(SIZE, 0xFF808080)).meanError(Viewed.of(Raster.filled(SIZE, 0xFFFFFFFF)));
        assertThat(of(reel, soft, Delivery.USUAL).error()).isCloseTo((onWhite + onBlack) / 2, within(0.01));
        Delivery onGray = new Delivery(0, 256, Dither.NONE, "404040", Encoding.USUAL);
        assertThat(of(reel, soft, onGray).error())
                .as("mixed with the page it is looked at on")
                .isLessThan(0.5);
    }
}
