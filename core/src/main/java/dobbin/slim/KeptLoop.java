package dobbin.slim;

import dobbin.raster.Memory;
import dobbin.raster.Raster;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import dobbin.render.Pictures;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Supplier;

/**
 * Drawn frames of one loop, and what was worked out about them, for trying many settings: kept as long as there is room,
 * drawn anew beyond that. For any number of threads.
 */
public final class KeptLoop implements Drawing, Memory {
    /** 160 MB of pixels: 30 frames of 480 x 320 in eight sizes. */
    private static final long MOST_PIXELS = 40_000_000;

    private final Pictures pictures;
    private final Map<Sized, Raster> drawn = new ConcurrentHashMap<>();
    private final Map<Identity, Map<Object, Object>> known = new ConcurrentHashMap<>();
    private final AtomicLong pixels = new AtomicLong();

    private record Sized(int frame, Framed framed) {}

    /** The very object, not one like it. */
    private record Identity(Object object) {
        @Override
        public boolean equals(Object other) {
            return other instanceof Identity that && object == that.object;
        }

        @Override
        public int hashCode() {
            return System.identityHashCode(object);
        }
    }

    public KeptLoop(Pictures pictures) {
        this.pictures = pictures;
    }

    @Override
    public Raster draw(Reel reel, Tracks tracks, Frame frame, Framed framed) {
        Sized key = new Sized(frame.id(), framed);
        Raster before = drawn.get(key);
        if (before != null) {
            return before;
        }
        Raster raster = framed.draw(reel, tracks, frame, pictures);
        if (pixels.addAndGet(framed.delivered().area()) <= MOST_PIXELS) {
            known.put(new Identity(raster), new ConcurrentHashMap<>());
            drawn.put(key, raster);
        }
        return raster;
    }

    /** Of pictures that are kept, and of what is remembered of them; of what is bulky the latest of each kind alone. */
    @Override
    @SuppressWarnings("unchecked") // the type of the terms stands for the type of the result
    public <V> V of(Object picture, Object terms, Supplier<V> work) {
        Map<Object, Object> results = known.get(new Identity(picture));
        if (results == null) {
            return work.get();
        }
        Object before = results.get(terms);
        if (before != null) {
            return (V) before;
        }
        V result = work.get();
        if (result instanceof Bulky) {
            results.values().removeIf(each -> each.getClass() == result.getClass());
            results.put(terms, result);
            return result;
        }
        results.put(terms, result);
        known.putIfAbsent(new Identity(result), new ConcurrentHashMap<>());
        return result;
    }
}
