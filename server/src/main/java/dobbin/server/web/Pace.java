package dobbin.server.web;

import java.time.Duration;
import java.util.function.LongSupplier;

/** How fast a body must come: any way it likes for a while, then so many bytes a second on the whole. */
final class Pace {
    private static final long BYTES_A_SECOND = 2_000;
    private static final double NANOS = 1e9;

    private final long patience;
    private final LongSupplier clock;
    private final long begun;
    private long bytes;

    Pace(Duration patience) {
        this(patience, System::nanoTime);
    }

    /** @param clock in nanoseconds */
    Pace(Duration patience, LongSupplier clock) {
        this.patience = patience.toNanos();
        this.clock = clock;
        this.begun = clock.getAsLong();
    }

    /** @param more bytes that came; none at the end */
    void came(int more) {
        bytes += Math.max(0, more);
    }

    boolean isTooSlow() {
        long passed = clock.getAsLong() - begun;
        return passed > patience && bytes < (passed - patience) / NANOS * BYTES_A_SECOND;
    }
}
