package dobbin.slim;

import dobbin.gif.GifFile;
import dobbin.gif.GifSettings;
import dobbin.gif.LoopEncoder;
import dobbin.palette.ColorCloud;
import dobbin.palette.ColorTally;
import dobbin.raster.Memory;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Delivery;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import dobbin.render.Pictures;
import dobbin.render.RenderKeys;
import dobbin.slim.Stages.Stage;
import dobbin.timing.Hundredths;
import java.util.List;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.Executor;
import java.util.stream.IntStream;

/** Delivers reels. The same reel and pictures give the same bytes, on any machine and any number of threads. */
public final class Slim {
    private final Executor executor;
    private final Stages stages;
    private final Memory memory;

    private record Hardened(String matte, boolean flat, int cutoff) {
        static Hardened of(Delivery how) {
            return new Hardened(how.matte(), how.flat(), how.encoding().alphaCutoff());
        }

        Raster of(Raster drawn) {
            return Matte.harden(drawn, matte, flat, cutoff);
        }
    }

    private record Counted(int pixels) {}

    /** @param executor does the work of single frames; {@code Runnable::run} for the calling thread alone */
    public Slim(Executor executor) {
        this(executor, Stages.UNTOLD, Memory.NONE);
    }

    /** @param memory of what {@link Drawing} gave before, where that gives the same objects again */
    public Slim(Executor executor, Stages stages, Memory memory) {
        this.executor = executor;
        this.stages = stages;
        this.memory = memory;
    }

    /**
     * @throws IllegalArgumentException where the reel has no frames in its loop
     * @throws java.util.concurrent.CancellationException from {@code progress}
     */
    public Delivered deliver(Reel reel, Pictures pictures, Progress progress) {
        Drawing drawing = (it, tracks, frame, framed) -> framed.draw(it, tracks, frame, pictures);
        return file(encode(reel, drawing, progress), reel);
    }

    /**
     * Does all that takes time.
     *
     * @throws IllegalArgumentException where the reel has no frames in its loop
     * @throws java.util.concurrent.CancellationException from {@code progress}
     */
    public Encoded encode(Reel reel, Drawing drawing, Progress progress) {
        return encode(
                reel, IntStream.range(0, reel.deliveredFrames().size()).boxed().toList(), drawing, progress);
    }

    /**
     * Encodes some frames alone, with the palettes that the whole loop has: to learn what it would weigh.
     *
     * @param places which of the delivered frames, from 0
     */
    Encoded encode(Reel reel, List<Integer> places, Drawing drawing, Progress progress) {
        List<Frame> frames = reel.deliveredFrames();
        if (frames.isEmpty()) {
            throw new IllegalArgumentException("A reel without frames in its loop has no file");
        }
        Delivery how = reel.delivery();
        Size size = reel.deliveredSize();
        Framed framed = Framed.of(reel);
        Tracks tracks = new Tracks(reel.frames());
        FrameSource source = new FrameSource(
                frames.size(),
                size.area(),
                frame -> stages.during(
                        Stage.DRAW, () -> hard(drawing.draw(reel, tracks, frames.get(frame), framed), how)));
        FrameWork work = new FrameWork(executor, progress, frames.size() + places.size());
        PalettePlan palettes = palettes(source, frames.size(), how, work);
        return encode(source, places, reel, palettes, work);
    }

    private Raster hard(Raster drawn, Delivery how) {
        Hardened terms = Hardened.of(how);
        return drawn.isOpaque() ? drawn : memory.of(drawn, terms, () -> terms.of(drawn));
    }

    /** @return a drawn frame with its edges as the file has them: every pixel opaque, or 0 */
    public static Raster hardened(Raster drawn, Delivery how) {
        return Hardened.of(how).of(drawn);
    }

    /** @return the name of what {@link #encode} makes of the reel: where it is the same, so is that */
    public static String nameOfEncoded(Reel reel, RenderKeys keys) {
        return keys.ofEncoding();
    }

    /** @param encoded of this reel, or of one that differs in nothing but delays, plays and comment */
    public static Delivered file(Encoded encoded, Reel reel) {
        GifSettings settings = encoded.settings()
                .withPlaysAndComment(
                        reel.plays().times(), reel.delivery().encoding().comment());
        int[] hundredths = Hundredths.apportion(reel.deliveredDelaysMillis());
        return new Delivered(
                GifFile.bytes(encoded.size(), settings, encoded.stored(), hundredths),
                encoded.size(),
                encoded.frames(),
                encoded.colors(),
                encoded.palettes(),
                encoded.reason(),
                settings.lossless(),
                encoded.stored());
    }

    private PalettePlan palettes(FrameSource source, int frames, Delivery how, FrameWork work) {
        ConcurrentLinkedQueue<ColorTally> idle = new ConcurrentLinkedQueue<>();
        Counted terms = new Counted(ColorTally.pixelsOfAFrame(frames));
        List<ColorCloud> clouds = work.each(IntStream.range(0, frames).boxed().toList(), frame -> {
            work.begin();
            Raster raster = source.get(frame);
            return stages.during(
                    Stage.PALETTE,
                    () -> memory.of(raster, terms, () -> {
                        ColorTally tally = idle.poll();
                        tally = tally == null ? new ColorTally(terms.pixels) : tally;
                        ColorCloud cloud = tally.count(raster);
                        idle.add(tally);
                        return cloud;
                    }));
        });
        return stages.during(
                Stage.PALETTE,
                () -> PalettePlan.of(
                        new PalettePlan.Wanted(clouds, how.encoding().palette(), how.paletteTerms(false), memory),
                        work));
    }

    private Encoded encode(FrameSource source, List<Integer> places, Reel reel, PalettePlan palettes, FrameWork work) {
        Size size = reel.deliveredSize();
        Delivery how = reel.delivery();
        GifSettings settings = new GifSettings(
                palettes.ofFile(),
                palettes.lossless(),
                palettes.palettes() == 1,
                how.dithering(),
                how.encoding().tolerance(),
                reel.plays().times(),
                how.encoding().comment());
        Executor timed = task -> executor.execute(() -> stages.during(Stage.DITHER, () -> {
            task.run();
            return null;
        }));
        LoopEncoder encoder = new LoopEncoder(size, settings, timed, memory);
        source.inOrder(places, executor, (frame, raster) -> {
            work.begin();
            encoder.add(raster, palettes.ofFrames().get(frame));
        });
        return new Encoded(
                size,
                places.size(),
                palettes.colors(),
                palettes.palettes(),
                palettes.reason(),
                settings,
                encoder.finish());
    }
}
