package dobbin.draw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.management.ThreadMXBean;
import dobbin.raster.Bounds;
import dobbin.raster.Compositor;
import dobbin.raster.HardPixels;
import dobbin.raster.Raster;
import dobbin.raster.Region;
import dobbin.raster.Resampler;
import dobbin.raster.Size;
import dobbin.reel.Ink;
import dobbin.reel.OutOfRange;
import java.lang.management.ManagementFactory;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Marks whose numbers are each in range, and ask for very much together. */
class MarkBoundsTest {
    private static final ThreadMXBean THREADS = (ThreadMXBean) ManagementFactory.getThreadMXBean();
    private static final Size CANVAS = new Size(480, 320);
    private static final long MOST_BYTES = 200_000_000;

    private static long allocated(Runnable work) {
        long id = Thread.currentThread().getId();
        long before = THREADS.getThreadAllocatedBytes(id);
        work.run();
        return THREADS.getThreadAllocatedBytes(id) - before;
    }

    private static Raster noise(Size size, int seed) {
        Random random = new Random(seed);
        int[] argb = random.ints(size.area(), 0, 1 << 24)
                .map(rgb -> rgb | 0xFF000000)
                .toArray();
        return Raster.of(size, argb);
    }

    private static Raster shifted(Raster ink, Region to, boolean hard) {
        return Inks.drawn(ink, new Shift(List.of(0.0, 0.0, 48.0, 32.0), to, Ink.NONE, true, hard));
    }

    /** 900 million pixels, of which the canvas shows a few. */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void inkThatIsMoved30000PixelsLarge(boolean hard) {
        Raster ink = noise(CANVAS, 1);
        assertThat(allocated(() -> shifted(ink, new Region(-9_000, -9_000, 30_000, 30_000), hard)))
                .isLessThan(MOST_BYTES);
        assertThat(allocated(() -> shifted(ink, new Region(90_000, 0, 30_000, 30_000), hard)))
                .as("where nobody sees it")
                .isLessThan(MOST_BYTES);
    }

    /** Made in part, it is what is seen of it made whole. */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void whatIsSeenOfLargeInkIsAsIfAllWereMade(boolean hard) {
        Raster ink = noise(CANVAS, 2);
        Region to = new Region(-700.0, -500.0, 48 * 25.0, 32 * 25.0);
        Raster seen = shifted(ink, to, hard);
        int[] whole = ink.argb().clone();
        Raster taken = ink.cut(new Bounds(0, 0, 48, 32));
        Size size = new Size(48 * 25, 32 * 25);
        Raster large = hard ? HardPixels.resize(taken, Bounds.all(taken.size()), size) : Resampler.resize(taken, size);
        Compositor.over(large, -700, -500, whole, CANVAS);
        int off = 0;
        for (int i = 0; i < whole.length; i++) {
            for (int shift = 0; shift < 32; shift += 8) {
                off = Math.max(off, Math.abs((whole[i] >> shift & 0xFF) - (seen.argb()[i] >> shift & 0xFF)));
            }
        }
        assertThat(off).isLessThanOrEqualTo(hard ? 0 : 1);
    }

    /** As the pixels were told from one another before, each by itself. */
    @Test
    void anOutlineGoesAroundThePixelsWhoseMiddlesItGoesAroundAnOddNumberOfTimes() {
        Size size = new Size(60, 40);
        Random random = new Random(3);
        for (int round = 0; round < 50; round++) {
            List<Double> corners = new ArrayList<>();
            for (int i = 0; i < 3 + random.nextInt(20); i++) {
                boolean whole = random.nextBoolean();
                double x = -10 + 80 * random.nextDouble();
                double y = -10 + 60 * random.nextDouble();
                corners.add(whole ? Math.floor(x) + 0.5 : x);
                corners.add(whole ? Math.floor(y) + 0.5 : y);
            }
            boolean[] inside = Outline.inside(corners, size);
            for (int at = 0; at < inside.length; at++) {
                assertThat(inside[at])
                        .as("%s, pixel %d", corners, at)
                        .isEqualTo(isInside(corners, at % 60 + 0.5, at / 60 + 0.5));
            }
        }
    }

    private static boolean isInside(List<Double> corners, double x, double y) {
        boolean inside = false;
        int count = corners.size() / 2;
        for (int i = 0, before = count - 1; i < count; before = i++) {
            double x0 = corners.get(2 * before);
            double y0 = corners.get(2 * before + 1);
            double x1 = corners.get(2 * i);
            double y1 = corners.get(2 * i + 1);
            if (y0 > y != y1 > y && x < x0 + (x1 - x0) * (y - y0) / (y1 - y0)) {
                inside = !inside;
            }
        }
        return inside;
    }

