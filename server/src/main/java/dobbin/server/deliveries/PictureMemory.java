package dobbin.server.deliveries;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dobbin.raster.Memory;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Iterator;
import java.util.function.Supplier;

/**
 * Remembers for as long as somebody else keeps the picture. Of each kind of work the last two results, so that going back
 * and forth between two settings, or undoing, finds both.
 */
final class PictureMemory implements Memory {
    private static final int OF_EACH_KIND = 2;

    private final Cache<Object, Known> known = Caffeine.newBuilder().weakKeys().build();

    @Override
    @SuppressWarnings(
            "unchecked") // the type of the terms stands for the kind of work, and that for the type of the result
    public <V> V of(Object picture, Object terms, Supplier<V> work) {
        Known ofPicture = known.get(picture, any -> new Known());
        Object before = ofPicture.find(terms);
        if (before != null) {
            return (V) before;
        }
        V result = work.get();
        ofPicture.keep(terms, result);
        return result;
    }

    /** @return of how many pictures anything is remembered */
    long pictures() {
        known.cleanUp();
        return known.estimatedSize();
    }

    private static final class Known {
        private record Result(Object terms, Object value) {}

        private final Deque<Result> results = new ArrayDeque<>();

        synchronized Object find(Object terms) {
            for (Iterator<Result> all = results.iterator(); all.hasNext(); ) {
                Result result = all.next();
                if (result.terms.equals(terms)) {
                    all.remove();
                    results.addFirst(result);
                    return result.value;
                }
            }
            return null;
        }

        synchronized void keep(Object terms, Object value) {
            results.addFirst(new Result(terms, value));
            int ofThisKind = 0;
            for (Iterator<Result> all = results.iterator(); all.hasNext(); ) {
                if (all.next().terms.getClass() == terms.getClass() && ++ofThisKind > OF_EACH_KIND) {
                    all.remove();
                }
            }
        }
    }
}
