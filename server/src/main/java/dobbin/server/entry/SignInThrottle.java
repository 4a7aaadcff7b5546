package dobbin.server.entry;

import dobbin.reel.ContentName;
import dobbin.server.entry.ThrottleStore.Wrong;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * Slows down whoever guesses: after a few wrong passwords from one address within an hour each further one costs twice the wait of
 * the one before, up to five minutes. Whoever tries one name from many addresses, and all together, may be wrong more often before
 * that. Those of all together keep nobody waiting at an address from which somebody has signed in before: else five addresses could
 * lock everybody out. All instances on one database count together.
 */
@Component
class SignInThrottle {
    private static final int FREE = 5;
    private static final int FREE_OF_ALL = 100;
    private static final int FREE_OF_A_NAME = 10;
    private static final String NAMED = "named ";
    private static final Duration LONGEST = Duration.ofMinutes(5);
    /** From the first on: who is busy all day is not held up in the evening by what was mistyped in the morning. */
    private static final Duration COUNTED = Duration.ofHours(1);

    /** How long an address is remembered from which somebody has signed in. */
    private static final Duration KNOWN = Duration.ofDays(90);

    private static final int MOST_DOUBLINGS = 20;

    private final ThrottleStore store;
    private final InstantSource clock;

    private record Count(String of, int free) {}

    @Autowired
    SignInThrottle(ThrottleStore store) {
        this(store, InstantSource.system());
    }

    SignInThrottle(ThrottleStore store, InstantSource clock) {
        this.store = store;
        this.clock = clock;
    }

    /**
     * Counts a try as wrong until it {@link #succeeded}.
     *
     * @param name that is tried, or empty
     * @return how long that address, or whoever tries that name, must wait first; then it was not counted
     */
    Duration begin(String address, String name) {
        return store.alone(() -> {
            Instant now = clock.instant();
            store.forget(now.minus(COUNTED));
            List<Count> counts = counts(address, name, store.hasSignedIn(address, now.minus(KNOWN)));
            Map<String, Wrong> before =
                    store.find(counts.stream().map(Count::of).toList());
            before.values().removeIf(wrong -> !wrong.first().plus(COUNTED).isAfter(now));
            Duration wait = Duration.ZERO;
            for (Count each : counts) {
                Duration left = waitOf(before.get(each.of), each.free, now);
                wait = left.compareTo(wait) > 0 ? left : wait;
            }
            if (wait.isZero()) {
                counts.forEach(each -> store.put(each.of, oneMore(before.get(each.of), now)));
            }
            return wait;
        });
    }

    private static Wrong oneMore(Wrong before, Instant now) {
        return before == null ? new Wrong(1, now, now) : new Wrong(before.times() + 1, before.first(), now);
    }

    void succeeded(String address, String name) {
        store.alone(() -> {
            store.remove(List.of(address, named(name)));
            Instant now = clock.instant();
            Instant known = now.minus(KNOWN);
            if (!store.hasSignedIn(address, known)) {
                Wrong all = store.find(List.of(ThrottleStore.ALL)).get(ThrottleStore.ALL);
                store.put(ThrottleStore.ALL, new Wrong(Math.max(0, all.times() - 1), all.first(), all.last()));
            }
            store.signedIn(address, now, known);
            return null;
        });
    }

    /** Not the name itself: sometimes a password is typed where the name belongs. */
    private static String named(String name) {
        return NAMED + ContentName.of(name);
    }

    private static List<Count> counts(String address, String name, boolean isKnown) {
        List<Count> counts = new ArrayList<>();
        counts.add(new Count(address, FREE));
        if (!name.isEmpty()) {
            counts.add(new Count(named(name), FREE_OF_A_NAME));
        }
        if (!isKnown) {
            counts.add(new Count(ThrottleStore.ALL, FREE_OF_ALL));
        }
        return counts;
    }

    private static Duration waitOf(Wrong before, int free, Instant now) {
        if (before == null || before.times() < free) {
            return Duration.ZERO;
        }
        Duration doubled = Duration.ofSeconds(1L << Math.min(MOST_DOUBLINGS, before.times() - free));
        Duration wait = doubled.compareTo(LONGEST) > 0 ? LONGEST : doubled;
        Duration left = Duration.between(now, before.last().plus(wait));
        if (left.compareTo(wait) > 0) {
            // The clock was set back.
            return wait;
        }
        return left.isNegative() ? Duration.ZERO : left;
    }
}
