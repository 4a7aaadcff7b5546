package dobbin.cli;

import dobbin.edit.AddStills;
import dobbin.edit.Edit;
import dobbin.edit.EditRejected;
import dobbin.edit.SetDelay;
import dobbin.edit.SetPlays;
import dobbin.raster.Memory;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.render.Pictures;
import dobbin.slim.ByteCount;
import dobbin.slim.Delivered;
import dobbin.slim.Explorer;
import dobbin.slim.Fitting;
import dobbin.slim.GivenUp;
import dobbin.slim.KeptLoop;
import dobbin.slim.Progress;
import dobbin.slim.Slim;
import dobbin.slim.Stages;
import dobbin.slim.Trial;
import dobbin.slim.Trials;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.function.ToDoubleFunction;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.databind.json.JsonMapper;

/** A folder of stills, or a working file, to a GIF: the very bytes the application would deliver with the same settings. */
@Command(
        name = "make",
        description =
                "Makes a looping GIF of a folder's stills, in counting order of their names, or of a working file; or another"
                        + " form of the loop, by the ending of OUT.")
final class Make implements Callable<Integer> {
    @Spec
    private CommandSpec spec;

    @Parameters(
            paramLabel = "FOLDER|WORK.dobbin",
            description = "where the stills are, or a reel that was saved as a file")
    private Path source;

    @Parameters(
            paramLabel = "OUT",
            description =
                    "the file to write: .gif; .png an animated PNG; .zip numbered PNG stills; .sheet.png a sheet with"
                            + " .sheet.json beside it; .still.png one still; .ora a layer for each frame; .html a page with its GIF"
                            + " and still beside it; .example.html a page that holds all it needs")
    private Path out;

    @Option(
            names = "--delay",
            paramLabel = "MS",
            description = "milliseconds each frame shows (100, or what a GIF says)")
    private Integer delayMillis;

    @Mixin
    private DeliveryOptions delivery;

    @Mixin
    private AlignedStills alignedStills;

    @Option(
            names = "--plays",
            paramLabel = "forever|N",
            description = "how often viewers play it (forever, or what a GIF that comes first says)")
    private String plays;

    @Option(
            names = "--budget",
            paramLabel = "SIZE",
            description = "finds the best-looking colors, dithering and tolerance under it: 500KB, 2MB")
    private String budget;

    @Option(
            names = "--may",
            paramLabel = "width,frames",
            split = ",",
            description = "what else may be reduced for the budget")
    private Set<May> may = Set.of();

    @Option(
            names = "--explore",
            paramLabel = "OUT.csv",
            description = "also tries a spread of settings and writes what each weighs and how it looks")
    private Path explored;

    @Mixin
    private FormOptions forms;

    @Option(names = "--repeat", paramLabel = "N", description = "how often to encode, for the time (1)")
    private int repeat = 1;

    @Option(
            names = "--report",
            description = "also say what each frame weighs, and why; and where each lined-up still lies")
    private boolean report;

    private enum May {
        WIDTH,
        FRAMES
    }

    /**
     * The line that is printed. Times are medians: {@code encodeMillis} from decoded frames in memory to bytes, the others in
     * processor time over all threads.
     */
    private record Made(
            int frames,
            int width,
            int height,
            int bytes,
            double encodeMillis,
            double cpuMillis,
            double paletteMillis,
            double ditherMillis,
            double writeMillis,
            long peakHeapBytes,
            int colors,
            int palettes,
            boolean lossless) {}

    @Override
    public Integer call() throws IOException {
        if (repeat < 1 || repeat > 1000) {
            throw new EditRejected("--repeat", "must be from 1 to 1,000");
        }
        FormFiles files = FormFiles.of(out);
        int budgetBytes = budgetBytes();
        Ingredients ingredients = ingredients(files);
        Reel reel = settled(ingredients.reel());
        Pictures pictures = ingredients.pictures();
        if (budget != null && !files.holdGif()) {
            throw new EditRejected("--budget", "is for a GIF, or a page with one");
        }
        if (explored != null || budget != null) {
            reel = fitted(reel, pictures, budgetBytes);
        }
        if (!files.areGif()) {
            say(files.write(reel, pictures, forms.sheet()));
            return 0;
        }
        Meter meter = new Meter();
        Slim slim = new Slim(FrameThreads.ALL, meter, Memory.NONE);
        List<Meter.Reading> readings = new ArrayList<>();
        Delivered delivered = null;
        for (int run = 0; run < repeat; run++) {
            meter.start();
            delivered = slim.deliver(reel, pictures, Progress.NONE);
            readings.add(meter.read());
        }
        files.main().write(delivered.bytes());
        if (report) {
            FrameReport.print(delivered, spec.commandLine().getErr());
        }
        say(made(delivered, readings));
        return 0;
    }

