package dobbin.gif;

import dobbin.palette.Palette;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.io.Closeable;
import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.Executor;

/**
 * Writes an animated GIF frame by frame, storing of each only what changes.
 *
 * <p>Planning runs ahead in order, since a frame is planned against what the ones before leave on the screen; coding is
 * done by whatever threads there are; writing is in order again. Only a few frames are under way at a time, so memory does
 * not grow with the loop, and the bytes do not depend on the threads.
 */
public final class GifEncoder implements Closeable {
    /** Enough for any number of processors to have work while the first frame is waited for. */
    private static final int UNDER_WAY = 2 * Runtime.getRuntime().availableProcessors();

    private static final int LONGEST_DELAY = 0xFFFF;

    private final GifWriter writer;
    private final Size size;
    private final GifSettings settings;
    private final Executor executor;
    private final ChangePlanner planner;
    private final ConcurrentLinkedQueue<FrameCoder> idleCoders = new ConcurrentLinkedQueue<>();
    private final Deque<Coding> underWay = new ArrayDeque<>();
    private final List<FrameWeight> weights = new ArrayList<>();
    private Waiting waiting;
    private int added;
    private boolean closed;

    /** A frame whose plan is not finished: what comes next decides how it is disposed of. */
    private record Waiting(int[] argb, Palette palette, int first, int frames, int hundredths) {
        Waiting longer(int more) {
            return new Waiting(argb, palette, first, frames + 1, hundredths + more);
        }
    }

    private record Coding(Waiting frame, CompletableFuture<StoredFrame> stored) {}

    /** @param executor codes frames; {@code Runnable::run} for the calling thread alone */
    public GifEncoder(OutputStream out, Size size, GifSettings settings, Executor executor) throws IOException {
        this.writer = new GifWriter(out);
        this.size = size;
        this.settings = settings;
        this.executor = executor;
        this.planner = new ChangePlanner(size, settings.tolerance());
        writer.header(size, settings.palette());
        writer.plays(settings.plays());
        if (!settings.comment().isEmpty()) {
            writer.comment(settings.comment());
        }
    }

    /**
     * @param picture the whole frame, opaque pixels or 0
     * @param palette for this frame; the file's own is not stored again
     * @param hundredths how long it shows, 0 to 65535 hundredths of a second
     */
    public void add(Raster picture, Palette palette, int hundredths) throws IOException {
        if (!picture.size().equals(size)) {
            throw new IllegalArgumentException("A frame of " + picture.size() + " in a file of " + size);
        }
        if (hundredths < 0 || hundredths > LONGEST_DELAY) {
            throw new IllegalArgumentException("A delay is 0 to 65535 hundredths, not " + hundredths);
        }
        boolean mayMerge = waiting != null && waiting.hundredths + hundredths <= LONGEST_DELAY;
        ChangePlanner.Step step = planner.next(picture.argb(), mayMerge);
        if (step.unchanged()) {
            waiting = waiting.longer(hundredths);
        } else {
            if (step.finished() != null) {
                code(step.finished());
            }
            waiting = new Waiting(picture.argb(), palette, added, 1, hundredths);
        }
        added++;
    }

    /** @return what each stored frame costs; complete once the encoder is closed */
    public List<FrameWeight> weights() {
        return List.copyOf(weights);
    }

    /** Writes what is left and the trailer, and leaves the stream open. */
    @Override
    public void close() throws IOException {
        if (closed) {
            return;
        }
        closed = true;
        if (waiting != null) {
            code(planner.last());
        }
        while (!underWay.isEmpty()) {
            writeFirst();
        }
        writer.trailer();
    }

    private void code(FramePlan plan) throws IOException {
        Waiting frame = waiting;
        underWay.add(new Coding(frame, CompletableFuture.supplyAsync(() -> coded(frame, plan), executor)));
        while (underWay.size() > UNDER_WAY) {
            writeFirst();
        }
    }

    private StoredFrame coded(Waiting frame, FramePlan plan) {
        if (frame.palette != settings.palette()) {
            return coder(frame.palette).code(frame.argb, size.width(), plan, true);
        }
        FrameCoder coder = idleCoders.poll();
        if (coder == null) {
            coder = coder(frame.palette);
        }
        StoredFrame stored = coder.code(frame.argb, size.width(), plan, false);
        idleCoders.add(coder);
        return stored;
    }

    private FrameCoder coder(Palette palette) {
        return new FrameCoder(palette, settings.dithering(), settings.repeatable(), settings.tolerance());
    }

    private void writeFirst() throws IOException {
        Coding first = underWay.remove();
        StoredFrame stored;
        try {
            stored = first.stored.join();
        } catch (CompletionException e) {
            throw e.getCause() instanceof RuntimeException cause ? cause : e;
        }
        writer.frame(stored, first.frame.hundredths);
        weights.add(new FrameWeight(
                first.frame.first,
                first.frame.frames,
                stored.bytes(),
                stored.box(),
                stored.drawn(),
                stored.disposal(),
                stored.own() != null));
    }
}
