package dobbin.server.work;

import jakarta.annotation.PreDestroy;
import java.util.Comparator;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.Executor;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.PriorityBlockingQueue;
import java.util.concurrent.Semaphore;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/**
 * The processors, in order of what is waited for: the frame on the stage, then the frames in view, then all else. Work
 * comes in small pieces, a frame each, and a piece never waits for what another makes. What somebody waits for begins at
 * once; and as long as somebody works, all that is done for later has one processor less.
 */
@Component
public class Turns {
    /** What work is for. */
    public enum Urgency {
        /** Somebody waits for this very picture. */
        NOW,
        /** It is in view. */
        SEEN,
        /** It will be wanted. */
        LATER
    }

    /** Somebody who waited for a picture this short a time ago will wait for the next soon. */
    private static final long AT_WORK_NANOS = TimeUnit.SECONDS.toNanos(2);

    private static final int PROCESSORS = Runtime.getRuntime().availableProcessors();

    private final AtomicLong order = new AtomicLong();
    private final ThreadPoolExecutor atOnce = threads(new LinkedBlockingQueue<>());
    private final ThreadPoolExecutor inTurn = threads(new PriorityBlockingQueue<>(64, Piece.ORDER));
    private final Semaphore forLater = new Semaphore(Math.max(1, PROCESSORS - 1));
    private volatile long lastWaitedFor = System.nanoTime() - AT_WORK_NANOS;

    private record Piece(Urgency urgency, long number, Runnable work) implements Runnable {
        private static final Comparator<Runnable> ORDER = Comparator.comparing(
                        (Runnable piece) -> ((Piece) piece).urgency)
                .thenComparing(piece -> ((Piece) piece).number);

        @Override
        public void run() {
            work.run();
        }
    }

    private static ThreadPoolExecutor threads(BlockingQueue<Runnable> queue) {
        return new ThreadPoolExecutor(PROCESSORS, PROCESSORS, 1, TimeUnit.MINUTES, queue, work -> {
            Thread thread = new Thread(work, "frame");
            thread.setDaemon(true);
            return thread;
        });
    }

    /** @return what runs pieces of work with that urgency */
    public Executor at(Urgency urgency) {
        return switch (urgency) {
            case NOW ->
                work -> {
                    lastWaitedFor = System.nanoTime();
                    atOnce.execute(work);
                };
            case SEEN -> work -> inTurn.execute(new Piece(urgency, order.getAndIncrement(), work));
            case LATER -> work -> inTurn.execute(new Piece(urgency, order.getAndIncrement(), () -> later(work)));
        };
    }

    private void later(Runnable work) {
        if (System.nanoTime() - lastWaitedFor > AT_WORK_NANOS) {
            work.run();
            return;
        }
        forLater.acquireUninterruptibly();
        try {
            work.run();
        } finally {
            forLater.release();
        }
    }

    /** Does a piece of work in its turn, and waits for it. */
    public <V> V call(Urgency urgency, Supplier<V> work) {
        try {
            return CompletableFuture.supplyAsync(work, at(urgency)).join();
        } catch (CompletionException e) {
            throw e.getCause() instanceof RuntimeException cause ? cause : e;
        }
    }

    @PreDestroy
    void stop() {
        atOnce.shutdownNow();
        inTurn.shutdownNow();
    }
}
