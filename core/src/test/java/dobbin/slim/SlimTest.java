package dobbin.slim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.dither.Dither;
import dobbin.edit.AddStills;
import dobbin.edit.Edit;
import dobbin.edit.NewStill;
import dobbin.edit.SetDelivery;
import dobbin.gif.GifFrame;
import dobbin.gif.GifReader;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Reel;
import dobbin.render.Pictures;
import dobbin.render.Renderer;
import dobbin.skerry.SkerryPoint;
import dobbin.still.DecodeLimits;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ForkJoinPool;
import org.junit.jupiter.api.Test;

class SlimTest {
    private static final Slim SLIM = new Slim(Runnable::run);

    private static Reel reel(List<Raster> rasters, int... delays) {
        List<NewStill> stills = new ArrayList<>();
        for (int i = 0; i < rasters.size(); i++) {
            int delay = delays.length == 0 ? 40 : delays[i];
            stills.add(new NewStill(
                    String.format("%064x", i), "Still " + i, rasters.get(i).size(), delay));
        }
        return Edit.apply(new AddStills(stills, 0), Reel.empty("Slim"));
    }

    private static Pictures pictures(List<Raster> rasters) {
        return (name, level) -> level.of(rasters.get(Integer.parseInt(name.substring(56), 16)));
    }

    private static List<GifFrame> decoded(Delivered delivered) throws Exception {
        GifReader reader = GifReader.open(delivered.bytes(), DecodeLimits.USUAL);
        List<GifFrame> frames = new ArrayList<>();
        for (Optional<GifFrame> frame = reader.next(); frame.isPresent(); frame = reader.next()) {
            frames.add(frame.get());
        }
        return frames;
    }

    @Test
    void picturesOfFewColorsArriveExactlyWithTheirDelays() throws Exception {
        Size size = new Size(5, 4);
        List<Raster> rasters =
                List.of(Raster.filled(size, 0xFF203040), Raster.filled(size, 0), Raster.filled(size, 0xFFFFFFFF));
        List<GifFrame> frames = decoded(SLIM.deliver(reel(rasters, 42, 42, 1000), pictures(rasters), Progress.NONE));
        assertThat(frames).extracting(GifFrame::picture).isEqualTo(rasters);
        assertThat(frames).extracting(GifFrame::delayMillis).containsExactly(40, 40, 1000);
    }

    @Test
    void aStillOfAnotherRatioIsFittedInsideAndCentered() {
        List<Raster> rasters = List.of(
                Raster.filled(new Size(60, 40), 0xFF00FF00),
                Raster.filled(new Size(60, 40), 0xFF00FF00),
                Raster.filled(new Size(20, 40), 0xFFFF0000));
        Reel reel = reel(rasters);
        Raster drawn = Renderer.draw(reel, reel.frames().get(2), pictures(rasters), new Size(30, 20));
        assertThat(drawn.pixel(9, 10)).isZero();
        assertThat(drawn.pixel(10, 0)).isEqualTo(0xFFFF0000);
        assertThat(drawn.pixel(19, 19)).isEqualTo(0xFFFF0000);
        assertThat(drawn.pixel(20, 10)).isZero();
    }

    @Test
    void theSameBytesOnAnyNumberOfThreads() {
        List<Raster> rasters = SkerryPoint.sunrise(6, new Size(120, 80));
        Reel reel = Edit.apply(new SetDelivery(90, 32, Dither.ERROR, ""), reel(rasters));
        byte[] alone = SLIM.deliver(reel, pictures(rasters), Progress.NONE).bytes();
        ForkJoinPool pool = new ForkJoinPool(4);
        try {
            for (int i = 0; i < 5; i++) {
                assertThat(new Slim(pool)
                                .deliver(reel, pictures(rasters), Progress.NONE)
                                .bytes())
                        .isEqualTo(alone);
            }
        } finally {
            pool.shutdown();
        }
    }

    @Test
    void fewerColorsWeighLessAndAreNeverPassed() throws Exception {
        List<Raster> rasters = SkerryPoint.sunrise(3, new Size(120, 80));
        int lighter = Integer.MAX_VALUE;
        for (int colors : new int[] {256, 64, 16, 2}) {
            Reel reel = Edit.apply(new SetDelivery(120, colors, Dither.NONE, ""), reel(rasters));
            Delivered delivered = SLIM.deliver(reel, pictures(rasters), Progress.NONE);
            assertThat(delivered.bytes().length).isLessThan(lighter);
            assertThat(delivered.colors()).isLessThanOrEqualTo(colors);
            assertThat(decoded(delivered))
                    .allSatisfy(frame -> assertThat(frame.picture().argb())
                            .satisfies(argb -> assertThat(
                                            Arrays.stream(argb).distinct().count())
                                    .isLessThanOrEqualTo(colors)));
            lighter = delivered.bytes().length;
        }
    }

    @Test
    void softEdgesMixWithTheMatteAndTheRestStaysTransparent() throws Exception {
        List<Raster> rasters = List.of(Raster.of(new Size(3, 1), new int[] {0x80FFFFFF, 0x7FFFFFFF, 0xFF00FF00}));
        Reel kept = reel(rasters);
        assertThat(decoded(SLIM.deliver(kept, pictures(rasters), Progress.NONE))
                        .get(0)
                        .picture()
                        .argb())
                .containsExactly(0xFFFFFFFF, 0, 0xFF00FF00);
        Reel mixed = Edit.apply(new SetDelivery(3, 256, Dither.NONE, "000000"), kept);
        assertThat(decoded(SLIM.deliver(mixed, pictures(rasters), Progress.NONE))
                        .get(0)
                        .picture()
                        .argb())
                .containsExactly(0xFFBCBCBC, 0, 0xFF00FF00);
    }

    @Test
    void canBeGivenUpAndSaysHowFarItIs() {
        List<Raster> rasters = SkerryPoint.sunrise(4, new Size(30, 20));
        List<Integer> reported = new ArrayList<>();
        SLIM.deliver(reel(rasters), pictures(rasters), (done, total) -> reported.add(100 * done / total));
        assertThat(reported).containsExactly(0, 6, 12, 18, 25, 31, 37, 43, 50, 56, 62, 68, 75, 81, 87, 93);
        assertThatThrownBy(() -> SLIM.deliver(reel(rasters), pictures(rasters), (done, total) -> {
                    if (done == 5) {
                        throw new CancellationException();
                    }
                }))
                .isInstanceOf(CancellationException.class);
        assertThatThrownBy(() -> SLIM.deliver(Reel.empty("Empty"), pictures(rasters), Progress.NONE))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
