package dobbin.server.work;

import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import org.springframework.stereotype.Component;

/**
 * The one budget of memory, shares of the heap there is. Caches share one part of it; work that needs much at once, as
 * reading and encoding do, is admitted out of another, the first to come first. What is small has a part of its own, so
 * that it need not wait for what is large.
 */
@Component
public class Budget {
    private static final double WORK = 0.40;
    private static final double SMALL_WORK = 0.25;
    /** At most this share of the part for small work counts as small. */
    private static final int SMALLEST = 4;
    /** The most that one piece of work may need, when everything else makes way for it. */
    private static final double MOST = 0.62;

    private static final int UNIT = 64 * 1024;
    private static final int PATIENCE_MILLIS = 200;

    /** What is kept, and its share of the heap. */
    public enum Kept {
        PICTURES(0.13),
        DRAWN_FOR_FILES(0.10),
        FILES(0.06),
        SEEN(0.05),
        /** By each search of settings. */
        COMPARED(0.03),
        SAMPLES(0.05);

        private final double share;

        Kept(double share) {
            this.share = share;
        }
    }

    private final long heap;
    private final Lane small;
    private final Lane large;
    private final List<Runnable> caches = new CopyOnWriteArrayList<>();

    public Budget() {
        this(Runtime.getRuntime().maxMemory());
    }

    Budget(long heapBytes) {
        this.heap = heapBytes;
        this.small = new Lane((long) (heap * WORK * SMALL_WORK));
        this.large = new Lane((long) (heap * WORK * (1 - SMALL_WORK)));
    }

    /** Called again and again by what waits; throws to end it. */
    public interface Checkpoint {
        void check();
    }

    /** Work that needs memory. */
    public interface Work<V, E extends Exception> {
        V run() throws E;
    }

    public long bytesFor(Kept kept) {
        return (long) (heap * kept.share);
    }

    /** @param emptied empties a cache, where something needs its memory */
    void register(Runnable emptied) {
        caches.add(emptied);
    }

    /** @return the most that one piece of work may ask for */
    public long mostBytes() {
        return (long) (heap * MOST);
    }

    public boolean isSmall(long bytes) {
        return bytes <= small.bytes / SMALLEST;
    }

    /**
     * Waits its turn, then does the work.
     *
     * @param bytes that it needs meanwhile, at most {@link #mostBytes()}
     */
    public <V, E extends Exception> V during(long bytes, Checkpoint checkpoint, Work<V, E> work) throws E {
        Lane lane = isSmall(bytes) ? small : large;
        int units = lane.take(bytes, checkpoint);
        try {
            if (bytes > lane.bytes) {
                // It has all there is for work, and that is not enough: caches make way.
                caches.forEach(Runnable::run);
            }
            return work.run();
        } finally {
            lane.giveBack(units);
        }
    }

    /** First come, first served: nobody overtakes a large one that waits for others to end. */
    private static final class Lane {
        private final long bytes;
        private final int units;
        private final Semaphore free;
        private final ReentrantLock turn = new ReentrantLock(true);

        Lane(long bytes) {
            this.bytes = bytes;
            this.units = (int) (bytes / UNIT);
            this.free = new Semaphore(units, true);
        }

        /** @return how many units were taken */
        int take(long wanted, Checkpoint checkpoint) {
            int asked = (int) Math.min(units, 1 + wanted / UNIT);
            lockPatiently(checkpoint);
            try {
                while (!free.tryAcquire(asked, PATIENCE_MILLIS, TimeUnit.MILLISECONDS)) {
                    checkpoint.check();
                }
            } catch (InterruptedException e) {
                throw interrupted();
            } finally {
                turn.unlock();
            }
            return asked;
        }

        void giveBack(int taken) {
            free.release(taken);
        }

        private void lockPatiently(Checkpoint checkpoint) {
            try {
                while (!turn.tryLock(PATIENCE_MILLIS, TimeUnit.MILLISECONDS)) {
                    checkpoint.check();
                }
            } catch (InterruptedException e) {
                throw interrupted();
            }
        }

        private static RuntimeException interrupted() {
            Thread.currentThread().interrupt();
            return new java.util.concurrent.CancellationException("Stopped while waiting for memory");
        }
    }
}
