package dobbin.server.deliveries;

import dobbin.render.Looks;
import dobbin.server.jobs.EventHub;
import dobbin.server.jobs.Job;
import dobbin.server.jobs.Jobs;
import dobbin.server.reels.OpenReel;
import dobbin.server.reels.Reels;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;

/**
 * Keeps the weight of reels that someone looks at: after each change the file is made anew in the background, and what
 * was being made of the state before is given up.
 */
@Service
class Weights {
    private static final long PAUSE_MILLIS = 60;

    private final Encoder encoder;
    private final Jobs jobs;
    private final EventHub hub;
    private final Map<String, Running> running = new ConcurrentHashMap<>();
    private final Map<String, Integer> latest = new ConcurrentHashMap<>();
    private final Executor soon = CompletableFuture.delayedExecutor(PAUSE_MILLIS, TimeUnit.MILLISECONDS);

    /** @param file the name of the file that is being made */
    private record Running(String file, Job job) {}

    Weights(Encoder encoder, Jobs jobs, EventHub hub) {
        this.encoder = encoder;
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

    /** What is weighed is about to be out of date, and stops, so that the change itself has the processor. */
    @EventListener
    void changing(Reels.Changing change) {
        giveUp(change.id());
    }

    /**
     * What is known is told at once. The next weighing waits a moment, so that the change is seen before
     * the processor is busy again, and a row of quick changes is weighed once.
     */
    @EventListener
    void changed(Reels.Changed change) {
        OpenReel reel = change.reel();
        hub.publish(reel.id(), "changed", Map.of("revision", reel.revision()));
        if (!hub.hasListeners(reel.id())) {
            return;
        }
        if (encoder.known(reel.reel()).isPresent()) {
            latest.remove(reel.id());
            hub.publish(reel.id(), "weight", weigh(reel));
        } else {
            latest.put(reel.id(), reel.revision());
            soon.execute(() -> {
                if (latest.remove(reel.id(), reel.revision())) {
                    hub.publish(reel.id(), "weight", weigh(reel));
                }
            });
        }
    }

    /** @return the weight if it is known; else starts to work it out, unless that is under way, and tells listeners */
    WeightView weigh(OpenReel open) {
        String file = Looks.ofDelivery(open.reel());
        if (open.reel().loop().isEmpty()) {
            giveUp(open.id());
            return new WeightView(open.revision(), file, null, 0, 0, null);
        }
        var known = encoder.known(open.reel());
        if (known.isPresent()) {
            giveUp(open.id());
            return new WeightView(open.revision(), file, known.get().bytes().length, 1, 1, null);
        }
        Running now = running.compute(open.id(), (id, before) -> {
            if (before != null && before.file.equals(file)) {
                return before;
            }
            if (before != null) {
                before.job.cancel();
            }
            return new Running(file, start(open, file));
        });
        Job.View job = now.job.view();
        return new WeightView(open.revision(), file, null, job.done(), job.total(), null);
    }

    private Job start(OpenReel open, String file) {
        return jobs.start(
                "Weigh " + open.reel().name(),
                view -> tell(open, file, view),
                progress -> String.valueOf(encoder.encode(open.reel(), progress).bytes().length));
    }

    private void tell(OpenReel open, String file, Job.View job) {
        if (job.state() != Job.State.RUNNING) {
            running.computeIfPresent(open.id(), (id, now) -> now.job.id().equals(job.id()) ? null : now);
        }
        if (job.state() != Job.State.CANCELLED) {
            Integer bytes = job.result() == null ? null : Integer.valueOf(job.result());
            hub.publish(
                    open.id(),
                    "weight",
                    new WeightView(open.revision(), file, bytes, job.done(), job.total(), job.problem()));
        }
    }

    private void giveUp(String reel) {
        Running before = running.remove(reel);
        if (before != null) {
            before.job.cancel();
        }
    }
}
