package dobbin.raster;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;

/** Waiting for work on other threads. */
public final class Parallel {
    private Parallel() {}

    /** @return the result; a failure is thrown as it was on its thread */
    public static <V> V join(CompletableFuture<V> work) {
        try {
            return work.join();
        } catch (CompletionException e) {
            throw e.getCause() instanceof RuntimeException cause ? cause : e;
        }
    }
}
