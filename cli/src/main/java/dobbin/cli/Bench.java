package dobbin.cli;

import dobbin.cli.DemoLoops.Loop;
import dobbin.edit.AddStills;
import dobbin.edit.Edit;
import dobbin.edit.EditRejected;
import dobbin.edit.NewStill;
import dobbin.edit.SetDelay;
import dobbin.raster.Memory;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.skerry.SkerryPoint;
import dobbin.slim.Delivered;
import dobbin.slim.Progress;
import dobbin.slim.Slim;
import dobbin.still.UnreadablePicture;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.concurrent.Executor;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.databind.json.JsonMapper;

/** How long a delivery takes, from decoded frames in memory to bytes: warmed up, then medians. */
@Command(name = "bench", description = "Times the encoder: warm, from decoded frames in memory to bytes.")
final class Bench implements Callable<Integer> {
    private static final int DELAY_MILLIS = 40;
    /** After about this long the virtual machine has compiled what takes the time; its own work would count as ours. */
    private static final long COMPILED_NANOS = 3_000_000_000L;

    @Spec
    private CommandSpec spec;

    @Parameters(
            paramLabel = "FOLDER",
            arity = "0..1",
            description = "the stills; 30 photographs of 480 x 320 drawn on the spot where none is named")
    private Path folder;

    @Parameters(paramLabel = "OUT.gif", arity = "0..1", description = "also write what was made")
    private Path out;

    @Parameters(paramLabel = "COLORS", arity = "0..1", description = "the same as --colors")
    private String colors;

    @Parameters(paramLabel = "0|1", arity = "0..1", description = "without or with the usual dithering")
    private String dithered;

    @Mixin
    private DeliveryOptions delivery;

    @Option(names = "--threads", paramLabel = "N", description = "1, or all there are (all)")
    private int threads = Runtime.getRuntime().availableProcessors();

    @Option(
            names = "--warmups",
            paramLabel = "N",
            description = "runs that do not count, and 3 seconds of them (5, or BENCH_WARMUPS)")
    private int warmups = setting("BENCH_WARMUPS", 5);

    @Option(names = "--runs", paramLabel = "N", description = "runs that count (9, or BENCH_RUNS)")
    private int runs = setting("BENCH_RUNS", 9);

    @Option(names = "--seconds", paramLabel = "N", description = "no further run is begun after (30, or BENCH_BUDGET)")
    private int seconds = setting("BENCH_BUDGET", 30);

    @Option(names = "--stages", description = "times each stage by itself on drawn photographs, and nothing else")
    private boolean stages;

    @Option(names = "--turns", description = "times turning each setting, drawn frames being known, and exploring")
    private boolean turns;

    @Option(
            names = "--fits",
            description =
                    "what fitting a budget finds for the demo reels, or for FOLDER, beside a full search: minutes")
    private boolean fits;

    /** The line that is printed: medians; seconds where nothing else is said, memory in kilobytes, of the whole process. */
    private record Measured(
            int frames,
            int width,
            int height,
            int bytes,
            double wall,
            double cpu,
            double paletteMillis,
            double ditherMillis,
            double writeMillis,
            long peak_kb,
            long base_kb,
            int runs,
            int warmups) {}

    @Override
    public Integer call() throws IOException, RunnerException, UnreadablePicture {
        if (stages) {
            new Runner(new OptionsBuilder()
                            .include(StageBenchmarks.class.getName())
                            .build())
                    .run();
            return 0;
        }
        Loop loop = folder == null ? drawn() : read();
        LooksReport looks = new LooksReport(spec.commandLine().getOut());
        if (turns) {
            looks.turns(loop.reel(), loop.pictures());
            return 0;
        }
        if (fits) {
            (folder == null ? DemoLoops.all() : List.of(loop)).forEach(each -> looks.fits(each, false));
            return 0;
        }
        Meter meter = new Meter();
        Slim slim = new Slim(threads == 1 ? (Executor) Runnable::run : FrameThreads.ALL, meter, Memory.NONE);
        long base = Meter.kilobytes("VmRSS");
        long deadline = System.nanoTime() + seconds * 1_000_000_000L;
        long compiled = System.nanoTime() + COMPILED_NANOS;
        int warmed = 0;
        while (warmed == 0 || (warmed < warmups || System.nanoTime() < compiled) && System.nanoTime() < deadline) {
            slim.deliver(loop.reel(), loop.pictures(), Progress.NONE);
            warmed++;
        }
        deadline = System.nanoTime() + seconds * 1_000_000_000L;
        List<Meter.Reading> readings = new ArrayList<>();
        Delivered delivered = null;
        while (readings.isEmpty() || readings.size() < runs && System.nanoTime() < deadline) {
            meter.start();
            delivered = slim.deliver(loop.reel(), loop.pictures(), Progress.NONE);
            readings.add(meter.read());
        }
        if (out != null) {
            Files.write(out, delivered.bytes());
        }
        Size size = delivered.size();
        Measured measured = new Measured(
                delivered.frames(),
                size.width(),
                size.height(),
                delivered.bytes().length,
                Make.median(readings, Meter.Reading::wall) / 1000,
                Make.median(readings, Meter.Reading::cpu) / 1000,
                Make.median(readings, Meter.Reading::palette),
                Make.median(readings, Meter.Reading::dither),
                Make.median(readings, Meter.Reading::write),
                Meter.kilobytes("VmHWM"),
                base,
                readings.size(),
                warmed);
        spec.commandLine().getOut().println(JsonMapper.shared().writeValueAsString(measured));
        if (folder == null) {
            looks.demo(DemoLoops.all());
        }
        return 0;
    }

    private Loop read() throws IOException {
        StillsFolder stills = StillsFolder.read(folder, spec.commandLine().getErr());
        if (stills.stills().isEmpty()) {
            throw new EditRejected(folder.toString(), "holds no picture that can be read");
        }
        return new Loop(reel(stills.stills()), stills.pictures());
    }

    private Loop drawn() throws IOException {
        List<Raster> rasters = SkerryPoint.sunrise(30, new Size(480, 320));
        List<NewStill> stills = new ArrayList<>();
        for (int i = 0; i < rasters.size(); i++) {
            String picture = String.format(Locale.ROOT, "%064x", i);
            stills.add(new NewStill(picture, "Sunrise " + i, rasters.get(i).size(), DELAY_MILLIS));
        }
        return new Loop(reel(stills), (picture, level) -> rasters.get(Integer.parseInt(picture.substring(56), 16)));
    }

    private Reel reel(List<NewStill> stills) throws IOException {
        Reel reel = Edit.apply(new AddStills(stills, 0), Reel.empty("bench"));
        var all = reel.frames().stream().map(Frame::id).toList();
        Reel timed = Edit.apply(new SetDelay(all, DELAY_MILLIS), reel);
        delivery.say(colors, dithered);
        return Edit.apply(delivery.of(timed), timed);
    }

    private static int setting(String name, int otherwise) {
        String value = System.getenv(name);
        return value == null ? otherwise : (int) Math.min(3_600, Double.parseDouble(value));
    }
}
