package dobbin.slim;

import dobbin.raster.Parallel;
import dobbin.raster.Raster;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.function.IntFunction;

/**
 * The drawn frames of a loop, wanted twice: to count their colors and to encode them. Short loops are kept in between,
 * long ones drawn again.
 */
final class FrameSource {
    /** 48 MB of pixels, no trouble for a small heap: 78 frames of 480 x 320. */
    private static final long KEPT_PIXELS = 12_000_000;

    private static final int AHEAD = 2 * Runtime.getRuntime().availableProcessors();

    private final IntFunction<Raster> drawing;
    private final Raster[] kept;

    FrameSource(int frames, long pixelsOfAFrame, IntFunction<Raster> drawing) {
        this.drawing = drawing;
        this.kept = frames * pixelsOfAFrame <= KEPT_PIXELS ? new Raster[frames] : null;
    }

    /** @return the frame, drawn where it is not kept; different frames may be asked for by different threads */
    Raster get(int frame) {
        if (kept == null) {
            return drawing.apply(frame);
        }
        if (kept[frame] == null) {
            kept[frame] = drawing.apply(frame);
        }
        return kept[frame];
    }

    /** Takes those frames in order; the next few are drawn ahead of each. */
    void inOrder(List<Integer> places, Executor executor, Taker taker) {
        List<CompletableFuture<Raster>> drawn = new ArrayList<>();
        for (int i = 0; i < places.size(); i++) {
            while (drawn.size() < Math.min(places.size(), i + AHEAD)) {
                int next = places.get(drawn.size());
                drawn.add(CompletableFuture.supplyAsync(() -> get(next), executor));
            }
            taker.take(places.get(i), Parallel.join(drawn.set(i, null)));
        }
    }

    interface Taker {
        void take(int frame, Raster raster);
    }
}
