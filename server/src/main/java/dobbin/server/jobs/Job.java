package dobbin.server.jobs;

import dobbin.slim.Progress;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;

/** One piece of long work and how it stands. Its {@link Progress} is what stops the work once it is cancelled. */
public final class Job {
    private static final long TOLD_EVERY_NANOS = 80_000_000;

    /** How a job stands. */
    public enum State {
        RUNNING,
        DONE,
        FAILED,
        CANCELLED
    }

    /**
     * @param result what came of it, such as a delivery's id; null until done
     * @param problem a sentence on why it failed, or null
     */
    @Schema(name = "JobView")
    public record View(
            String id,
            String title,
            State state,
            int done,
            int total,
            @Schema(types = {"string", "null"}) String result,
            @Schema(types = {"string", "null"}) String problem) {}

    private final String id;
    private final String reel;
    private final String title;
    private volatile Consumer<View> listener;
    private State state = State.RUNNING;
    private int done;
    private int total = 1;
    private String result;
    private String problem;
    private long lastTold;
    private volatile boolean cancelled;
    private final CompletableFuture<Void> ended = new CompletableFuture<>();

    Job(String id, String reel, String title, Consumer<View> listener) {
        this.id = id;
        this.reel = reel;
        this.title = title;
        this.listener = listener;
    }

    public String id() {
        return id;
    }

    String reel() {
        return reel;
    }

    /** @return completed once it has ended, however it did */
    CompletableFuture<Void> ended() {
        return ended;
    }

    /** Asks the work to stop at its next step. */
    public void cancel() {
        cancelled = true;
    }

    public synchronized View view() {
        return new View(id, title, state, done, total, result, problem);
    }

    void progress(int newDone, int newTotal) {
        if (cancelled) {
            throw new CancellationException();
        }
        synchronized (this) {
            done = Math.max(done, newDone);
            total = newTotal;
            if (System.nanoTime() - lastTold < TOLD_EVERY_NANOS) {
                return;
            }
            lastTold = System.nanoTime();
        }
        listener.accept(view());
    }

    void end(State newState, String newResult, String newProblem) {
        synchronized (this) {
            state = newState;
            result = newResult;
            problem = newProblem;
            done = newState == State.DONE ? total : done;
        }
        listener.accept(view());
        // An ended job is remembered for a while; what it would tell need not be.
        listener = view -> {};
        ended.complete(null);
    }
}
