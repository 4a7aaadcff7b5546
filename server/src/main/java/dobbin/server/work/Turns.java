package dobbin.server.work;

import dobbin.raster.Parallel;
import jakarta.annotation.PreDestroy;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/**
 * The processors, in order of what is waited for: the frame on the stage, then the frames in view, then all else. Work
 * comes in small pieces, a frame each, and a piece never waits for what another makes. What somebody waits for begins at
 * once; and as long as somebody works, all that is done for later has one processor less. Among what is equally urgent everybody
 * has their turn.
 */
@Component
public class Turns {
    /** How soon the result is needed. */
    public enum Urgency {
        /** Somebody waits for this very picture. */
        NOW,
        /** The result is in view. */
        SEEN,
        /** The result will be needed later. */
        LATER
    }

    /** Somebody who waited for a picture this short a time ago will wait for the next soon. */
    private static final long AT_WORK_NANOS = TimeUnit.SECONDS.toNanos(2);

    private static final int PROCESSORS = Runtime.getRuntime().availableProcessors();

    private final Lines atOnce = Lines.of("at once", PROCESSORS);
    private final Lines inTurn = Lines.byUrgency("in turn", PROCESSORS, Urgency.values().length, this::most);
    private volatile long lastWaitedFor = System.nanoTime() - AT_WORK_NANOS;

    private int most(int urgency) {
        boolean atWork = System.nanoTime() - lastWaitedFor < AT_WORK_NANOS;
        return urgency == Urgency.LATER.ordinal() && atWork ? Math.max(1, PROCESSORS - 1) : PROCESSORS;
    }

    /** @return what runs pieces of work with that urgency */
    public Executor at(Urgency urgency) {
        if (urgency != Urgency.NOW) {
            return work -> inTurn.execute(urgency.ordinal(), work);
        }
        return work -> {
            lastWaitedFor = System.nanoTime();
            atOnce.execute(work);
        };
    }

    /** @return threads for large work that is done at another place: one less while somebody works */
    public Lines beside(String name) {
        return Lines.byUrgency(name, PROCESSORS, 1, urgency -> most(Urgency.LATER.ordinal()));
    }

    /** Does a piece of work in its turn, and waits for it. */
    public <V> V call(Urgency urgency, Supplier<V> work) {
        return Parallel.join(CompletableFuture.supplyAsync(work, at(urgency)));
    }

    @PreDestroy
    void stop() {
        atOnce.stop();
        inTurn.stop();
    }
}
