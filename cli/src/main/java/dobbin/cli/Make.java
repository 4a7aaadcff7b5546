package dobbin.cli;

import dobbin.dither.Dither;
import dobbin.edit.AddStills;
import dobbin.edit.Edit;
import dobbin.edit.EditRejected;
import dobbin.edit.SetDelay;
import dobbin.edit.SetDelivery;
import dobbin.edit.SetPlays;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.slim.Delivered;
import dobbin.slim.Progress;
import dobbin.slim.Slim;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Arrays;
import java.util.concurrent.Callable;
import java.util.concurrent.ForkJoinPool;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.databind.json.JsonMapper;

/** A folder of stills to a GIF: the very bytes the application would deliver with the same settings. */
@Command(name = "make", description = "Makes a looping GIF of a folder's stills, in counting order of their names.")
final class Make implements Callable<Integer> {
    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "FOLDER", description = "where the stills are")
    private Path folder;

    @Parameters(paramLabel = "OUT.gif", description = "the file to write")
    private Path out;

    @Option(
            names = "--delay",
            paramLabel = "MS",
            description = "milliseconds each frame shows (100, or what a GIF says)")
    private Integer delayMillis;

    @Option(names = "--colors", paramLabel = "N", description = "2 to 256 (256)")
    private Integer colors;

    @Option(names = "--dither", paramLabel = "none|error", description = "how colors are mixed (error)")
    private Dither dither;

    @Option(names = "--width", paramLabel = "PX", description = "1 to 1600 (the stills' own to 800, else 480)")
    private Integer width;

    @Option(names = "--plays", paramLabel = "forever|N", description = "how often viewers play it (forever)")
    private String plays = "forever";

    @Option(names = "--matte", paramLabel = "RRGGBB", description = "the page color soft edges are mixed with")
    private String matte;

    @Option(names = "--repeat", paramLabel = "N", description = "how often to encode, for the time (1)")
    private int repeat = 1;

    /** The line that is printed. {@code encodeMillis}: the median, from decoded frames in memory to bytes. */
    private record Made(int frames, int width, int height, int bytes, double encodeMillis) {}

    @Override
    public Integer call() throws IOException {
        if (repeat < 1 || repeat > 1000) {
            throw new EditRejected("--repeat", "must be from 1 to 1,000");
        }
        StillsFolder stills = StillsFolder.read(folder, spec.commandLine().getErr());
        if (stills.stills().isEmpty()) {
            throw new EditRejected(folder.toString(), "holds no picture that can be read");
        }
        Reel reel = reel(stills);
        Slim slim = new Slim(ForkJoinPool.commonPool());
        double[] millis = new double[repeat];
        Delivered delivered = null;
        for (int run = 0; run < repeat; run++) {
            long start = System.nanoTime();
            delivered = slim.deliver(reel, stills.pictures(), Progress.NONE);
            millis[run] = (System.nanoTime() - start) / 1e6;
        }
        write(delivered.bytes());
        Made made = new Made(
                delivered.frames(),
                delivered.size().width(),
                delivered.size().height(),
                delivered.bytes().length,
                Math.round(median(millis) * 10) / 10.0);
        spec.commandLine().getOut().println(JsonMapper.shared().writeValueAsString(made));
        return 0;
    }

    private Reel reel(StillsFolder stills) {
        Reel reel = Edit.apply(new AddStills(stills.stills(), 0), Reel.empty("made"));
        if (delayMillis != null) {
            var all = reel.frames().stream().map(Frame::id).toList();
            reel = Edit.apply(new SetDelay(all, delayMillis), reel);
        }
        reel = Edit.apply(new SetPlays(playsAsNumber()), reel);
        var usual = reel.delivery();
        return Edit.apply(
                new SetDelivery(
                        width == null ? usual.width() : width,
                        colors == null ? usual.colors() : colors,
                        dither == null ? usual.dither() : dither,
                        matte == null ? usual.matte() : matte),
                reel);
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

    /** Whole or not at all: a script must not find half a file. */
    private void write(byte[] bytes) throws IOException {
        Path part = out.resolveSibling(out.getFileName() + ".part");
        Files.write(part, bytes);
        Files.move(part, out, StandardCopyOption.REPLACE_EXISTING);
    }

    static double median(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        int middle = sorted.length / 2;
        return sorted.length % 2 == 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
    }
}
