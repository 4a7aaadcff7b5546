package dobbin.gif;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.dither.Dithering;
import dobbin.palette.Palette;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A GIF says delays up to 655.35 seconds; a frame that shows for longer is stored more than once. */
class LongDelaysTest {
    private static final Size SIZE = new Size(8, 6);
    private static final int LONGEST = 0xFFFF;

    /** A block that moves on by two pixels over a ground, or over nothing, so that all disposals are used. */
    private static List<Raster> loop(int ground, int... steps) {
        List<Raster> frames = new ArrayList<>();
        for (int step : steps) {
            int[] argb = new int[(int) SIZE.area()];
            Arrays.fill(argb, ground);
            for (int y = 1; y < 4; y++) {
                argb[8 * y + step] = 0xFFB23A2E;
                argb[8 * y + step + 1] = 0xFF2B6F86;
            }
            argb[47] = 0xFF2B6F86;
            frames.add(Raster.of(SIZE, argb));
        }
        return frames;
    }

    @ParameterizedTest
    @CsvSource({"0, 0 2 4 4 0", "-1, 0 2 4 4 0", "-1, 0 4 0 6 0", "0, 3 3 3", "0, 0 3 6"})
    void everyFrameShowsForAsLongAsItShall(int ground, String steps) throws Exception {
        List<Raster> frames = loop(
                ground,
                Arrays.stream(steps.split(" ")).mapToInt(Integer::parseInt).toArray());
        int[] hundredths = IntStream.range(0, frames.size())
                .map(i -> i % 2 == 0 ? 2 * LONGEST + 7 : LONGEST)
                .toArray();
        Palette palette = Palette.of(true, 0xB23A2E, 0x2B6F86, 0xFFFFFF);
        GifSettings settings = new GifSettings(palette, true, true, Dithering.NONE, 0, 0, "");
        LoopEncoder encoder = new LoopEncoder(SIZE, settings, Runnable::run);
        frames.forEach(frame -> encoder.add(frame, palette));
        byte[] file = GifFile.bytes(SIZE, settings, encoder.finish(), hundredths);

        List<Raster> screens = JdkScreen.shown(file, SIZE);
        int[] each = JdkScreen.hundredths(file);
        assertThat(Arrays.stream(each).sum())
                .as("the loop is as long")
                .isEqualTo(Arrays.stream(hundredths).sum());
        long shown = 0;
        int image = 0;
        for (int frame = 0; frame < frames.size(); frame++) {
            for (long until = Arrays.stream(hundredths, 0, frame + 1)
                            .asLongStream()
                            .sum();
                    shown < until;
                    image++) {
                assertThat(screens.get(image)).as("frame %d", frame).isEqualTo(frames.get(frame));
                shown += each[image];
            }
        }
        assertThat(image).isEqualTo(each.length);
    }
}
