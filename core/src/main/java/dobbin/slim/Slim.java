package dobbin.slim;

import dobbin.gif.GifEncoder;
import dobbin.gif.GifSettings;
import dobbin.palette.ColorCloud;
import dobbin.palette.ColorTally;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Delivery;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.render.Pictures;
import dobbin.render.Renderer;
import dobbin.slim.Stages.Stage;
import dobbin.timing.Hundredths;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.Executor;
import java.util.stream.IntStream;

/** Delivers reels. The same reel and pictures give the same bytes, on any machine and any number of threads. */
public final class Slim {
    /** Each frame's colors are counted, and it is encoded. */
    private static final int PASSES = 2;

    private final Executor executor;
    private final Stages stages;

    /** @param executor does the work of single frames; {@code Runnable::run} for the calling thread alone */
    public Slim(Executor executor) {
        this(executor, Stages.UNTOLD);
    }

    public Slim(Executor executor, Stages stages) {
        this.executor = executor;
        this.stages = stages;
    }

    /**
     * @throws IllegalArgumentException where the reel has no frames in its loop
     * @throws java.util.concurrent.CancellationException from {@code progress}
     */
    public Delivered deliver(Reel reel, Pictures pictures, Progress progress) {
        List<Frame> frames = reel.loop();
        if (frames.isEmpty()) {
            throw new IllegalArgumentException("A reel without frames in its loop has no file");
        }
        Delivery how = reel.delivery();
        Size size = reel.deliveredSize();
        FrameSource source = new FrameSource(
                frames.size(),
                size.area(),
                frame -> stages.during(
                        Stage.DRAW,
                        () -> Matte.harden(
                                Renderer.draw(reel, frames.get(frame), pictures, size),
                                how.matte(),
                                how.encoding().alphaCutoff())));
        FrameWork work = new FrameWork(executor, progress, PASSES * frames.size());
        PalettePlan palettes = palettes(source, frames.size(), how, work);
        return encode(source, reel, size, palettes, work);
    }

    private PalettePlan palettes(FrameSource source, int frames, Delivery how, FrameWork work) {
        ConcurrentLinkedQueue<ColorTally> idle = new ConcurrentLinkedQueue<>();
        List<ColorCloud> clouds = work.each(IntStream.range(0, frames).boxed().toList(), frame -> {
            work.begin();
            Raster raster = source.get(frame);
            return stages.during(Stage.PALETTE, () -> {
                ColorTally tally = idle.poll();
                tally = tally == null ? new ColorTally() : tally;
                ColorCloud cloud = tally.count(raster);
                idle.add(tally);
                return cloud;
            });
        });
        return stages.during(
                Stage.PALETTE,
                () -> PalettePlan.of(
                        new PalettePlan.Wanted(
                                clouds,
                                how.encoding().palette(),
                                how.colors(),
                                how.encoding().keptRgb(),
                                how.dithering().mixes()),
                        work));
    }

    private Delivered encode(FrameSource source, Reel reel, Size size, PalettePlan palettes, FrameWork work) {
        int[] hundredths = Hundredths.apportion(reel.loopDelaysMillis());
        Delivery how = reel.delivery();
        GifSettings settings = new GifSettings(
                palettes.ofFile(),
                palettes.exact(),
                palettes.palettes() == 1,
                how.dithering(),
                how.encoding().tolerance(),
                reel.plays().times(),
                how.encoding().comment());
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        Executor timed = task -> executor.execute(() -> stages.during(Stage.DITHER, () -> {
            task.run();
            return null;
        }));
        GifEncoder encoder;
        try (GifEncoder writing = new GifEncoder(bytes, size, settings, timed)) {
            encoder = writing;
            source.inOrder(hundredths.length, executor, (frame, raster) -> {
                work.begin();
                writing.add(raster, palettes.ofFrames().get(frame), hundredths[frame]);
            });
        } catch (IOException e) {
            throw new UncheckedIOException("Memory does not fail to be written to", e);
        }
        return new Delivered(
                bytes.toByteArray(),
                size,
                hundredths.length,
                palettes.colors(),
                palettes.palettes(),
                palettes.exact(),
                encoder.weights());
    }
}
