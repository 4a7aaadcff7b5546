package dobbin.gif;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.color.Oklab;
import dobbin.dither.Dither;
import dobbin.dither.Dithering;
import dobbin.palette.ColorTally;
import dobbin.palette.NearestColor;
import dobbin.palette.Palette;
import dobbin.palette.PaletteBuilder;
import dobbin.palette.PaletteTerms;
import dobbin.raster.Bounds;
import dobbin.raster.Disposal;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.skerry.SkerryPoint;
import dobbin.still.DecodeLimits;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is stored of a frame that is like the one before, and what viewers then see. */
class ChangesTest {
    private static final Size SIZE = new Size(40, 30);
    private static final int SEA = 0xFF204060;
    private static final int BOAT = 0xFFE0E0D0;

    private record Encoded(byte[] file, List<EncodedFrame> weights) {
        List<Raster> shown() throws GifFormatException {
            GifReader reader = GifReader.open(file, DecodeLimits.USUAL);
            List<Raster> shown = new ArrayList<>();
            for (Optional<GifFrame> frame = reader.next(); frame.isPresent(); frame = reader.next()) {
                shown.add(frame.get().picture());
            }
            return shown;
        }
    }

    private static Encoded encoded(List<Raster> frames, Palette palette, boolean lossless, Dithering how, int tolerance)
            throws IOException {
        Size size = frames.get(0).size();
        GifSettings settings = new GifSettings(palette, lossless, true, how, tolerance, 0, "");
        LoopEncoder encoder = new LoopEncoder(size, settings, Runnable::run);
        frames.forEach(frame -> encoder.add(frame, palette));
        List<EncodedFrame> encoded = encoder.finish();
        return new Encoded(GifFile.bytes(size, settings, encoded, new int[frames.size()]), encoded);
    }

    private static Encoded exactly(List<Raster> frames) throws IOException {
        return encoded(frames, Palette.of(true, 0x204060, 0xE0E0D0), true, Dithering.NONE, 0);
    }

    private static Raster with(int ground, Bounds box, int color) {
        int[] argb = new int[(int) SIZE.area()];
        Arrays.fill(argb, ground);
        for (int y = box.top(); y < box.bottom(); y++) {
            Arrays.fill(argb, y * SIZE.width() + box.left(), y * SIZE.width() + box.right(), color);
        }
        return Raster.of(SIZE, argb);
    }

    @Test
    void onlyTheBoxThatChangesIsStored() throws Exception {
        List<Raster> frames = List.of(
                with(SEA, new Bounds(3, 4, 8, 9), BOAT),
                with(SEA, new Bounds(5, 4, 10, 9), BOAT),
                with(SEA, new Bounds(5, 4, 10, 9), BOAT));
        Encoded encoded = exactly(frames);
        assertThat(encoded.shown()).containsExactly(frames.get(0), frames.get(1));
        assertThat(encoded.weights())
                .extracting(weight -> weight.stored().box())
                .containsExactly(Bounds.all(SIZE), new Bounds(3, 4, 10, 9));
        assertThat(encoded.weights()).extracting(EncodedFrame::frames).containsExactly(1, 2);
        assertThat(encoded.weights().get(1).stored().drawn()).isEqualTo(2 * 2 * 5);
    }

    @Test
    void aSpriteThatShrinksOnTransparentGroundIsClearedFirst() throws Exception {
        List<Raster> frames = List.of(
                with(0, new Bounds(5, 5, 25, 25), BOAT),
                with(0, new Bounds(10, 10, 20, 20), BOAT),
                with(0, new Bounds(14, 14, 15, 15), SEA),
                with(0, new Bounds(2, 2, 38, 28), SEA));
        Encoded encoded = exactly(frames);
        assertThat(encoded.shown()).isEqualTo(frames);
        assertThat(encoded.weights().get(0).stored().disposal()).isEqualTo(Disposal.CLEAR);
        assertThat(encoded.weights().get(2).stored().disposal()).isEqualTo(Disposal.KEEP);
    }

