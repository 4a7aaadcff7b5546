package dobbin.server.renders;

import com.github.benmanes.caffeine.cache.Caffeine;
import dobbin.inspect.InspectedFrames;
import dobbin.inspect.Inspection;
import dobbin.inspect.Rhythm;
import dobbin.inspect.Sample;
import dobbin.raster.Parallel;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.render.Pictures;
import dobbin.render.RenderKeys;
import dobbin.render.Renderer;
import dobbin.server.jobs.EventHub;
import dobbin.server.reels.OpenReel;
import dobbin.server.reels.Reels;
import dobbin.server.work.Budget;
import dobbin.server.work.Lines;
import dobbin.server.work.Remembered;
import dobbin.server.work.Turns;
import dobbin.slim.Framed;
import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;

/**
 * Looks reels over in the background, on small drawings that are remembered since what they are made of does not change.
 * Whoever asks gets what is known by then; a reel that changes meanwhile is not looked at any further.
 */
@Service
class Inspections {
    private static final Logger LOG = LoggerFactory.getLogger(Inspections.class);
    private static final int PATIENCE_MILLIS = 250;
    private static final int BYTES_OF_A_CHANGE = 200;
    private static final int REELS_REMEMBERED = 50;
    private static final int LOOKERS = 2;

    private final Pictures pictures;
    private final Turns turns;
    private final EventHub hub;
    private final Remembered<Object> seen;
    /** Of each reel the last look, under way or done. */
    private final Map<String, Look> underWay = Caffeine.newBuilder()
            .maximumSize(REELS_REMEMBERED)
            .<String, Look>build()
            .asMap();

    private final Lines lookers = Lines.of("look", LOOKERS);

    Inspections(Pictures pictures, Turns turns, EventHub hub, Budget budget) {
        this.pictures = pictures;
        this.turns = turns;
        this.hub = hub;
        this.seen = new Remembered<>(budget, Budget.Kept.SAMPLES, (key, value) -> bytesOf(value));
    }

    /** @param complete whether that is all there is to see; if not, listeners are told when it is */
    record Looked(Inspection inspection, boolean complete) {}

    Looked look(OpenReel open) {
        String key = key(open);
        Look look = underWay.compute(
                open.id(), (id, before) -> before != null && before.key.equals(key) ? before : begun(open, before));
        try {
            return new Looked(look.result.get(PATIENCE_MILLIS, TimeUnit.MILLISECONDS), true);
        } catch (TimeoutException | CancellationException e) {
            return new Looked(new ReelSight(open, look).known(), false);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return new Looked(new ReelSight(open, look).known(), false);
        } catch (ExecutionException e) {
            throw e.getCause() instanceof RuntimeException cause ? cause : new IllegalStateException(e.getCause());
        }
    }

    /** Stops inspecting a reel that is about to change. */
    @EventListener
    void changing(Reels.Changing change) {
        Look before = underWay.get(change.id());
        if (before != null && !before.result.isDone()) {
            before.result.cancel(false);
            underWay.remove(change.id(), before);
        }
    }

    private Look begun(OpenReel open, Look before) {
        if (before != null) {
            before.result.cancel(false);
        }
        Look look = new Look(key(open), new CompletableFuture<>());
        lookers.execute(() -> run(open, look));
        return look;
    }

    private void run(OpenReel open, Look look) {
        try {
            Reel reel = open.reel();
            ReelSight sight = new ReelSight(open, look);
            sight.drawAll();
            if (look.result.complete(Inspection.of(reel, sight))) {
                hub.publish(open.id(), "looked", Map.of("revision", open.revision()));
            }
        } catch (CancellationException e) {
            look.result.cancel(false);
        } catch (RuntimeException | OutOfMemoryError e) {
            LOG.warn("Looking over the reel {} failed", open.id(), e);
            look.result.completeExceptionally(e);
        }
    }

    private static String key(OpenReel open) {
        return open.id() + ' ' + open.revision();
    }

    private static int bytesOf(Object value) {
        if (value instanceof Raster raster) {
            return Integer.BYTES * raster.argb().length;
        }
        return value instanceof Sample sample ? sample.bytes() : BYTES_OF_A_CHANGE;
    }

    @PreDestroy
    void stop() {
        lookers.stop();
    }

    /** A reel that is looked over; one result, also for those who ask meanwhile. */
    private record Look(String key, CompletableFuture<Inspection> result) {}

    private final class ReelSight implements InspectedFrames {
        private final Reel reel;
        private final Look look;
        private final RenderKeys keys;

        ReelSight(OpenReel open, Look look) {
            this.reel = open.reel();
            this.keys = open.keys();
            this.look = look;
        }

        /** A frame is a piece of work, after all that somebody waits for. */
        void drawAll() {
            Executor later = turns.at(Turns.Urgency.LATER);
            List<CompletableFuture<Void>> all = reel.loop().stream()
                    .map(frame -> CompletableFuture.runAsync(
                            () -> {
                                coarse(frame);
                                small(frame);
                            },
                            later))
                    .toList();
            all.forEach(Parallel::join);
        }

        /** @return what is known without drawing anything: the changes that are, and nothing else */
        Inspection known() {
            List<Frame> frames = reel.frames();
            double[] changes = new double[frames.size()];
            for (int i = 1; i < changes.length; i++) {
                changes[i] = (Double)
                        seen.known(pair(frames.get(i - 1), frames.get(i))).orElse(0.0);
            }
            return new Inspection(changes, Rhythm.of(new double[0]), List.of());
        }

        private String look(Frame frame) {
            return keys.of(frame);
        }

        private String pair(Frame a, Frame b) {
            return look(a) + ' ' + look(b);
        }

        @Override
        public Sample coarse(Frame frame) {
            return sample(frame, COARSE_SIDE);
        }

        @Override
        public Sample fine(Frame frame) {
            return sample(frame, FINE_SIDE);
        }

        @Override
        public Raster small(Frame frame) {
            if (look.result.isDone()) {
                throw new CancellationException();
            }
            Framed framed = Framed.of(reel, reel.deliveredSize().reducedTo(SMALL_SIDE));
            return (Raster)
                    seen.get(look(frame) + ' ' + framed, () -> framed.draw(reel, keys.tracks(), frame, pictures));
        }

        @Override
        public boolean same(Frame a, Frame b) {
            return look(a).equals(look(b));
        }

        @Override
        public double change(Frame a, Frame b) {
            return same(a, b) ? 0 : (Double) seen.get(pair(a, b), () -> InspectedFrames.super.change(a, b));
        }

        private Sample sample(Frame frame, int side) {
            if (look.result.isDone()) {
                throw new CancellationException();
            }
            return (Sample) seen.get(look(frame) + " " + side, () -> {
                Size size = reel.canvas().reducedTo(side);
                return Sample.of(Renderer.draw(reel, keys.tracks(), frame, pictures, size));
            });
        }
    }
}