    private void say(Object made) {
        spec.commandLine().getOut().println(JsonMapper.shared().writeValueAsString(made));
    }

    /** @return the reel with the settings that fit the budget, where there is one */
    private Reel fitted(Reel reel, Pictures pictures, int budgetBytes) throws IOException {
        KeptLoop kept = new KeptLoop(pictures);
        Slim slim = new Slim(FrameThreads.ALL, Stages.UNTOLD, kept);
        Trials trials = new Trials(slim, reel, kept, FrameThreads.ALL);
        if (explored != null) {
            List<Trial> found = new ArrayList<>();
            found.add(trials.whole(reel.delivery(), Progress.NONE));
            Explorer.explore(trials, budgetBytes, found::add, Progress.NONE);
            TrialTable.write(found, reel, explored);
        }
        if (budget == null) {
            return reel;
        }
        trials.whole(reel.delivery(), Progress.NONE);
        Fitting.Result fitted =
                Fitting.fit(trials, budgetBytes, may.contains(May.WIDTH), may.contains(May.FRAMES), Progress.NONE);
        String sentence = GivenUp.sentence(reel, fitted, budgetBytes);
        if (fitted.best() == null) {
            throw new EditRejected("--budget", "cannot be met. " + sentence);
        }
        spec.commandLine().getErr().println(sentence);
        spec.commandLine()
                .getErr()
                .println("took: " + DeliveryOptions.words(fitted.best().delivery(), reel));
        return reel.withDelivery(fitted.best().delivery());
    }

    private int budgetBytes() {
        if (budget == null) {
            return Reel.empty("made").budgetBytes();
        }
        int bytes = ByteCount.parse(budget);
        if (bytes < 1) {
            throw new EditRejected("--budget", "must be a size as 500KB or 2MB, not " + budget);
        }
        return bytes;
    }

    private static Made made(Delivered delivered, List<Meter.Reading> readings) {
        return new Made(
                delivered.frames(),
                delivered.size().width(),
                delivered.size().height(),
                delivered.bytes().length,
                median(readings, Meter.Reading::wall),
                median(readings, Meter.Reading::cpu),
                median(readings, Meter.Reading::palette),
                median(readings, Meter.Reading::dither),
                median(readings, Meter.Reading::write),
                Meter.peakHeapBytes(),
                delivered.colors(),
                delivered.palettes(),
                delivered.lossless());
    }

    /** What there is before anything is said of it. */
    private record Ingredients(Reel reel, Pictures pictures) {}

    private Ingredients ingredients(FormFiles files) throws IOException {
        PrintWriter err = spec.commandLine().getErr();
        if (WorkFile.isOne(source)) {
            if (alignedStills.isWanted()) {
                throw new EditRejected(
                        "--line-up", "is for a folder of stills; a working file has them where they lie");
            }
            WorkFile work = WorkFile.read(source);
            return new Ingredients(work.reel(), work.pictures());
        }
        StillsFolder stills = StillsFolder.read(source, files, err);
        if (stills.stills().isEmpty()) {
            throw new EditRejected(source.toString(), "holds no picture that can be read");
        }
        if (alignedStills.isWanted()) {
            stills.lineUp(alignedStills, report, err);
        }
        return new Ingredients(Edit.apply(new AddStills(stills.stills(), 0), Reel.empty("made")), stills.pictures());
    }

    /** @return the reel with all that was said of it; what was not said stays as it is */
    private Reel settled(Reel reel) throws IOException {
        Reel settled = reel;
        if (delayMillis != null) {
            var all = reel.frames().stream().map(Frame::id).toList();
            settled = Edit.apply(new SetDelay(all, delayMillis), settled);
        }
        if (plays != null) {
            settled = Edit.apply(new SetPlays(playsAsNumber()), settled);
        }
        return Edit.apply(delivery.of(settled), forms.told(settled));
    }

    private int playsAsNumber() {
        if (plays.equals("forever")) {
            return 0;
        }
        try {
            int times = Integer.parseInt(plays);
            if (times > 0) {
                return times;
            }
        } catch (NumberFormatException e) {
            // Refused below, like a number that is too small.
        }
        throw new EditRejected("--plays", "must be forever or a number from 1 to 1,000, not " + plays);
    }

    /** @return to a tenth */
    static double median(List<Meter.Reading> readings, ToDoubleFunction<Meter.Reading> value) {
        double[] sorted = readings.stream().mapToDouble(value).sorted().toArray();
        int middle = sorted.length / 2;
        double median = sorted.length % 2 == 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
        return Math.round(median * 10) / 10.0;
    }
}
