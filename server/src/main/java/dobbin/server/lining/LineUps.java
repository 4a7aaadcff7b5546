package dobbin.server.lining;

import dobbin.edit.AlignStills;
import dobbin.edit.AlignStills.Moved;
import dobbin.edit.Batch;
import dobbin.edit.CropCanvas;
import dobbin.edit.Edit;
import dobbin.edit.EditRejected;
import dobbin.edit.LightStills;
import dobbin.edit.LightStills.Lit;
import dobbin.edit.SetBackdrop;
import dobbin.raster.Bounds;
import dobbin.raster.Size;
import dobbin.reel.Aligned;
import dobbin.reel.Frame;
import dobbin.reel.Light;
import dobbin.reel.Reel;
import dobbin.reel.Still;
import dobbin.register.Area;
import dobbin.register.Motion;
import dobbin.render.EvenLight;
import dobbin.render.LiningUp;
import dobbin.render.Steadying;
import dobbin.render.Steadying.Step;
import dobbin.server.jobs.EventHub;
import dobbin.server.jobs.Job;
import dobbin.server.jobs.Jobs;
import dobbin.server.pictures.PictureLibrary;
import dobbin.server.reels.OpenReel;
import dobbin.server.reels.Reels;
import dobbin.server.reels.StaleBase;
import dobbin.server.web.Refused;
import dobbin.server.work.Turns;
import dobbin.server.work.Turns.Urgency;
import dobbin.slim.Progress;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Lines stills up and evens their light. The pictures stay as they are: the reel says where and in which light each lies. */
@Service
class LineUps {
    private static final int ATTEMPTS = 5;

    private final Reels reels;
    private final PictureLibrary pictures;
    private final Turns turns;
    private final Jobs jobs;
    private final EventHub hub;

    LineUps(Reels reels, PictureLibrary pictures, Turns turns, Jobs jobs, EventHub hub) {
        this.reels = reels;
        this.pictures = pictures;
        this.turns = turns;
        this.jobs = jobs;
        this.hub = hub;
    }

    /** A frame that shows a still alone, with its number from 1. */
    private record Shown(int number, int frame, Still still) {}

    /** @param place how it is to be moved, or empty where it does not match */
    private record Found(Shown shown, Optional<Aligned> place) {}

    /** @param part of the canvas they are lined up by; empty for all of it */
    Job begin(String id, List<Integer> frames, int to, Edges edges, Bounds part, Motion motion) {
        Reel reel = reels.open(id).reel();
        List<Shown> stills = stills(reel, frames);
        Shown other = stills.stream()
                .filter(each -> each.frame() == to)
                .findFirst()
                .orElseThrow(() -> new EditRejected("to", "must be one of the frames that show a still"));
        if (stills.size() < 2) {
            throw new EditRejected("frames", "must be at least two that show stills");
        }
        Area area = part.isEmpty()
                ? Area.ALL
                : LiningUp.shownAt(part, other.still(), reel.canvas())
                        .orElseThrow(() -> new EditRejected(
                                "area", "must show at least a tenth of the width and of the height of the still"));
        return jobs.start(id, "Line up " + reel.name(), view -> hub.publishEverywhere(id, "job", view), progress -> {
            List<Found> found = found(stills, other, area, motion, reel.canvas(), progress);
            move(id, found, other, edges);
            return sentence(found, other);
        });
    }

    /** Takes out how the hand shook, from each still to the next. */
    Job steady(String id, List<Integer> frames, Edges edges) {
        Reel reel = reels.open(id).reel();
        List<Shown> stills = stills(reel, frames);
        if (stills.size() < 3) {
            throw new EditRejected("frames", "must be at least three that show stills");
        }
        if (edges == Edges.FILL) {
            throw new EditRejected("edges", "cannot be filled from one still where the view pans");
        }
        return jobs.start(id, "Steady " + reel.name(), view -> hub.publishEverywhere(id, "job", view), progress -> {
            List<Optional<Step>> steps = inParallel(
                    IntStream.range(0, stills.size()).boxed().toList(),
                    i -> i == 0
                            ? Optional.<Step>empty()
                            : Steadying.step(
                                    stills.get(i - 1).still(), stills.get(i).still(), pictures),
                    progress);
            List<Aligned> moved =
                    Steadying.steadied(stills.stream().map(Shown::still).toList(), steps);
            List<Moved> edits = IntStream.range(0, stills.size())
                    .mapToObj(i -> new Moved(stills.get(i).frame(), moved.get(i)))
                    .toList();
            edited(id, now -> edit(now, edits, edges == Edges.CROP));
            long cuts = steps.stream().skip(1).filter(Optional::isEmpty).count();
            return stills.size() + " frames are steadied."
                    + (cuts == 0
                            ? ""
                            : cuts == 1
                                    ? " At one place they do not match; it was taken for a cut."
                                    : " At " + cuts + " places they do not match; these were taken for cuts.");
        });
    }

