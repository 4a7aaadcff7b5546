package dobbin.gif;

import dobbin.palette.NearestColor;
import dobbin.palette.Palette;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.Executor;

/**
 * Turns the frames of a loop into what a GIF stores of each: only what changes.
 *
 * <p>Planning runs ahead in order, since a frame is planned against what the ones before leave on the screen; coding is
 * done by whatever threads there are. Only a few frames are under way at a time, so memory grows with what is stored and not
 * with the frames, and what is stored does not depend on the threads.
 */
public final class LoopEncoder {
    /** Enough for any number of processors to have work while the first frame is waited for. */
    private static final int UNDER_WAY = 2 * Runtime.getRuntime().availableProcessors();

    private final Size size;
    private final GifSettings settings;
    private final Executor executor;
    private final ChangePlanner planner;
    private final ConcurrentLinkedQueue<FrameCoder> idleCoders = new ConcurrentLinkedQueue<>();
    private final Deque<Coding> underWay = new ArrayDeque<>();
    private final List<EncodedFrame> encoded = new ArrayList<>();
    /** Of the last frame's palette; frames that share one share what was found out about it. */
    private NearestColor nearest;

    private Waiting waiting;
    private int added;

    /** A frame whose plan is not finished: what comes next decides how it is disposed of. */
    private record Waiting(int[] argb, NearestColor nearest, int first, int frames) {
        Waiting longer() {
            return new Waiting(argb, nearest, first, frames + 1);
        }
    }

    private record Coding(Waiting frame, CompletableFuture<StoredFrame> stored) {}

    /** @param executor codes frames; {@code Runnable::run} for the calling thread alone */
    public LoopEncoder(Size size, GifSettings settings, Executor executor) {
        this.size = size;
        this.settings = settings;
        this.executor = executor;
        this.planner = new ChangePlanner(
                size, settings.tolerance(), settings.dithering().spared());
    }

    /**
     * @param picture the whole frame, opaque pixels or 0
     * @param palette for this frame; the file's own is not stored again
     * @param mayMerge whether the frame before may show longer instead, where the two are the same
     */
    public void add(Raster picture, Palette palette, boolean mayMerge) {
        if (!picture.size().equals(size)) {
            throw new IllegalArgumentException("A frame of " + picture.size() + " in a file of " + size);
        }
        ChangePlanner.Step step = planner.next(picture.argb(), mayMerge);
        if (step.unchanged()) {
            waiting = waiting.longer();
        } else {
            if (step.finished() != null) {
                code(step.finished());
            }
            if (nearest == null || nearest.palette() != palette) {
                nearest = new NearestColor(palette);
            }
            waiting = new Waiting(picture.argb(), nearest, added, 1);
        }
        added++;
    }

    /** @return what is stored, in order; nothing can be added any more */
    public List<EncodedFrame> finish() {
        if (waiting != null) {
            code(planner.last());
            waiting = null;
        }
        while (!underWay.isEmpty()) {
            takeFirst();
        }
        return List.copyOf(encoded);
    }

    private void code(FramePlan plan) {
        Waiting frame = waiting;
        underWay.add(new Coding(frame, CompletableFuture.supplyAsync(() -> coded(frame, plan), executor)));
        while (underWay.size() > UNDER_WAY) {
            takeFirst();
        }
    }

    private StoredFrame coded(Waiting frame, FramePlan plan) {
        if (frame.nearest.palette() != settings.palette()) {
            return coder(frame.nearest).code(frame.argb, size.width(), plan, true);
        }
        FrameCoder coder = idleCoders.poll();
        if (coder == null) {
            coder = coder(frame.nearest);
        }
        StoredFrame stored = coder.code(frame.argb, size.width(), plan, false);
        idleCoders.add(coder);
        return stored;
    }

    private FrameCoder coder(NearestColor colors) {
        return new FrameCoder(colors, settings.dithering(), settings.repeatable(), settings.tolerance());
    }

    private void takeFirst() {
        Coding first = underWay.remove();
        try {
            encoded.add(new EncodedFrame(first.frame.first, first.frame.frames, first.stored.join()));
        } catch (CompletionException e) {
            throw e.getCause() instanceof RuntimeException cause ? cause : e;
        }
    }
}
