package dobbin.server.work;

import jakarta.annotation.PreDestroy;
import java.util.Comparator;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.Executor;
import java.util.concurrent.PriorityBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/**
 * The processors, in order of what is waited for: the frame on the stage, then the frames in view, then all else. Work
 * comes in small pieces, a frame each, so that nobody waits for more than one of them. A piece never waits for another.
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

    private final AtomicLong order = new AtomicLong();
    private final ThreadPoolExecutor threads;

    private record Piece(Urgency urgency, long number, Runnable work) implements Runnable {
        private static final Comparator<Runnable> ORDER = Comparator.comparing(
                        (Runnable piece) -> ((Piece) piece).urgency)
                .thenComparing(piece -> ((Piece) piece).number);

        @Override
        public void run() {
            work.run();
        }
    }

    public Turns() {
        int processors = Runtime.getRuntime().availableProcessors();
        this.threads = new ThreadPoolExecutor(
                processors, processors, 1, TimeUnit.MINUTES, new PriorityBlockingQueue<>(64, Piece.ORDER), work -> {
                    Thread thread = new Thread(work, "frame");
                    thread.setDaemon(true);
                    return thread;
                });
    }

    /** @return what runs pieces of work with that urgency */
    public Executor at(Urgency urgency) {
        return work -> threads.execute(new Piece(urgency, order.getAndIncrement(), work));
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
        threads.shutdownNow();
    }
}
