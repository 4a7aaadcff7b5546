package dobbin.slim;

import dobbin.gif.GifWriter;
import dobbin.palette.ColorCounts;
import dobbin.palette.NearestColor;
import dobbin.palette.Palette;
import dobbin.palette.PaletteBuilder;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Delivery;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.render.Pictures;
import dobbin.render.Renderer;
import dobbin.timing.Hundredths;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.concurrent.Executor;

/** Delivers reels. The same reel and pictures give the same bytes, on any machine and any number of threads. */
public final class Slim {
    /** Each frame is drawn, counted, indexed and written. */
    private static final int PASSES = 4;

    private final Executor executor;

    /** @param executor does the work of single frames; {@code Runnable::run} for the calling thread alone */
    public Slim(Executor executor) {
        this.executor = executor;
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
        FrameWork work = new FrameWork(executor, progress, PASSES * frames.size());
        List<Raster> drawn =
                work.each(frames, frame -> Matte.apply(Renderer.draw(reel, frame, pictures, size), how.matte()));

        Palette palette = palette(drawn, how.colors(), work);
        NearestColor nearest = new NearestColor(palette);
        List<byte[]> indexed = work.each(drawn, raster -> how.dither().indices(raster, palette, nearest));
        byte[] file = write(reel, size, palette, indexed, work);
        return new Delivered(file, size, indexed.size(), palette.entries());
    }

    private static Palette palette(List<Raster> drawn, int entries, FrameWork work) {
        ColorCounts counts = new ColorCounts();
        for (Raster raster : drawn) {
            work.begin();
            counts.add(raster.argb());
        }
        // A loop needs the entry for what stays the same from frame to frame, unless it costs the last exact color.
        boolean usefulForLoop = drawn.size() > 1 && counts.distinct() != entries;
        return PaletteBuilder.build(counts, entries, counts.transparentSeen() || usefulForLoop);
    }

    private static byte[] write(Reel reel, Size size, Palette palette, List<byte[]> indexed, FrameWork work) {
        int[] hundredths = Hundredths.apportion(reel.loopDelaysMillis());
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (GifWriter writer = new GifWriter(bytes, size, palette, reel.plays().times())) {
            for (int i = 0; i < indexed.size(); i++) {
                work.begin();
                writer.add(indexed.get(i), hundredths[i]);
            }
        } catch (IOException e) {
            throw new UncheckedIOException("Memory does not fail to be written to", e);
        }
        return bytes.toByteArray();
    }
}
