package dobbin.cli;

import java.util.concurrent.Executor;
import java.util.concurrent.ForkJoinPool;

/** Threads for the work on single frames. */
final class FrameThreads {
    /**
     * As many as there are processors. Not the common pool: on two processors it has one thread, and then tasks get a new
     * thread each, with memory for all frames at once.
     */
    static final Executor ALL = new ForkJoinPool(Runtime.getRuntime().availableProcessors());

    private FrameThreads() {}
}