    @Test
    void whatIsCoveredForAMomentIsPutBack() throws Exception {
        Random random = new Random(4);
        int[] speckled =
                random.ints(SIZE.area(), 0, 2).map(i -> i == 0 ? SEA : BOAT).toArray();
        Raster ground = Raster.of(SIZE, speckled);
        int[] covered = speckled.clone();
        for (int y = 10; y < 20; y++) {
            Arrays.fill(covered, y * SIZE.width() + 10, y * SIZE.width() + 30, SEA);
        }
        List<Raster> frames = List.of(ground, Raster.of(SIZE, covered), ground, Raster.of(SIZE, covered));
        Encoded encoded = exactly(frames);
        assertThat(encoded.shown()).isEqualTo(frames);
        assertThat(encoded.weights().get(1).stored().disposal()).isEqualTo(Disposal.PUT_BACK);
        assertThat(encoded.weights().get(2).stored().drawn()).isZero();
    }

    /** Noise of a camera on a tripod, within the tolerance; the sky of the last frame is all a little lighter. */
    @Test
    void noiseIsHeldAndADriftIsNot() throws Exception {
        Random random = new Random(7);
        List<Raster> frames = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            int lighter = i == 5 ? 3 : 0;
            frames.add(Raster.of(
                    SIZE,
                    IntStream.range(0, (int) SIZE.area())
                            .map(at -> gray(120 + lighter + (int) Math.round(random.nextGaussian() * 0.7)))
                            .toArray()));
        }
        Palette palette = Palette.of(
                true, IntStream.range(110, 135).map(v -> v * 0x010101).toArray());
        Encoded tolerant = encoded(frames, palette, false, Dithering.NONE, 20);
        assertThat(tolerant.weights()).extracting(EncodedFrame::frames).containsExactly(5, 1);
        assertThat(tolerant.weights().get(1).stored().drawn()).isGreaterThan((int) (SIZE.area() * 9 / 10));
        assertThat(encoded(frames, palette, false, Dithering.NONE, 0).weights()).hasSize(6);
    }

    /** However slowly a picture changes, what is shown is never off by more than the tolerance allows at once. */
    @ParameterizedTest
    @ValueSource(ints = {10, 20, 60, 100})
    void whatIsHeldNeverDriftsAway(int tolerance) throws Exception {
        Random random = new Random(tolerance);
        List<int[]> frames = new ArrayList<>();
        int[] values = random.ints(SIZE.area(), 60, 190).toArray();
        for (int i = 0; i < 60; i++) {
            for (int at = 0; at < values.length; at++) {
                values[at] = Math.max(0, Math.min(255, values[at] + random.nextInt(3) - 1));
            }
            frames.add(Arrays.stream(values).map(ChangesTest::gray).toArray());
        }
        ChangePlanner planner = new ChangePlanner(SIZE, tolerance, Set.of());
        int[] shown = new int[(int) SIZE.area()];
        int drawn = 0;
        for (int i = 0; i <= frames.size(); i++) {
            FramePlan plan = i < frames.size() ? planner.next(frames.get(i)).finished() : planner.last();
            if (plan == null) {
                continue;
            }
            assertThat(plan.disposal()).isIn(Disposal.KEEP, Disposal.PUT_BACK);
            for (int at = 0; at < shown.length; at++) {
                if (plan.heldPixels()[at] == 0) {
                    shown[at] = frames.get(drawn)[at];
                }
                for (int[] frame : frames.subList(drawn, i)) {
                    assertThat(Math.abs((shown[at] & 0xFF) - (frame[at] & 0xFF)))
                            .isLessThanOrEqualTo(tolerance * 3 / 10);
                }
            }
            drawn = i;
        }
        assertThat(drawn).isEqualTo(frames.size());
    }

    @ParameterizedTest
    @EnumSource(Dither.class)
    void whereTheSourceStandsStillTheOutputDoes(Dither dither) throws Exception {
        Raster sunrise = SkerryPoint.sunrise(1, SIZE).get(0);
        int[] passed = sunrise.argb().clone();
        for (int y = 12; y < 18; y++) {
            Arrays.fill(passed, y * SIZE.width() + 8, y * SIZE.width() + 20, BOAT);
        }
        List<Raster> frames = List.of(sunrise, Raster.of(SIZE, passed), sunrise);
        Palette palette =
                PaletteBuilder.build(new ColorTally().count(frames.get(1)), PaletteTerms.seen(16, true, true));
        for (int tolerance : new int[] {0, 20}) {
            List<Raster> shown = encoded(frames, palette, false, new Dithering(dither, 85), tolerance)
                    .shown();
            for (int at = 0; at < passed.length; at++) {
                if (passed[at] == sunrise.argb()[at]) {
                    assertThat(shown.get(1).argb()[at]).isEqualTo(shown.get(0).argb()[at]);
                    assertThat(shown.get(2).argb()[at]).isEqualTo(shown.get(0).argb()[at]);
                }
            }
        }
    }

    /** Without dithering a pixel is its nearest color, or one that the bound allows. */
    @ParameterizedTest
    @ValueSource(ints = {0, 5, 20, 60})
    void bentPixelsStayWithinTheBound(int tolerance) throws Exception {
        Raster sunrise = SkerryPoint.sunrise(1, new Size(96, 64)).get(0);
        Palette palette = PaletteBuilder.build(new ColorTally().count(sunrise), PaletteTerms.seen(64, false, false));
        Encoded encoded = encoded(List.of(sunrise), palette, false, Dithering.NONE, tolerance);
        NearestColor search = new NearestColor(palette);
        double gap = search.meanGap();
        double roundingOfThreeAxes = 2 * Math.sqrt(3) / 8192;
        double bound = tolerance / 20.0 * Math.hypot(0.017, 0.9 * gap) + roundingOfThreeAxes;
        int bent = 0;
        int[] shown = encoded.shown().get(0).argb();
        for (int at = 0; at < shown.length; at++) {
            int rgb = sunrise.argb()[at] & 0xFFFFFF;
            double nearest = Arrays.stream(palette.colors())
                    .mapToDouble(color -> Oklab.distance(color, rgb))
                    .min()
                    .orElseThrow();
            double distance = Oklab.distance(shown[at] & 0xFFFFFF, rgb);
            assertThat(distance)
                    .isLessThanOrEqualTo(Math.max(nearest + (tolerance == 0 ? 1e-6 : search.cellDiagonal()), bound));
            bent += distance > nearest + 1e-4 ? 1 : 0;
        }
        assertThat(bent > 0).isEqualTo(tolerance > 0);
    }

    /** With few colors, all far apart, nearly everything is close enough; a hole never is. */
    @ParameterizedTest
    @EnumSource(Dither.class)
    void noToleranceMakesAColorAHole(Dither dither) throws Exception {
        Palette palette = Palette.of(true, 0x0000FF, 0x000000, 0xFFFF00);
        Random random = new Random(3);
        int[] argb = random.ints(120 * 80, 0, 4)
                .map(which -> new int[] {0, 0xFF0000FF, 0xFFFF00FF, 0xFF00FF00}[which])
                .toArray();
        Raster frame = Raster.of(new Size(120, 80), argb);
        int[] shown = encoded(List.of(frame), palette, false, new Dithering(dither, 100), 100)
                .shown()
                .get(0)
                .argb();
        for (int at = 0; at < argb.length; at++) {
            assertThat(shown[at] == 0).as("pixel %d", at).isEqualTo(argb[at] == 0);
        }
    }

    @Test
    void aHigherToleranceWeighsLess() throws Exception {
        List<Raster> frames = SkerryPoint.sunrise(4, new Size(96, 64));
        Palette palette =
                PaletteBuilder.build(new ColorTally().count(frames.get(0)), PaletteTerms.seen(128, true, true));
        int lighter = Integer.MAX_VALUE;
        for (int tolerance : new int[] {0, 10, 20, 40, 80}) {
            int bytes = encoded(frames, palette, false, Dithering.USUAL, tolerance).file.length;
            assertThat(bytes).isLessThan(lighter);
            lighter = bytes;
        }
    }

    private static int gray(int value) {
        return 0xFF000000 | value * 0x010101;
    }
}
