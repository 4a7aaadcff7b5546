package dobbin.e2e;

import com.microsoft.playwright.options.FilePayload;
import dobbin.gif.GifFormatException;
import dobbin.gif.GifFrame;
import dobbin.gif.GifReader;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.DecodeLimits;
import dobbin.still.PngWriter;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** Files to bring: one flat color each, so that it can be seen which frame is which in what comes out. */
final class Stills {
    static final Size SIZE = new Size(60, 40);

    private Stills() {}

    static int color(int number) {
        return 0xFF000000 | (40 * number & 0xFF) << 16 | (90 + 17 * number & 0xFF) << 8 | (200 - 23 * number & 0xFF);
    }

    static FilePayload png(int number) {
        return png("Tide " + number + ".png", SIZE, color(number));
    }

    static FilePayload png(String name, Size size, int color) {
        return new FilePayload(name, "image/png", PngWriter.bytes(Raster.filled(size, color)));
    }

    /** Noise, which no packing makes smaller. */
    static byte[] noise(Size size, int seed) {
        int[] pixels = new Random(seed)
                .ints(size.area(), 0, 1 << 24)
                .map(rgb -> rgb | 0xFF000000)
                .toArray();
        return PngWriter.bytes(Raster.of(size, pixels));
    }

    /** A delivered file as a viewer sees it. */
    record Loop(int plays, List<Integer> colors, List<Integer> delaysMillis) {
        static Loop of(byte[] gif) throws GifFormatException {
            GifReader reader = GifReader.open(gif, DecodeLimits.USUAL);
            List<Integer> colors = new ArrayList<>();
            List<Integer> delays = new ArrayList<>();
            for (Optional<GifFrame> frame = reader.next(); frame.isPresent(); frame = reader.next()) {
                Raster picture = frame.get().picture();
                colors.add(picture.pixel(picture.width() / 2, picture.height() / 2));
                delays.add(frame.get().delayMillis());
            }
            return new Loop(reader.plays(), colors, delays);
        }
    }
}