    private static List<Shown> stills(Reel reel, List<Integer> frames) {
        return IntStream.range(0, reel.frames().size())
                .filter(i -> frames.contains(reel.frames().get(i).id()))
                .mapToObj(i -> shown(i + 1, reel.frames().get(i)))
                .flatMap(Optional::stream)
                .toList();
    }

    private static Optional<Shown> shown(int number, Frame frame) {
        return frame.content() instanceof Still still
                ? Optional.of(new Shown(number, frame.id(), still))
                : Optional.empty();
    }

    private List<Found> found(
            List<Shown> stills, Shown other, Area area, Motion motion, Size canvas, Progress progress) {
        LiningUp liningUp =
                turns.call(Urgency.LATER, () -> new LiningUp(other.still(), area, motion, canvas, pictures));
        return inParallel(stills, each -> new Found(each, liningUp.of(each.still())), progress);
    }

    /** @throws CancellationException where the job was cancelled; what is not begun by then is not done */
    private <T, V> List<V> inParallel(List<T> all, Function<T, V> work, Progress progress) {
        AtomicBoolean unwanted = new AtomicBoolean();
        List<CompletableFuture<V>> underWay = all.stream()
                .map(each -> CompletableFuture.supplyAsync(
                        () -> unwanted.get() ? null : work.apply(each), turns.at(Urgency.LATER)))
                .toList();
        try {
            List<V> done = new ArrayList<>();
            for (CompletableFuture<V> each : underWay) {
                progress.report(done.size(), all.size());
                done.add(each.join());
            }
            return done;
        } finally {
            unwanted.set(true);
        }
    }

    /** The light is found for what shows by then, in one step. */
    OpenReel evenLight(String id, List<Integer> frames) {
        return edited(id, reel -> {
            List<Shown> stills = stills(reel, frames);
            if (stills.size() < 3) {
                throw new EditRejected("frames", "must be at least three that show stills");
            }
            List<Light> lights = turns.call(
                    Urgency.NOW,
                    () -> EvenLight.of(stills.stream().map(Shown::still).toList(), pictures));
            return new LightStills(IntStream.range(0, stills.size())
                    .mapToObj(i -> new Lit(stills.get(i).frame(), lights.get(i)))
                    .toList());
        });
    }

    /** What others did to the reel meanwhile stays: frames that are still there are moved. */
    private void move(String id, List<Found> found, Shown other, Edges edges) {
        List<Moved> moved = found.stream()
                .filter(each -> each.place().isPresent())
                .map(each -> new Moved(each.shown().frame(), each.place().get()))
                .toList();
        edited(id, reel -> {
            Edit align = edit(reel, moved, edges == Edges.CROP);
            return edges == Edges.FILL
                    ? new Batch(List.of(new SetBackdrop(other.still()), align), align.title(reel))
                    : align;
        });
    }

    private OpenReel edited(String id, Function<Reel, Edit> change) {
        for (int attempt = 0; attempt < ATTEMPTS; attempt++) {
            OpenReel open = reels.open(id);
            try {
                return reels.edit(id, open.revision(), change.apply(open.reel()));
            } catch (StaleBase e) {
                // Someone was faster; what is there now is changed.
            }
        }
        throw new Refused(HttpStatus.CONFLICT, "The reel is changed all the time. Try again in a moment.");
    }

    /** Frames that were removed meanwhile are passed over. */
    private static Edit edit(Reel reel, List<Moved> wanted, boolean crops) {
        List<Integer> there = stills(reel, wanted.stream().map(Moved::frame).toList()).stream()
                .map(Shown::frame)
                .toList();
        List<Moved> moved =
                wanted.stream().filter(each -> there.contains(each.frame())).toList();
        AlignStills align = new AlignStills(moved);
        Reel lined = Edit.apply(align, reel);
        List<Still> stills = stills(lined, moved.stream().map(Moved::frame).toList()).stream()
                .map(Shown::still)
                .toList();
        Bounds box = crops ? LiningUp.common(stills, reel.canvas()) : Bounds.all(reel.canvas());
        return box.equals(Bounds.all(reel.canvas()))
                ? align
                : new Batch(
                        List.of(align, new CropCanvas(box.left(), box.top(), box.width(), box.height())),
                        align.title(reel));
    }

    private static String sentence(List<Found> found, Shown other) {
        List<String> strangers = found.stream()
                .filter(each -> each.place().isEmpty())
                .map(each -> String.valueOf(each.shown().number()))
                .toList();
        int lined = found.size() - strangers.size() - 1;
        String done = lined + (lined == 1 ? " frame lies" : " frames lie") + " on frame " + other.number() + ".";
        return strangers.isEmpty()
                ? done
                : done
                        + (strangers.size() == 1 ? " Frame " : " Frames ")
                        + strangers.stream().collect(Collectors.joining(", "))
                        + (strangers.size() == 1
                                ? " does not match and stays as it was."
                                : " do not match and stay as they were.");
    }
}
