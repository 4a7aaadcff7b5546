package dobbin.cli;

import dobbin.color.Oklab;
import dobbin.dither.Dither;
import dobbin.dither.Dithering;
import dobbin.dither.Indexer;
import dobbin.draw.Mirroring;
import dobbin.draw.Pen;
import dobbin.draw.Pour;
import dobbin.draw.Scene;
import dobbin.draw.Stroke;
import dobbin.gif.GifFile;
import dobbin.gif.GifFormatException;
import dobbin.gif.GifReader;
import dobbin.gif.GifSettings;
import dobbin.gif.LoopEncoder;
import dobbin.palette.ColorCloud;
import dobbin.palette.ColorTally;
import dobbin.palette.NearestColor;
import dobbin.palette.Palette;
import dobbin.palette.PaletteBuilder;
import dobbin.palette.PaletteTerms;
import dobbin.raster.Bounds;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.skerry.SkerryPoint;
import dobbin.still.DecodeLimits;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * Each stage of encoding by itself: milliseconds for one frame of 480 x 320, one thread, 256 entries. And drawing by hand on
 * large canvases.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 1)
public class StageBenchmarks {
    private static final Size SIZE = new Size(480, 320);
    private static final Pen PEN = new Pen("1e2a32", 100, 0, false, false);

    private final ColorTally tally = new ColorTally();
    private Raster still;
    private List<Raster> two;
    private ColorCloud cloud;
    private Palette palette;
    private NearestColor nearest;
    private byte[] file;
    private final Raster page = Raster.filled(new Size(1600, 1200), 0);
    private final Stroke stroke = longStroke();
    private final Raster lined = stroke.on(page, Scene.of(page));
    private final Pour pour = new Pour(PEN, 3, 3, 10, 6, Pour.By.INK, false, 2);

    private static Stroke longStroke() {
        List<Double> points = new ArrayList<>();
        for (int i = 0; i < 500; i++) {
            points.add(800 + 700 * Math.sin(i / 31.0));
            points.add(600 + 500 * Math.sin(i / 23.0));
            points.add(40.0);
        }
        return new Stroke(PEN, points, Mirroring.NONE);
    }

    @Setup
    public void draw() {
        two = SkerryPoint.sunrise(2, SIZE);
        still = two.get(0);
        cloud = tally.count(still);
        palette = PaletteBuilder.build(cloud, PaletteTerms.seen(Palette.MAX_ENTRIES, true, true));
        nearest = new NearestColor(palette);
        file = encoded(20);
    }

    /** 500 places on a canvas of 1600 x 1200, 40 pixels wide. */
    @Benchmark
    public Raster drawAStroke() {
        return stroke.on(page, Scene.of(page));
    }

    /** A canvas of 1600 x 1200 with a line across it, filled with gaps closed. */
    @Benchmark
    public Raster fillAPage() {
        return pour.on(lined, Scene.of(lined));
    }

    @Benchmark
    public float convertToOklab() {
        float[] lab = new float[3];
        float sum = 0;
        for (int pixel : still.argb()) {
            Oklab.fromRgb(pixel, lab, 0);
            sum += lab[0];
        }
        return sum;
    }

    @Benchmark
    public ColorCloud countColors() {
        return tally.count(still);
    }

    @Benchmark
    public Palette buildPalette() {
        return PaletteBuilder.build(cloud, PaletteTerms.seen(Palette.MAX_ENTRIES, true, true));
    }

    @Benchmark
    public byte[] nearestColors() {
        return indices(Dithering.NONE);
    }

    @Benchmark
    public byte[] ditherByErrorDiffusion() {
        return indices(Dithering.USUAL);
    }

    @Benchmark
    public byte[] ditherByBlueNoise() {
        return indices(new Dithering(Dither.BLUE_NOISE, Dithering.USUAL_AMOUNT));
    }

    /** Two frames: planning, dithering and coding of both, one pixel after the other. */
    @Benchmark
    public byte[] encodeTwoFramesWithTolerance() {
        return encoded(20);
    }

    @Benchmark
    public byte[] encodeTwoFramesWithoutTolerance() {
        return encoded(0);
    }

    @Benchmark
    public int readTwoFrames() throws GifFormatException {
        GifReader reader = GifReader.open(file, DecodeLimits.USUAL);
        int frames = 0;
        while (reader.next().isPresent()) {
            frames++;
        }
        return frames;
    }

    private byte[] indices(Dithering dithering) {
        return Indexer.indices(still.argb(), SIZE.width(), Bounds.all(SIZE), null, nearest, dithering);
    }

    private byte[] encoded(int tolerance) {
        GifSettings settings = new GifSettings(palette, false, true, Dithering.USUAL, tolerance, 0, "");
        LoopEncoder encoder = new LoopEncoder(SIZE, settings, Runnable::run);
        two.forEach(frame -> encoder.add(frame, palette));
        return GifFile.bytes(SIZE, settings, encoder.finish(), new int[] {4, 4});
    }
}
