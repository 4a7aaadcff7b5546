package dobbin.server.entry;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * Slows down whoever guesses: after a few wrong passwords from one address each further one costs twice the wait of the one before,
 * up to five minutes. Whoever tries one name from many addresses, and all together, may be wrong more often before that.
 */
@Component
class Attempts {
    private static final int FREE = 5;
    private static final int FREE_OF_ALL = 100;
    private static final int FREE_OF_A_NAME = 10;
    private static final int LONGEST_NAME = 40;
    private static final String ALL = "all";
    private static final String NAMED = "named ";
    private static final Duration LONGEST = Duration.ofMinutes(5);
    private static final Duration FORGOTTEN_AFTER = Duration.ofHours(1);
    private static final int MOST_ADDRESSES = 100_000;
    private static final int MOST_DOUBLINGS = 20;

    private final InstantSource clock;
    private final Cache<String, Wrong> wrong = Caffeine.newBuilder()
            .maximumSize(MOST_ADDRESSES)
            .expireAfterWrite(FORGOTTEN_AFTER)
            .build();

    private record Wrong(int times, Instant last) {}

    private record Count(String of, int free) {}

    Attempts() {
        this(InstantSource.system());
    }

    Attempts(InstantSource clock) {
        this.clock = clock;
    }

    /**
     * Counts a try as wrong until it {@link #succeeded}.
     *
     * @param name that is tried, or empty
     * @return how long that address, or whoever tries that name, must wait first; then it was not counted
     */
    synchronized Duration begin(String address, String name) {
        Duration wait = Duration.ZERO;
        for (Count each : counts(address, name)) {
            Duration left = waitOf(each.of, each.free);
            wait = left.compareTo(wait) > 0 ? left : wait;
        }
        if (wait.isZero()) {
            counts(address, name)
                    .forEach(each -> wrong.asMap()
                            .merge(
                                    each.of,
                                    new Wrong(1, clock.instant()),
                                    (before, now) -> new Wrong(before.times + 1, now.last)));
        }
        return wait;
    }

    synchronized void succeeded(String address, String name) {
        wrong.invalidate(address);
        wrong.invalidate(named(name));
        wrong.asMap()
                .computeIfPresent(
                        ALL, (all, before) -> before.times == 1 ? null : new Wrong(before.times - 1, before.last));
    }

    /** No name is longer; what claims to be one must not fill the memory. */
    private static String named(String name) {
        return NAMED + name.substring(0, Math.min(name.length(), LONGEST_NAME));
    }

    private static List<Count> counts(String address, String name) {
        Count ofAddress = new Count(address, FREE);
        Count ofAll = new Count(ALL, FREE_OF_ALL);
        return name.isEmpty()
                ? List.of(ofAddress, ofAll)
                : List.of(ofAddress, new Count(named(name), FREE_OF_A_NAME), ofAll);
    }

    private Duration waitOf(String who, int free) {
        Wrong before = wrong.getIfPresent(who);
        if (before == null || before.times < free) {
            return Duration.ZERO;
        }
        Duration doubled = Duration.ofSeconds(1L << Math.min(MOST_DOUBLINGS, before.times - free));
        Duration wait = doubled.compareTo(LONGEST) > 0 ? LONGEST : doubled;
        Duration left = Duration.between(clock.instant(), before.last.plus(wait));
        if (left.compareTo(wait) > 0) {
            // The clock was set back.
            return wait;
        }
        return left.isNegative() ? Duration.ZERO : left;
    }
}
