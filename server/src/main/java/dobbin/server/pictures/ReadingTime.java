package dobbin.server.pictures;

import dobbin.still.Checkpoint;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.time.Duration;
import java.util.concurrent.CancellationException;
import java.util.function.LongSupplier;

/**
 * How much of one processor reading a still may take. It begins anew with each still that comes of a file, up to 30 times as much for all
 * of it; waiting for memory, or for others, takes none. For the thread that reads.
 */
public final class ReadingTime implements Checkpoint {
    private static final ThreadMXBean THREADS = ManagementFactory.getThreadMXBean();
    /** The processor time is read at most this often: checks come far more often. */
    private static final long BETWEEN_LOOKS_NANOS = 20_000_000;

    private static final int IN_ALL = 30;

    private final Duration most;
    private final LongSupplier processor;
    private final LongSupplier clock;
    /** When the still began, and the file; -1 where it has not. */
    private long begun = -1;

    private long begunInAll = -1;
    private long looked;

    public ReadingTime(Duration most) {
        this(most, THREADS::getCurrentThreadCpuTime, System::nanoTime);
    }

    /**
     * @param processor how much the thread has had of one, in nanoseconds
     * @param clock in nanoseconds
     */
    ReadingTime(Duration most, LongSupplier processor, LongSupplier clock) {
        this.most = most;
        this.processor = processor;
        this.clock = clock;
    }

    @Override
    public void check() {
        long now = clock.getAsLong();
        if (begun >= 0 && now - looked < BETWEEN_LOOKS_NANOS) {
            return;
        }
        looked = now;
        long had = processor.getAsLong();
        begun = begun < 0 ? had : begun;
        begunInAll = begunInAll < 0 ? had : begunInAll;
        checkTaken(had - begun, most);
        checkTaken(had - begunInAll, most.multipliedBy(IN_ALL));
    }

    private static void checkTaken(long nanos, Duration most) {
        if (nanos > most.toNanos()) {
            throw new CancellationException("takes more than " + most.toSeconds()
                    + " s of a processor to be read. Save it anew, smaller or in another format");
        }
    }

    @Override
    public void came() {
        begun = -1;
    }
}
