package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import dobbin.dither.Dithering;
import dobbin.gif.GifFile;
import dobbin.gif.GifSettings;
import dobbin.gif.LoopEncoder;
import dobbin.palette.Palette;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What the browser makes of our files, by its own decoder: pixels, delays, and how often it plays them. */
class DecodedByChromiumTest {
    private static final String DECODE = """
            async base64 => {
              const data = Uint8Array.from(atob(base64), c => c.charCodeAt(0))
              const decoder = new ImageDecoder({ data, type: 'image/gif', colorSpaceConversion: 'none' })
              await decoder.tracks.ready
              await decoder.completed
              const track = decoder.tracks.selectedTrack
              const frames = []
              for (let i = 0; i < track.frameCount; i++) {
                const { image } = await decoder.decode({ frameIndex: i })
                const canvas = new OffscreenCanvas(image.displayWidth, image.displayHeight)
                const pen = canvas.getContext('2d')
                pen.drawImage(image, 0, 0)
                const pixels = [...pen.getImageData(0, 0, canvas.width, canvas.height).data]
                frames.push({ pixels: pixels.join(' '), millis: image.duration / 1000 })
                image.close()
              }
              const again = track.repetitionCount === Infinity ? -1 : track.repetitionCount
              decoder.close()
              return { again, frames }
            }""";

    @RegisterExtension
    private static final Visit visit = new Visit();

    private static Page page;

    @BeforeAll
    static void start() {
        page = visit.browser().open(visit.address());
    }

    @AfterAll
    static void close() {
        page.close();
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void showsThePixelsAndDelaysThatWereWritten(int seed) throws IOException {
        Random random = new Random(seed);
        Size size = new Size(1 + random.nextInt(40), 1 + random.nextInt(30));
        int[] colors =
                random.ints(2 + random.nextInt(254), 0, 1 << 24).distinct().toArray();
        Palette palette = seed % 2 == 0 ? Palette.of(false, colors) : Palette.of(true, colors);
        List<byte[]> frames = new ArrayList<>();
        byte[] frame = new byte[(int) size.area()];
        for (int i = 0; i < 6; i++) {
            frame = frame.clone();
            for (int change = random.nextInt(frame.length + 1); change > 0; change--) {
                frame[random.nextInt(frame.length)] = (byte) random.nextInt(palette.entries());
            }
            frames.add(frame);
        }
        Map<?, ?> decoded = decoded(written(size, palette, frames, 0));
        assertThat(decoded.get("again")).isEqualTo(-1);
        List<?> shown = (List<?>) decoded.get("frames");
        for (int i = 0; i < frames.size(); i++) {
            Map<?, ?> one = (Map<?, ?>) shown.get(i);
            assertThat(one.get("pixels")).as("frame %d", i).isEqualTo(rgba(frames.get(i), palette));
            assertThat(one.get("millis")).isEqualTo(100 + 10 * i);
        }
    }

    /** The browser counts how often it plays again after the first time. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 1000})
    void playsAsOftenAsAsked(int plays) throws IOException {
        byte[] file =
                written(new Size(1, 1), Palette.of(false, 0, 0xFFFFFF), List.of(new byte[1], new byte[] {1}), plays);
        assertThat(decoded(file).get("again")).isEqualTo(plays - 1);
    }

    private static byte[] written(Size size, Palette palette, List<byte[]> frames, int plays) throws IOException {
        GifSettings settings = new GifSettings(palette, true, true, Dithering.NONE, 0, plays, "");
        LoopEncoder encoder = new LoopEncoder(size, settings, Runnable::run);
        frames.forEach(frame -> encoder.add(shown(frame, size, palette), palette));
        int[] hundredths = IntStream.range(10, 10 + frames.size()).toArray();
        return GifFile.bytes(size, settings, encoder.finish(), hundredths);
    }

    private static Raster shown(byte[] indices, Size size, Palette palette) {
        int[] argb = new int[indices.length];
        for (int i = 0; i < argb.length; i++) {
            int index = indices[i] & 0xFF;
            argb[i] = index == palette.transparentIndex() ? 0 : 0xFF000000 | palette.rgb(index);
        }
        return Raster.of(size, argb);
    }

    private static Map<?, ?> decoded(byte[] gif) {
        return (Map<?, ?>) page.evaluate(DECODE, Base64.getEncoder().encodeToString(gif));
    }

    private static String rgba(byte[] indices, Palette palette) {
        StringBuilder text = new StringBuilder();
        for (byte each : indices) {
            int index = each & 0xFF;
            boolean clear = index == palette.transparentIndex();
            int rgb = palette.rgb(index);
            text.append(rgb >> 16)
                    .append(' ')
                    .append(rgb >> 8 & 255)
                    .append(' ')
                    .append(rgb & 255);
            text.append(clear ? " 0 " : " 255 ");
        }
        return text.toString().strip();
    }
}
