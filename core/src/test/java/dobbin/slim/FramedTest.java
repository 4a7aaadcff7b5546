package dobbin.slim;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.dither.Dither;
import dobbin.edit.AddStills;
import dobbin.edit.Edit;
import dobbin.edit.NewStill;
import dobbin.edit.SetDelivery;
import dobbin.gif.GifFrame;
import dobbin.gif.GifReader;
import dobbin.raster.Bounds;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Coloring;
import dobbin.reel.Crop;
import dobbin.reel.Delivery;
import dobbin.reel.Encoding;
import dobbin.reel.Framing;
import dobbin.reel.Reel;
import dobbin.reel.Scaling;
import dobbin.reel.Tracks;
import dobbin.render.Renderer;
import dobbin.still.DecodeLimits;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What of the canvas and the loop is delivered. */
class FramedTest {
    private static final Size SIZE = new Size(12, 8);

    /** Every pixel of every frame is another color. */
    private static Raster still(int frame) {
        int[] argb = new int[(int) SIZE.area()];
        for (int i = 0; i < argb.length; i++) {
            argb[i] = 0xFF000000 | frame << 16 | i % 12 << 12 | i / 12;
        }
        return Raster.of(SIZE, argb);
    }

    private static Reel reel(int frames, Framing framing) {
        List<NewStill> stills = new ArrayList<>();
        for (int i = 0; i < frames; i++) {
            stills.add(new NewStill(String.format("%064x", i), "Tide " + i, SIZE, 40));
        }
        Reel reel = Edit.apply(new AddStills(stills, 0), Reel.empty("Tide"));
        return Edit.apply(new SetDelivery(reel.delivery().with(framing)), reel);
    }

    private static Raster drawn(Reel reel, int frame) {
        return Framed.of(reel)
                .draw(
                        reel,
                        new Tracks(reel.frames()),
                        reel.frames().get(frame),
                        (name, level) -> still(Integer.parseInt(name.substring(56), 16)));
    }

    private static List<GifFrame> delivered(Reel reel) throws Exception {
        byte[] file = new Slim(Runnable::run)
                .deliver(reel, (name, level) -> still(Integer.parseInt(name.substring(56), 16)), Progress.NONE)
                .bytes();
        GifReader reader = GifReader.open(file, DecodeLimits.USUAL);
        List<GifFrame> frames = new ArrayList<>();
        for (Optional<GifFrame> frame = reader.next(); frame.isPresent(); frame = reader.next()) {
            frames.add(frame.get());
        }
        return frames;
    }

    @Test
    void aCropAtItsOwnSizeIsThosePixels() throws Exception {
        Crop crop = new Crop(3, 2, 6, 5);
        Reel reel = reel(2, new Framing(crop, 0, 0, 1, Scaling.SMOOTH, 1));
        Raster part = still(1).cut(new Bounds(3, 2, 9, 7));
        assertThat(drawn(reel, 1)).isEqualTo(part);
        assertThat(delivered(reel).get(1).picture()).isEqualTo(part);
    }

    @Test
    void enlargedPixelsAreBlocks() throws Exception {
        Reel reel = reel(1, new Framing(new Crop(3, 2, 6, 5), 0, 0, 4, Scaling.SMOOTH, 1));
        Raster large = drawn(reel, 0);
        assertThat(large.size()).isEqualTo(new Size(24, 20));
        for (int y = 0; y < 20; y++) {
            for (int x = 0; x < 24; x++) {
                assertThat(large.pixel(x, y)).isEqualTo(still(0).pixel(3 + x / 4, 2 + y / 4));
            }
        }
        assertThat(delivered(reel).get(0).picture()).isEqualTo(large);
    }

    @Test
    void hardScalingTakesThePixelInTheMiddleAndMixesNone() {
        Reel reel = reel(1, new Framing(Crop.WHOLE, 4, 0, 1, Scaling.HARD, 1));
        Raster small = drawn(reel, 0);
        assertThat(small.size()).isEqualTo(new Size(4, 3));
        assertThat(small.pixel(0, 0)).isEqualTo(still(0).pixel(1, 1));
        assertThat(small.pixel(3, 2)).isEqualTo(still(0).pixel(10, 6));
    }

    @Test
    void aSmoothCropIsThatPartOfTheWholeDrawnThatLarge() {
        Reel reel = reel(1, new Framing(new Crop(6, 0, 6, 8), 12, 0, 1, Scaling.SMOOTH, 1));
        Raster whole = Renderer.draw(reel, reel.frames().get(0), (name, level) -> still(0), new Size(24, 16));
        assertThat(drawn(reel, 0)).isEqualTo(whole.cut(new Bounds(12, 0, 24, 16)));
    }

    /** The whole of such a canvas would have 51 million pixels. */
    @Test
    void aSmallPartOfALargeCanvasIsNotDrawnWithAllTheRest() {
        Reel reel = reel(1, Framing.USUAL).withCanvas(new Size(1600, 1067));
        Framing small = new Framing(new Crop(700, 500, 290, 100), 1600, 0, 1, Scaling.SMOOTH, 1);
        Framed framed = Framed.of(reel.withDelivery(reel.delivery().with(small)));
        assertThat(framed.drawn().area()).isBetween(7_900_000L, 8_100_000L);
        assertThat(framed.delivered()).isEqualTo(new Size(1600, 552));
    }

    @Test
    void everySecondFrameShowsTwiceAsLong() throws Exception {
        List<GifFrame> frames = delivered(reel(5, new Framing(new Crop(0, 0, 3, 2), 0, 0, 1, Scaling.SMOOTH, 2)));
        assertThat(frames).extracting(GifFrame::delayMillis).containsExactly(80, 80, 40);
        assertThat(frames)
                .extracting(frame -> frame.picture().pixel(0, 0))
                .containsExactly(0xFF000000, 0xFF020000, 0xFF040000);
    }

    @Test
    void flatEdgesLeaveNothingTransparent() {
        Size row = new Size(3, 1);
        Raster soft = Raster.of(row, new int[] {0x80FFFFFF, 0, 0xFF00FF00});
        Reel reel = Edit.apply(
                new AddStills(List.of(new NewStill("0".repeat(64), "Gull", row, 100)), 0), Reel.empty("Gull"));
        Delivery flat = new Delivery(Framing.USUAL, 256, Coloring.USUAL, Dither.NONE, "0000ff", true, Encoding.USUAL);
        Delivered made = new Slim(Runnable::run).deliver(reel.withDelivery(flat), (name, level) -> soft, Progress.NONE);
        assertThat(made.lossless()).isTrue();
        assertThat(made.reason()).isEqualTo(PaletteReason.ONE_FRAME);
        assertThat(Matte.harden(soft, "0000ff", true, 128).argb()).containsExactly(0xFF8080FF, 0xFF0000FF, 0xFF00FF00);
    }
}
