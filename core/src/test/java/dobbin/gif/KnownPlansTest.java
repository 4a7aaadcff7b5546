package dobbin.gif;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.dither.Dithering;
import dobbin.palette.Palette;
import dobbin.raster.Memory;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Remembering what changes from frame to frame never changes what is found. */
class KnownPlansTest {
    private static final Size SIZE = new Size(16, 12);
    private static final int[] COLORS = {0x102030, 0x405060, 0x708090};

    /** Remembers results by picture and terms, and counts what it had to work out. */
    private static class Notes implements Memory {
        private final Map<List<Object>, Object> known = new HashMap<>();
        private int worked;

        @Override
        @SuppressWarnings("unchecked")
        public <V> V of(Object picture, Object terms, Supplier<V> work) {
            List<Object> key = List.of(System.identityHashCode(picture), terms);
            if (!known.containsKey(key)) {
                worked++;
                known.put(key, work.get());
            }
            return (V) known.get(key);
        }

        void forgetHalf(Random random) {
            known.keySet().removeIf(key -> random.nextBoolean());
        }
    }

    /** Frames in which a few pixels change, some of them nothing, some of them vanishing. */
    private static List<Raster> loop(Random random) {
        List<Raster> frames = new ArrayList<>();
        int[] argb = new int[(int) SIZE.area()];
        for (int frame = 0; frame < 12; frame++) {
            for (int i = random.nextInt(3) * 8; i > 0; i--) {
                int color = random.nextInt(COLORS.length + 1);
                argb[random.nextInt(argb.length)] = color == 0 ? 0 : 0xFF000000 | COLORS[color - 1];
            }
            frames.add(Raster.of(SIZE, argb.clone()));
        }
        return frames;
    }

    private static List<String> encoded(List<Raster> frames, Memory memory) {
        Palette palette = Palette.of(true, COLORS);
        GifSettings settings = new GifSettings(palette, true, true, Dithering.NONE, 0, 0, "");
        LoopEncoder encoder = new LoopEncoder(SIZE, settings, Runnable::run, memory);
        frames.forEach(frame -> encoder.add(frame, palette));
        return encoder.finish().stream()
                .map(each -> each.first() + " " + each.frames() + " "
                        + each.stored().box() + each.stored().disposal()
                        + Arrays.toString(each.stored().data()))
                .toList();
    }

    @Test
    void aLoopThatIsKnownIsNotPlannedAgain() {
        List<Raster> frames = loop(new Random(1));
        Notes notes = new Notes();
        List<String> first = encoded(frames, notes);
        int worked = notes.worked;
        assertThat(encoded(frames, notes)).isEqualTo(first);
        assertThat(notes.worked).isEqualTo(worked);
    }

    @Test
    void whatIsForgottenIsFoundAgain() {
        for (int seed = 0; seed < 40; seed++) {
            Random random = new Random(seed);
            List<Raster> frames = loop(random);
            List<String> alone = encoded(frames, Memory.NONE);
            Notes notes = new Notes();
            for (int round = 0; round < 4; round++) {
                assertThat(encoded(frames, notes)).as("seed %d", seed).isEqualTo(alone);
                notes.forgetHalf(random);
            }
        }
    }

    @Test
    void framesInAnotherOrderArePlannedAnew() {
        List<Raster> frames = loop(new Random(3));
        Notes notes = new Notes();
        encoded(frames, notes);
        List<Raster> turned = IntStream.range(0, frames.size())
                .mapToObj(i -> frames.get((i + 5) % frames.size()))
                .toList();
        assertThat(encoded(turned, notes)).isEqualTo(encoded(turned, Memory.NONE));
    }
}
