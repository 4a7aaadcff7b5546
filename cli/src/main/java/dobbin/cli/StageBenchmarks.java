package dobbin.cli;

import dobbin.color.Oklab;
import dobbin.dither.Dither;
import dobbin.dither.Dithering;
import dobbin.dither.Indexer;
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

/** Each stage of encoding by itself: milliseconds for one frame of 480 x 320, one thread, 256 entries. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 1)
public class StageBenchmarks {
    private static final Size SIZE = new Size(480, 320);

    private final ColorTally tally = new ColorTally();
    private Raster still;
    private List<Raster> two;
    private ColorCloud cloud;
    private Palette palette;
    private NearestColor nearest;
    private byte[] file;

    @Setup
    public void draw() {
        two = SkerryPoint.sunrise(2, SIZE);
        still = two.get(0);
        cloud = tally.count(still);
        palette = PaletteBuilder.build(cloud, PaletteTerms.seen(Palette.MAX_ENTRIES, true, true));
        nearest = new NearestColor(palette);
        file = encoded(20);
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
        two.forEach(frame -> encoder.add(frame, palette, true));
        return GifFile.bytes(SIZE, settings, encoder.finish(), new int[] {4, 4});
    }
}
