package dobbin.slim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.dither.Dither;
import dobbin.edit.Edit;
import dobbin.edit.SetDelivery;
import dobbin.edit.SetPlays;
import dobbin.gif.GifFrame;
import dobbin.gif.GifReader;
import dobbin.palette.PaletteChoice;
import dobbin.raster.Compositor;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Delivery;
import dobbin.reel.Encoding;
import dobbin.reel.Framing;
import dobbin.reel.Reel;
import dobbin.render.Pictures;
import dobbin.render.Renderer;
import dobbin.skerry.SkerryPoint;
import dobbin.still.DecodeLimits;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ForkJoinPool;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SlimTest {
    private static final Slim SLIM = new Slim(Runnable::run);

    private static Reel reel(List<Raster> rasters, int... delays) {
        return Loops.reel(rasters, delays);
    }

    private static Pictures pictures(List<Raster> rasters) {
        return Loops.pictures(rasters);
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
        Reel reel = Edit.apply(new SetDelivery(90, 32, Dither.SIERRA_LITE, ""), reel(rasters));
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
            Encoding onePalette = with(PaletteChoice.LOOP, 20, 128, List.of());
            Reel reel =
                    Edit.apply(new SetDelivery(new Delivery(120, colors, Dither.NONE, "", onePalette)), reel(rasters));
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
                .containsExactly(0xFF808080, 0, 0xFF00FF00);
    }

    /** A soft disc wanders over a flat backdrop; what it leaves is again what it was, to the last bit. */
    @ParameterizedTest
    @CsvSource({"20, SIERRA_LITE", "20, NONE", "60, SIERRA_LITE"})
    void whatReturnsToWhatItWasReturnsExactly(int tolerance, Dither dither) throws Exception {
        Size size = new Size(90, 60);
        List<Raster> rasters = IntStream.range(0, 12)
                .mapToObj(frame -> softDisc(size, -20 + 12 * frame, 30))
                .toList();
        Reel reel = reel(rasters);
        Encoding encoding = new Encoding(85, PaletteChoice.AUTO, tolerance, 128, List.of(), "");
        reel = reel.withDelivery(new Delivery(90, 64, dither, "", encoding));
        List<GifFrame> frames = decoded(SLIM.deliver(reel, pictures(rasters), Progress.NONE));
        boolean[] covered = new boolean[(int) size.area()];
        for (int frame = 0; frame < 12; frame++) {
            int[] drawn = rasters.get(frame).argb();
            int[] seen = frames.get(frame).picture().argb();
            int off = 0;
            for (int i = 0; i < drawn.length; i++) {
                covered[i] |= drawn[i] != BACKDROP;
                off += covered[i] && drawn[i] == BACKDROP && seen[i] != BACKDROP ? 1 : 0;
            }
            assertThat(off).as("pixels off in frame %d", frame).isZero();
        }
    }

    private static final int BACKDROP = 0xFF2F6D8C;

    private static Raster softDisc(Size size, int x, int y) {
        int[] argb = new int[(int) size.area()];
        for (int i = 0; i < argb.length; i++) {
            double far = Math.hypot(i % size.width() - x, i / size.width() - y);
            int alpha = (int) Math.round(255 * Math.max(0, Math.min(1, (16 - far) / 8)));
            argb[i] = Compositor.over(alpha << 24 | 0xE8C05A, BACKDROP);
        }
        return Raster.of(size, argb);
    }

    @Test
    void canBeGivenUpAndSaysHowFarItIs() {
        List<Raster> rasters = SkerryPoint.sunrise(4, new Size(30, 20));
        List<Integer> reported = new ArrayList<>();
        SLIM.deliver(reel(rasters), pictures(rasters), (done, total) -> reported.add(100 * done / total));
        assertThat(reported).containsExactly(0, 12, 25, 37, 50, 62, 75, 87);
        assertThatThrownBy(() -> SLIM.deliver(reel(rasters), pictures(rasters), (done, total) -> {
                    if (done == 5) {
                        throw new CancellationException();
                    }
                }))
                .isInstanceOf(CancellationException.class);
        assertThatThrownBy(() -> SLIM.deliver(Reel.empty("Empty"), pictures(rasters), Progress.NONE))
                .isInstanceOf(IllegalArgumentException.class);
    }

    private static Reel encodedWith(Reel reel, Dither dither, Encoding encoding) {
        Delivery usual = reel.delivery();
        return Edit.apply(
                new SetDelivery(new Delivery(Framing.FOLLOWS, usual.colors(), dither, usual.matte(), encoding)), reel);
    }

    private static Encoding with(PaletteChoice palette, int tolerance, int alphaCutoff, List<String> kept) {
        return new Encoding(85, palette, tolerance, alphaCutoff, kept, "");
    }

    /** Colors that drift through the whole gamut need new palettes; the same colors in motion need one. */
    @Test
    void takesNewPalettesOnlyWhereTheyPay() {
        Size size = new Size(96, 64);
        List<Raster> drifting = new ArrayList<>();
        List<Raster> moving = new ArrayList<>();
        for (int frame = 0; frame < 8; frame++) {
            int[] drift = new int[(int) size.area()];
            int[] move = new int[(int) size.area()];
            for (int at = 0; at < drift.length; at++) {
                int x = at % 96;
                int y = at / 96;
                drift[at] = 0xFF000000
                        | wave(x / 40.0 + y / 50.0 + frame * 0.8) << 16
                        | wave(y / 40.0 - x / 50.0 + 2 * Math.sin(frame * 0.8)) << 8
                        | wave(x * y / 4000.0 + x / 50.0 + frame * 0.8 + 4);
                int moved = (x + 9 * frame) % 96;
                move[at] = 0xFF000000 | moved * 2 << 16 | y * 3 << 8 | moved + y;
            }
            drifting.add(Raster.of(size, drift));
            moving.add(Raster.of(size, move));
        }
        assertThat(SLIM.deliver(reel(drifting), pictures(drifting), Progress.NONE)
                        .palettes())
                .isGreaterThan(2);
        assertThat(SLIM.deliver(reel(moving), pictures(moving), Progress.NONE).palettes())
                .isEqualTo(1);
        Reel each = encodedWith(reel(moving), Dither.NONE, with(PaletteChoice.FRAME, 0, 128, List.of()));
        Delivered own = SLIM.deliver(each, pictures(moving), Progress.NONE);
        assertThat(own.palettes()).isEqualTo(8);
        assertThat(own.stored())
                .extracting(frame -> frame.stored().own() != null)
                .containsExactly(false, true, true, true, true, true, true, true);
    }

    private static int wave(double turns) {
        return (int) Math.round(127.5 + 117.5 * Math.sin(turns));
    }

    /** Also where the frame before has something there that is hardly different. */
    @ParameterizedTest
    @ValueSource(ints = {0, 20, 100})
    void keptColorsArriveExactly(int tolerance) throws Exception {
        List<Raster> rasters = new ArrayList<>();
        int[] ledges = {0xFF123457, 0xFF123456, 0xFF123456};
        for (Raster sunrise : SkerryPoint.sunrise(3, new Size(60, 40))) {
            int[] argb = sunrise.argb().clone();
            Arrays.fill(argb, 0, 60, ledges[rasters.size()]);
            rasters.add(Raster.of(sunrise.size(), argb));
        }
        Encoding keeping = with(PaletteChoice.AUTO, tolerance, 128, List.of("123456"));
        Reel reel = Edit.apply(new SetDelivery(new Delivery(60, 8, Dither.SIERRA_LITE, "", keeping)), reel(rasters));
        List<GifFrame> shown = decoded(SLIM.deliver(reel, pictures(rasters), Progress.NONE));
        for (GifFrame frame : shown.subList(1, shown.size())) {
            assertThat(Arrays.stream(frame.picture().argb(), 0, 60).distinct().toArray())
                    .containsExactly(0xFF123456);
        }
        assertThat(shown).hasSizeGreaterThan(1);
    }

    /** As many colors as entries leave no room for a transparent one, but not all of them fit beside a kept color anyway. */
    @Test
    void whatDoesNotMoveIsHeldWhereKeptColorsTakeTheRoom() {
        Size size = new Size(40, 40);
        List<Raster> rasters = new ArrayList<>();
        for (int frame = 0; frame < 3; frame++) {
            int[] argb = new int[(int) size.area()];
            for (int at = 0; at < argb.length; at++) {
                argb[at] = 0xFF000000 | (at % 8) * 0x1F1300;
            }
            argb[5 + frame * 40] = 0xFF000000;
            argb[905 + frame] = 0xFF1F1300;
            rasters.add(Raster.of(size, argb));
        }
        Reel reel = encodedWith(reel(rasters), Dither.NONE, with(PaletteChoice.AUTO, 0, 128, List.of("FF00FF")));
        reel = Edit.apply(
                new SetDelivery(
                        new Delivery(40, 8, Dither.NONE, "", reel.delivery().encoding())),
                reel);
        Delivered delivered = SLIM.deliver(reel, pictures(rasters), Progress.NONE);
        assertThat(delivered.lossless()).isFalse();
        assertThat(delivered.stored().get(0).stored().transparentIndex()).isZero();
    }

    @Test
    void theCutoffDecidesWhatIsDrawn() throws Exception {
        List<Raster> rasters = List.of(Raster.of(new Size(3, 1), new int[] {0x40FFFFFF, 0x7FFF0000, 0xFF00FF00}));
        for (int cutoff : new int[] {1, 65, 128, 255}) {
            Reel reel = encodedWith(reel(rasters), Dither.NONE, with(PaletteChoice.AUTO, 20, cutoff, List.of()));
            int[] shown = decoded(SLIM.deliver(reel, pictures(rasters), Progress.NONE))
                    .get(0)
                    .picture()
                    .argb();
            assertThat(shown)
                    .containsExactly(0x40 >= cutoff ? 0xFFFFFFFF : 0, 0x7F >= cutoff ? 0xFFFF0000 : 0, 0xFF00FF00);
        }
    }

    @Test
    void aCommentIsWrittenOnlyWhenAsked() {
        List<Raster> rasters = List.of(Raster.filled(new Size(2, 2), 0xFF203040));
        Reel said = encodedWith(
                reel(rasters), Dither.NONE, new Encoding(85, PaletteChoice.AUTO, 20, 128, List.of(), "Skerry Point"));
        assertThat(new String(
                        SLIM.deliver(said, pictures(rasters), Progress.NONE).bytes(), StandardCharsets.ISO_8859_1))
                .contains("!\u00fe\u000cSkerry Point");
        assertThat(new String(
                        SLIM.deliver(reel(rasters), pictures(rasters), Progress.NONE)
                                .bytes(),
                        StandardCharsets.ISO_8859_1))
                .doesNotContain("!\u00fe");
    }

    @Test
    void theWeightsOfAllFramesAreTheFile() {
        List<Raster> rasters = SkerryPoint.sunrise(5, new Size(96, 64));
        Delivered delivered = SLIM.deliver(reel(rasters), pictures(rasters), Progress.NONE);
        int frames = delivered.stored().stream()
                .mapToInt(frame -> frame.stored().bytes())
                .sum();
        int header = 13 + 3 * 256 + 19;
        assertThat(delivered.bytes()).hasSize(header + frames + 1);
    }

    @Test
    void delaysPlaysAndCommentChangeWithoutEncodingAgain() {
        List<Raster> rasters = SkerryPoint.sunrise(4, new Size(60, 40));
        Reel before = reel(rasters, 40, 40, 40, 40);
        Drawing drawing = (it, tracks, frame, framed) -> framed.draw(it, tracks, frame, pictures(rasters));
        Encoded encoded = SLIM.encode(before, drawing, Progress.NONE);
        Reel after = Edit.apply(new SetPlays(3), reel(rasters, 100, 20, 1000, 70));
        after = encodedWith(
                after, Dither.SIERRA_LITE, new Encoding(85, PaletteChoice.AUTO, 20, 128, List.of(), "Tide"));
        assertThat(Slim.file(encoded, after).bytes())
                .isEqualTo(SLIM.deliver(after, pictures(rasters), Progress.NONE).bytes());
    }
}
