package dobbin.server.work;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.Weigher;
import dobbin.raster.Parallel;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;

/**
 * Results that are kept as long as there is memory for them, and made once however many ask at a time. What makes one runs
 * on the thread that asked first and holds no lock.
 */
public final class Remembered<V> {
    private final Cache<String, V> kept;
    private final ConcurrentHashMap<String, CompletableFuture<V>> making = new ConcurrentHashMap<>();

    /** @param weigher gives bytes */
    public Remembered(Budget budget, Budget.Kept share, Weigher<String, V> weigher) {
        this.kept = Caffeine.newBuilder()
                .maximumWeight(budget.bytesFor(share))
                .weigher(weigher)
                .build();
        budget.register(kept::invalidateAll);
    }

    public Optional<V> known(String key) {
        return Optional.ofNullable(kept.getIfPresent(key));
    }

    public V get(String key, Supplier<V> make) {
        V known = kept.getIfPresent(key);
        if (known != null) {
            return known;
        }
        CompletableFuture<V> mine = new CompletableFuture<>();
        CompletableFuture<V> others = making.putIfAbsent(key, mine);
        return others == null ? made(key, make, mine) : Parallel.join(others);
    }

    private V made(String key, Supplier<V> make, CompletableFuture<V> promise) {
        try {
            V value = make.get();
            kept.put(key, value);
            promise.complete(value);
            return value;
        } catch (RuntimeException | Error e) {
            promise.completeExceptionally(e);
            throw e;
        } finally {
            making.remove(key, promise);
        }
    }
}
