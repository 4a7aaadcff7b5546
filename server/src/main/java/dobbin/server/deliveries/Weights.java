package dobbin.server.deliveries;

import dobbin.server.jobs.EventHub;
import dobbin.server.jobs.Job;
import dobbin.server.jobs.Jobs;
import dobbin.server.reels.OpenReel;
import dobbin.server.reels.Reels;
import dobbin.server.work.Requester;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;

/**
 * Keeps the weight of reels that someone looks at: after each change the file is made anew in the background, and what
 * was being made of the state before is given up.
 */
@Service
class Weights {
    private static final Logger LOG = LoggerFactory.getLogger(Weights.class);
    private static final long PAUSE_MILLIS = 25;

    private final Encoder encoder;
    private final Reels reels;
    private final Jobs jobs;
    private final EventHub hub;
    private final Map<String, Running> running = new ConcurrentHashMap<>();
    private final Map<String, Failed> failed = new ConcurrentHashMap<>();
    private final Set<String> waiting = ConcurrentHashMap.newKeySet();
    private final Executor soon = CompletableFuture.delayedExecutor(PAUSE_MILLIS, TimeUnit.MILLISECONDS);

    /** @param file the name of the file that is being made */
    private record Running(String file, Job job) {}

    private record Failed(String file, String problem) {}

    Weights(Encoder encoder, Reels reels, Jobs jobs, EventHub hub) {
        this.encoder = encoder;
        this.reels = reels;
        this.jobs = jobs;
        this.hub = hub;
    }

    /**
     * @param revision of the reel that was weighed
     * @param file names the file that was weighed
     * @param bytes of the file, or null while they are being worked out or where there are no frames
     * @param done of {@code total} steps, while it is worked out
     * @param problem a sentence on why there is no weight, or null
     */
    record WeightView(
            int revision,
            String file,
            @Schema(types = {"integer", "null"}) Integer bytes,
            int done,
            int total,
            @Schema(types = {"string", "null"}) String problem) {}

    /** Stops weighing the state that is about to be replaced, so that the edit has the processor. */
    @EventListener
    void changing(Reels.Changing change) {
        giveUp(change.id());
    }

    /**
     * Weighing waits a moment, so that the change is seen before the processor is busy again, and a row of quick changes is
     * weighed once: always what the reel is by then, whichever change was heard of last.
     */
    @EventListener
    void changed(Reels.Changed change) {
        OpenReel reel = change.reel();
        hub.publish(reel.id(), "changed", Map.of("revision", reel.revision()));
        if (!hub.hasListeners(reel.id())) {
            return;
        }
        if (waiting.add(reel.id())) {
            // For whoever changed it, in that one's line.
            String whose = Requester.now();
            soon.execute(() -> {
                Requester.While theirs = Requester.is(whose);
                try {
                    weighNow(reel.id());
                } finally {
                    theirs.close();
                }
            });
        }
    }

    private void weighNow(String id) {
        waiting.remove(id);
        try {
            hub.publish(id, "weight", weigh(reels.open(id)));
        } catch (RuntimeException e) {
            LOG.debug("The reel {} is not there to be weighed", id, e);
        }
    }

    /** @return the weight if it is known; else starts to work it out, unless that is under way, and tells listeners */
    WeightView weigh(OpenReel open) {
        String file = open.keys().ofDelivery();
        if (open.reel().loop().isEmpty()) {
            giveUp(open.id());
            return new WeightView(open.revision(), file, null, 0, 0, null);
        }
        var known = encoder.known(open.seen());
        if (known.isPresent()) {
            giveUp(open.id());
            return new WeightView(open.revision(), file, known.get().bytes().length, 1, 1, null);
        }
        Failed before = failed.get(open.id());
        if (before != null && before.file.equals(file)) {
            return new WeightView(open.revision(), file, null, 0, 0, before.problem);
        }
        Running now = running.compute(open.id(), (id, other) -> {
            if (other != null && other.file.equals(file)) {
                return other;
            }
            if (other != null) {
                other.job.cancel();
            }
            return new Running(file, start(open, file));
        });
        Job.View job = now.job.view();
        return new WeightView(open.revision(), file, null, job.done(), job.total(), job.problem());
    }

    private Job start(OpenReel open, String file) {
        return jobs.start(
                open.id(),
                "Weigh " + open.reel().name(),
                view -> tell(open, file, view),
                progress -> String.valueOf(encoder.encode(open.seen(), progress).bytes().length));
    }

    private void tell(OpenReel open, String file, Job.View job) {
        if (job.state() != Job.State.RUNNING) {
            running.computeIfPresent(open.id(), (id, now) -> now.job.id().equals(job.id()) ? null : now);
        }
        if (job.state() == Job.State.FAILED) {
            failed.put(open.id(), new Failed(file, job.problem()));
        } else if (job.state() == Job.State.DONE) {
            failed.remove(open.id());
        }
        if (job.state() != Job.State.CANCELLED) {
            Integer bytes = job.result() == null ? null : Integer.valueOf(job.result());
            hub.publish(
                    open.id(),
                    "weight",
                    new WeightView(open.revision(), file, bytes, job.done(), job.total(), job.problem()));
        }
    }

    /** A request for a weight that failed starts it again. */
    void forgetFailure(String reel) {
        failed.remove(reel);
    }

    private void giveUp(String reel) {
        Running before = running.remove(reel);
        if (before != null) {
            before.job.cancel();
        }
    }
}
