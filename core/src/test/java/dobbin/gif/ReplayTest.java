package dobbin.gif;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.dither.Dithering;
import dobbin.palette.Palette;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.DecodeLimits;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class ReplayTest {
    private static final Size SIZE = new Size(16, 12);

    /** A block that wanders over a ground with holes, and rests for a frame. */
    private static List<Raster> loop() {
        List<Raster> frames = new ArrayList<>();
        for (int step : new int[] {0, 1, 1, 2, 3, 3, 3, 0}) {
            int[] argb = new int[16 * 12];
            for (int i = 0; i < argb.length; i++) {
                boolean inBlock = i % 16 / 4 == step && i / 16 / 4 == 1;
                argb[i] = inBlock ? 0xFFB23A2E : i % 7 == step ? 0 : 0xFF2B6F86;
            }
            frames.add(Raster.of(SIZE, argb));
        }
        return frames;
    }

    @Test
    void showsWhatViewersShowInAnyOrder() throws Exception {
        List<Raster> frames = loop();
        Palette palette = Palette.of(true, 0xB23A2E, 0x2B6F86);
        GifSettings settings = new GifSettings(palette, true, true, Dithering.NONE, 0, 0, "");
        LoopEncoder encoder = new LoopEncoder(SIZE, settings, Runnable::run);
        frames.forEach(frame -> encoder.add(frame, palette));
        List<EncodedFrame> stored = encoder.finish();
        assertThat(stored).as("frames that are the same are one").hasSize(5);

        Replay replay = new Replay(SIZE, palette, stored);
        assertThat(IntStream.range(0, 8).mapToObj(replay::at)).isEqualTo(frames);
        for (int frame : new int[] {7, 0, 4, 4, 2, 6, 1}) {
            assertThat(replay.at(frame)).as("frame " + frame).isEqualTo(frames.get(frame));
        }
        GifReader reader = GifReader.open(
                GifFile.bytes(SIZE, settings, stored, new int[] {4, 4, 4, 4, 4, 4, 4, 4}), DecodeLimits.USUAL);
        for (EncodedFrame each : stored) {
            assertThat(reader.next().orElseThrow().picture()).isEqualTo(replay.at(each.first()));
        }
    }
}