    private static Stroke toAndFro(int places, double far, double width) {
        List<Double> points = IntStream.range(0, places)
                .boxed()
                .flatMap(i -> List.of(i % 2 == 0 ? -far : far, (double) i, width).stream())
                .toList();
        return new Stroke(new Pen("b23e28", 100, 0, true, false), points, Mirroring.NONE);
    }

    /** Twenty million pixels, each an object once. */
    @Test
    void aHundredPointsFarOnEitherSide() {
        assertThatThrownBy(() -> toAndFro(100, 100_000, 1))
                .isInstanceOf(OutOfRange.class)
                .hasMessage("must make a shorter line, or a thinner one. Draw it in parts");
        assertThatThrownBy(() -> toAndFro(5_000, 200, 500)).isInstanceOf(OutOfRange.class);
        Stroke most = toAndFro(10, 100_000, 100);
        assertThat(allocated(() -> Inks.drawn(Raster.filled(CANVAS, 0), most))).isLessThan(MOST_BYTES);
    }

    private static Stroke zigzag(int places, int softness, Mirroring mirroring) {
        List<Double> points = IntStream.range(0, places)
                .boxed()
                .flatMap(i -> List.of(i % 2 == 0 ? 40.0 : 440.0, i / 20.0, 500.0).stream())
                .toList();
        return new Stroke(new Pen("b23e28", 100, softness, false, false), points, mirroring);
    }

    /** Each piece of the curve is swept by itself: 100,000 times a quarter of a million pixels. */
    @Test
    void aSoftZigzagOf5000PlacesAsWideAsCanBe() {
        for (int softness : new int[] {0, 50, 100}) {
            assertThatThrownBy(() -> zigzag(5_000, softness, Mirroring.NONE))
                    .as("softness %d", softness)
                    .isInstanceOf(OutOfRange.class)
                    .hasMessage("must make a shorter line, or a thinner one. Draw it in parts");
        }
        Stroke most = zigzag(60, 100, Mirroring.NONE);
        assertThat(allocated(() -> Inks.drawn(Raster.filled(CANVAS, 0), most))).isLessThan(MOST_BYTES);
        assertThatThrownBy(() -> zigzag(60, 100, Mirroring.BOTH))
                .as("four times as much")
                .isInstanceOf(OutOfRange.class);
    }

    /** Tiles that are passed over have nothing to gain: each piece by itself gives the same. */
    @ParameterizedTest
    @ValueSource(ints = {0, 40, 100})
    void aWideLineCoversEachPixelAsMuchAsThePieceThatCoversItMost(int softness) {
        Random random = new Random(softness);
        List<Point> path = IntStream.range(0, 30)
                .mapToObj(i -> Point.of(random.nextInt(200), random.nextInt(130), random.nextInt(120)))
                .toList();
        Size size = new Size(200, 130);
        double soft = softness / 100.0;
        Coverage whole = new Coverage(size);
        Sweep.along(path, soft, whole);
        int[] most = new int[200 * 130];
        for (int i = 0; i + 1 < path.size(); i++) {
            Coverage piece = new Coverage(size);
            Sweep.along(path.subList(i, i + 2), soft, piece);
            for (int at = 0; at < most.length; at++) {
                most[at] = Math.max(most[at], piece.at(at % 200, at / 200));
            }
        }
        for (int at = 0; at < most.length; at++) {
            assertThat(whole.at(at % 200, at / 200)).as("pixel %d", at).isEqualTo(most[at]);
        }
    }

    @Test
    void aWideHardLineIsADiscAtEachOfItsPixels() {
        for (int side : new int[] {1, 2, 3, 4, 5, 8, 13}) {
            double width = side;
            Raster drawn = Inks.drawn(Inks.empty(20, 12), Inks.stroke(Inks.PIXELS, 3.0, 5.0, width, 17.0, 9.0, width));
            boolean[] expected = new boolean[20 * 12];
            for (PixelPath.Pixel pixel : PixelPath.between(new PixelPath.Pixel(3, 5), new PixelPath.Pixel(17, 9))) {
                for (int y = 0; y < side; y++) {
                    for (int x = 0; x < side; x++) {
                        double dx = x + 0.5 - side / 2.0;
                        double dy = y + 0.5 - side / 2.0;
                        int px = pixel.x() - (side - 1) / 2 + x;
                        int py = pixel.y() - (side - 1) / 2 + y;
                        boolean isDisc = side < 3 || dx * dx + dy * dy <= side * side / 4.0;
                        if (isDisc && px >= 0 && py >= 0 && px < 20 && py < 12) {
                            expected[py * 20 + px] = true;
                        }
                    }
                }
            }
            for (int at = 0; at < expected.length; at++) {
                assertThat(drawn.argb()[at] != 0)
                        .as("%d wide, pixel %d", side, at)
                        .isEqualTo(expected[at]);
            }
        }
    }
}
