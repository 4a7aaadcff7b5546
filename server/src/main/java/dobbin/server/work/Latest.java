package dobbin.server.work;

import com.github.benmanes.caffeine.cache.Weigher;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * The latest results, as many as there is memory for: what was not asked for the longest goes first. Unlike
 * {@link Remembered}, which keeps what is asked for often, this always keeps what was put in last.
 */
public final class Latest<V> {
    private final Map<String, V> kept = new LinkedHashMap<>(16, 0.75f, true);
    private final Weigher<String, V> weigher;
    private final long mostBytes;
    private long bytes;

    /** @param weigher gives bytes */
    public Latest(Budget budget, Budget.Kept share, Weigher<String, V> weigher) {
        this.weigher = weigher;
        this.mostBytes = budget.bytesFor(share);
        budget.register(this::clear);
    }

    public synchronized Optional<V> known(String key) {
        return Optional.ofNullable(kept.get(key));
    }

    /** Keeps it, even where it alone takes more than there is: someone is about to ask for it. */
    public synchronized void keep(String key, V value) {
        V before = kept.put(key, value);
        bytes += weigher.weigh(key, value) - (before == null ? 0 : weigher.weigh(key, before));
        Iterator<Map.Entry<String, V>> oldest = kept.entrySet().iterator();
        while (bytes > mostBytes && kept.size() > 1) {
            Map.Entry<String, V> entry = oldest.next();
            bytes -= weigher.weigh(entry.getKey(), entry.getValue());
            oldest.remove();
        }
    }

    private synchronized void clear() {
        kept.clear();
        bytes = 0;
    }
}
