package dobbin.server.entry;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import org.springframework.stereotype.Component;

/**
 * Slows down whoever guesses: after a few wrong passwords from one address each further one costs twice the wait of the one before,
 * up to five minutes. All addresses together may be wrong more often before that.
 */
@Component
class Attempts {
    private static final int FREE = 5;
    private static final int FREE_OF_ALL = 100;
    private static final String ALL = "all";
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

    Attempts() {
        this(InstantSource.system());
    }

    Attempts(InstantSource clock) {
        this.clock = clock;
    }

    /** @return how long that address must wait until it may try again */
    Duration waitOf(String address) {
        Duration own = waitOf(address, FREE);
        Duration ofAll = waitOf(ALL, FREE_OF_ALL);
        return own.compareTo(ofAll) > 0 ? own : ofAll;
    }

    void failed(String address) {
        for (String who : new String[] {address, ALL}) {
            wrong.asMap()
                    .merge(who, new Wrong(1, clock.instant()), (before, now) -> new Wrong(before.times + 1, now.last));
        }
    }

    void succeeded(String address) {
        wrong.invalidate(address);
    }

    private Duration waitOf(String who, int free) {
        Wrong before = wrong.getIfPresent(who);
        if (before == null || before.times < free) {
            return Duration.ZERO;
        }
        Duration wait = Duration.ofSeconds(1L << Math.min(MOST_DOUBLINGS, before.times - free));
        Duration left =
                Duration.between(clock.instant(), before.last.plus(wait.compareTo(LONGEST) > 0 ? LONGEST : wait));
        return left.isNegative() ? Duration.ZERO : left;
    }
}
