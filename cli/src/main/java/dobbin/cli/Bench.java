package dobbin.cli;

import com.sun.management.OperatingSystemMXBean;
import dobbin.dither.Dither;
import dobbin.edit.AddStills;
import dobbin.edit.Edit;
import dobbin.edit.NewStill;
import dobbin.edit.SetDelay;
import dobbin.edit.SetDelivery;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.render.Pictures;
import dobbin.skerry.SkerryPoint;
import dobbin.slim.Delivered;
import dobbin.slim.Progress;
import dobbin.slim.Slim;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.Executor;
import java.util.concurrent.ForkJoinPool;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.databind.json.JsonMapper;

/** How long a delivery takes, from decoded frames in memory to bytes: warmed up, then medians. */
@Command(name = "bench", description = "Times the encoder: warm, from decoded frames in memory to bytes.")
final class Bench implements Callable<Integer> {
    private static final int DELAY_MILLIS = 40;

    @Spec
    private CommandSpec spec;

    @Parameters(
            paramLabel = "FOLDER",
            arity = "0..1",
            description = "the stills; 30 photographs of 480 x 320 drawn on the spot where none is named")
    private Path folder;

    @Parameters(paramLabel = "OUT.gif", arity = "0..1", description = "also write what was made")
    private Path out;

    @Option(names = "--colors", paramLabel = "N", description = "2 to 256 (256)")
    private int colors = 256;

    @Option(names = "--dither", paramLabel = "none|error", description = "(error)")
    private Dither dither = Dither.ERROR;

    @Option(names = "--threads", paramLabel = "N", description = "1, or all there are (all)")
    private int threads = Runtime.getRuntime().availableProcessors();

    @Option(names = "--warmups", paramLabel = "N", description = "runs that do not count (5)")
    private int warmups = 5;

    @Option(names = "--runs", paramLabel = "N", description = "runs that count (9)")
    private int runs = 9;

    private record Measured(
            int frames, int width, int height, int bytes, double wallMillis, double cpuMillis, int runs) {}

    private record Loop(Reel reel, Pictures pictures) {}

    @Override
    public Integer call() throws IOException {
        Loop loop = folder == null ? drawn() : read();
        Slim slim = new Slim(threads == 1 ? (Executor) Runnable::run : ForkJoinPool.commonPool());
        for (int i = 0; i < warmups; i++) {
            slim.deliver(loop.reel, loop.pictures, Progress.NONE);
        }
        var process = (OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean();
        double[] wall = new double[runs];
        double[] cpu = new double[runs];
        Delivered delivered = null;
        for (int i = 0; i < runs; i++) {
            long wallStart = System.nanoTime();
            long cpuStart = process.getProcessCpuTime();
            delivered = slim.deliver(loop.reel, loop.pictures, Progress.NONE);
            wall[i] = (System.nanoTime() - wallStart) / 1e6;
            cpu[i] = (process.getProcessCpuTime() - cpuStart) / 1e6;
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
                Make.median(wall),
                Make.median(cpu),
                runs);
        spec.commandLine().getOut().println(JsonMapper.shared().writeValueAsString(measured));
        return 0;
    }

    private Loop read() throws IOException {
        StillsFolder stills = StillsFolder.read(folder, spec.commandLine().getErr());
        return new Loop(reel(stills.stills()), stills.pictures());
    }

    private Loop drawn() {
        List<Raster> rasters = SkerryPoint.sunrise(30, new Size(480, 320));
        List<NewStill> stills = new ArrayList<>();
        for (int i = 0; i < rasters.size(); i++) {
            String picture = String.format("%064x", i);
            stills.add(new NewStill(picture, "Sunrise " + i, rasters.get(i).size(), DELAY_MILLIS));
        }
        return new Loop(reel(stills), (picture, level) -> rasters.get(Integer.parseInt(picture.substring(56), 16)));
    }

    private Reel reel(List<NewStill> stills) {
        Reel reel = Edit.apply(new AddStills(stills, 0), Reel.empty("bench"));
        var all = reel.frames().stream().map(Frame::id).toList();
        Reel timed = Edit.apply(new SetDelay(all, DELAY_MILLIS), reel);
        return Edit.apply(new SetDelivery(timed.delivery().width(), colors, dither, ""), timed);
    }
}
