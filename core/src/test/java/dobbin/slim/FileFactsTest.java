package dobbin.slim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dobbin.dither.Dither;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Delivery;
import dobbin.reel.Encoding;
import dobbin.reel.Reel;
import dobbin.skerry.SkerryPoint;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is told of a file: bytes by frame, colors by share, patches of every dither. */
class FileFactsTest {
    private static final Size SIZE = new Size(40, 30);

    private static Raster withBlock(int x) {
        int[] argb = Raster.filled(SIZE, 0xFF2B6F86).argb().clone();
        for (int y = 10; y < 20; y++) {
            Arrays.fill(argb, y * 40 + x, y * 40 + x + 10, 0xFFB23A2E);
        }
        return Raster.of(SIZE, argb);
    }

    private static Delivered delivered(List<Raster> rasters) {
        return new Slim(Runnable::run).deliver(Loops.reel(rasters), Loops.pictures(rasters), Progress.NONE);
    }

    @Test
    void theBytesOfFramesAndTheHeadAreTheFile() {
        Delivered file = delivered(List.of(withBlock(0), withBlock(15), withBlock(15), withBlock(30)));
        List<FrameWeight> frames = FrameWeight.of(file);
        int header = 6 + 7 + 3 * 4 + 19 + 1;
        assertThat(frames.stream().mapToInt(FrameWeight::bytes).sum() + header).isEqualTo(file.bytes().length);
        assertThat(frames).extracting(FrameWeight::first).containsExactly(0, 1, 3);
        assertThat(frames).extracting(FrameWeight::frames).containsExactly(1, 2, 1);
        assertThat(frames.get(0).drawn()).isEqualTo(1);
        assertThat(frames.get(1).drawn()).isCloseTo(200.0 / 1200, within(0.01));
        assertThat(frames).allSatisfy(frame -> assertThat(frame.overhead()).isGreaterThanOrEqualTo(20));
        assertThat(FrameWeight.advice(frames))
                .startsWith("Frame 1 is the heaviest")
                .contains("stored whole");
    }

    @Test
    void aMovingCameraIsNamed() {
        List<Raster> pan = SkerryPoint.sunrise(6, SIZE);
        assertThat(FrameWeight.advice(FrameWeight.of(delivered(pan)))).contains("repaint the whole picture");
    }

    @Test
    void swatchesGoFromDarkToLightAndSharesAddUp() {
        List<Raster> rasters = List.of(withBlock(0), withBlock(20));
        Encoded encoded = Loops.trials(Loops.reel(rasters), rasters).encode(Delivery.USUAL, Progress.NONE);
        List<Swatches.Swatch> swatches = Swatches.of(encoded);
        assertThat(swatches).extracting(Swatches.Swatch::rgb).containsExactlyInAnyOrder(0x2B6F86, 0xB23A2E);
        assertThat(swatches.stream().mapToDouble(Swatches.Swatch::share).sum()).isCloseTo(1, within(1e-9));
        assertThat(swatches.stream()
                        .filter(each -> each.rgb() == 0xB23A2E)
                        .findFirst()
                        .orElseThrow()
                        .share())
                .isCloseTo(100.0 / 1200, within(1e-9));
    }

    @Test
    void ofManyPalettesTheMostUsedColorsAreShown() {
        List<Raster> sunrise = SkerryPoint.sunrise(6, new Size(120, 80));
        Reel reel = Loops.reel(sunrise);
        Encoding each = new Encoding(85, dobbin.palette.PaletteChoice.FRAME, 20, 128, List.of(), "");
        Encoded encoded =
                Loops.trials(reel, sunrise).encode(new Delivery(0, 256, Dither.SIERRA_LITE, "", each), Progress.NONE);
        assertThat(encoded.palettes()).isEqualTo(6);
        assertThat(Swatches.of(encoded)).hasSize(256);
    }

    @Test
    void everyDitherHasAPatchAndOnlyOneOfThemIsFlat() {
        Raster sunrise = SkerryPoint.sunrise(1, new Size(160, 120)).get(0);
        Delivery few = new Delivery(0, 8, Dither.SIERRA_LITE, "", Encoding.USUAL);
        Raster patches = DitherPatches.of(sunrise, few);
        int high = patches.height() / Dither.values().length;
        assertThat(patches.size()).isEqualTo(new Size(72, 44 * 6));
        List<Integer> edges = Arrays.stream(Dither.values())
                .map(dither -> edges(patches, dither.ordinal() * high, high))
                .toList();
        assertThat(edges.get(0))
                .as("no dither has the fewest edges")
                .isLessThan(edges.stream().skip(1).min(Integer::compare).orElseThrow());
        assertThat(Arrays.stream(patches.argb()).distinct().count()).isLessThanOrEqualTo(2 * 8);
        assertThat(DitherPatches.of(Raster.filled(new Size(5, 3), 0xFF102030), few)
                        .size())
                .isEqualTo(new Size(5, 18));
    }

    private static int edges(Raster patches, int top, int high) {
        int edges = 0;
        for (int y = top; y < top + high; y++) {
            for (int x = 1; x < patches.width(); x++) {
                edges += patches.pixel(x, y) == patches.pixel(x - 1, y) ? 0 : 1;
            }
        }
        return edges;
    }
}
