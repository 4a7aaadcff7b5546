package dobbin.gif;

import dobbin.dither.Dithering;
import dobbin.palette.NearestColor;
import dobbin.palette.Palette;
import dobbin.raster.Memory;
import dobbin.raster.Parallel;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.CompletableFuture;
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
    private final Memory memory;
    private final KnownPlans plans;
    private final ConcurrentLinkedQueue<FrameCoder> idleCoders = new ConcurrentLinkedQueue<>();
    private final Deque<Coding> underWay = new ArrayDeque<>();
    private final List<EncodedFrame> encoded = new ArrayList<>();
    /** For the palette used last; frames that share one share what was found out about it. */
    private NearestColor nearest;

    private Waiting waiting;
    private int added;

    /** A frame whose plan is not finished: what comes next decides how it is disposed of. */
    private record Waiting(Raster picture, Palette palette, int first, int frames) {
        Waiting longer() {
            return new Waiting(picture, palette, first, frames + 1);
        }
    }

    /** All that codes depend on but the picture. */
    private record Terms(
            Palette palette, boolean own, Dithering dithering, boolean repeatable, int tolerance, FramePlan plan) {}

    private record Coding(Waiting frame, CompletableFuture<StoredFrame> stored) {}

    /** @param executor codes frames; {@code Runnable::run} for the calling thread alone */
    public LoopEncoder(Size size, GifSettings settings, Executor executor) {
        this(size, settings, executor, Memory.NONE);
    }

    /** @param memory of codes: a frame that is wanted as before is not coded again */
    public LoopEncoder(Size size, GifSettings settings, Executor executor, Memory memory) {
        this.size = size;
        this.settings = settings;
        this.executor = executor;
        this.memory = memory;
        this.plans =
                new KnownPlans(size, settings.tolerance(), settings.dithering().keptColors(), memory);
    }

    /**
     * @param picture the whole frame, opaque pixels or 0
     * @param palette for this frame; the file's own is not stored again
     */
    public void add(Raster picture, Palette palette) {
        if (!picture.size().equals(size)) {
            throw new IllegalArgumentException("A frame of " + picture.size() + " in a file of " + size);
        }
        ChangePlanner.Step step = plans.next(picture);
        if (step.unchanged()) {
            waiting = waiting.longer();
        } else {
            if (step.finished() != null) {
                code(step.finished());
            }
            waiting = new Waiting(picture, palette, added, 1);
        }
        added++;
    }

    /** @return what is stored, in order; nothing can be added any more */
    public List<EncodedFrame> finish() {
        if (waiting != null) {
            code(plans.last());
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
        boolean own = frame.palette != settings.palette();
        Terms terms =
                new Terms(frame.palette, own, settings.dithering(), settings.repeatable(), settings.tolerance(), plan);
        return memory.of(frame.picture, terms, () -> {
            FrameCoder idle = own ? null : idleCoders.poll();
            FrameCoder coder = idle == null ? coder(frame.palette) : idle;
            StoredFrame stored = coder.code(frame.picture.argb(), size.width(), plan, own);
            if (!own) {
                idleCoders.add(coder);
            }
            return stored;
        });
    }

    private FrameCoder coder(Palette palette) {
        return new FrameCoder(nearest(palette), settings.dithering(), settings.repeatable(), settings.tolerance());
    }

    private synchronized NearestColor nearest(Palette palette) {
        if (nearest == null || nearest.palette() != palette) {
            nearest = new NearestColor(palette);
        }
        return nearest;
    }

    private void takeFirst() {
        Coding first = underWay.remove();
        encoded.add(new EncodedFrame(first.frame.first, first.frame.frames, Parallel.join(first.stored)));
    }
}
