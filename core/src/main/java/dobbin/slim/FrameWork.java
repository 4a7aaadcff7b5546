package dobbin.slim;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Function;

/** Does something to each of many frames, on whatever threads there are, and keeps their order. */
final class FrameWork {
    private final Executor executor;
    private final Progress progress;
    private final int total;
    private final AtomicInteger begun = new AtomicInteger();
    private final AtomicReference<RuntimeException> failure = new AtomicReference<>();

    FrameWork(Executor executor, Progress progress, int total) {
        this.executor = executor;
        this.progress = progress;
        this.total = total;
    }

    /** @return the results in order; the first failure is thrown as it was, and what has not begun by then never does */
    <T, R> List<R> each(List<T> frames, Function<T, R> step) {
        List<CompletableFuture<R>> running = frames.stream()
                .map(frame -> CompletableFuture.supplyAsync(() -> one(frame, step), executor))
                .toList();
        try {
            return running.stream().map(CompletableFuture::join).toList();
        } catch (CompletionException e) {
            throw failure.get() == null ? e : failure.get();
        }
    }

    /** Counts one frame's share of work that is done in order; the moment to stop it, where that is wanted. */
    void begin() {
        progress.report(begun.getAndIncrement(), total);
    }

    private <T, R> R one(T frame, Function<T, R> step) {
        if (failure.get() != null) {
            throw failure.get();
        }
        try {
            return step.apply(frame);
        } catch (RuntimeException e) {
            failure.compareAndSet(null, e);
            throw e;
        }
    }
}
