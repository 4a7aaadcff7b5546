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
import dobbin.render.EvenLight;
import dobbin.render.LiningUp;
import dobbin.render.Steadying;
import dobbin.render.Steadying.Step;
import dobbin.server.jobs.Job;
import dobbin.server.jobs.Orders;
import dobbin.server.lining.LineUpController.LineUpRequest;
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
    private final Orders.Kind<LineUpRequest> kind;

    LineUps(Reels reels, PictureLibrary pictures, Turns turns, Orders orders) {
        this.reels = reels;
        this.pictures = pictures;
        this.turns = turns;
        this.kind = orders.kind("line-up", LineUpRequest.class, this::make);
    }

    /** A frame that shows a still alone, with its number from 1. */
    private record Shown(int number, int frame, Still still) {}

    /** @param place how it is to be moved, or empty where it does not match */
    private record Found(Shown shown, Optional<Aligned> place) {}

    /** @param area of the other one by which they are lined up */
    private record Plan(List<Shown> stills, Shown other, Area area) {}

    Job.View begin(String id, LineUpRequest wanted) {
        Reel reel = reels.open(id).reel();
        if (wanted.isSteadying()) {
            steadyable(reel, wanted);
            return kind.take(id, "Steady " + reel.name(), wanted).view();
        }
        plan(reel, wanted);
        return kind.take(id, "Line up " + reel.name(), wanted).view();
    }

    private String make(Orders.Order<LineUpRequest> order, Progress progress) {
        Reel reel = reels.open(order.reel()).reel();
        return order.request().isSteadying()
                ? steadied(order, steadyable(reel, order.request()), progress)
                : linedUp(order, plan(reel, order.request()), reel.canvas(), progress);
    }

    private static Plan plan(Reel reel, LineUpRequest wanted) {
        List<Shown> stills = stills(reel, wanted.frames());
        Shown other = stills.stream()
                .filter(each -> each.frame() == wanted.to())
                .findFirst()
                .orElseThrow(() -> new EditRejected("to", "must be one of the frames that show a still"));
        if (stills.size() < 2) {
            throw new EditRejected("frames", "must be at least two that show stills");
        }
        Bounds part = wanted.area().bounds();
        Area area = part.isEmpty()
                ? Area.ALL
                : LiningUp.shownAt(part, other.still(), reel.canvas())
                        .orElseThrow(() -> new EditRejected(
                                "area", "must show at least a tenth of the width and of the height of the still"));
        return new Plan(stills, other, area);
    }

    private static List<Shown> steadyable(Reel reel, LineUpRequest wanted) {
        List<Shown> stills = stills(reel, wanted.frames());
        if (stills.size() < 3) {
            throw new EditRejected("frames", "must be at least three that show stills");
        }
        if (wanted.edges() == Edges.FILL) {
            throw new EditRejected("edges", "cannot be filled from one still where the view pans");
        }
        return stills;
    }

    private String linedUp(Orders.Order<LineUpRequest> order, Plan plan, Size canvas, Progress progress) {
        LiningUp liningUp = turns.call(
                Urgency.LATER,
                () -> new LiningUp(
                        plan.other().still(), plan.area(), order.request().motion(), canvas, pictures));
        List<Found> found = inParallel(plan.stills(), each -> new Found(each, liningUp.of(each.still())), progress);
        String sentence = sentence(found, plan.other());
        move(order, found, plan.other(), () -> order.done(sentence));
        return sentence;
    }

    /** Takes out how the hand shook, from each still to the next. */
    private String steadied(Orders.Order<LineUpRequest> order, List<Shown> stills, Progress progress) {
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
        long cuts = steps.stream().skip(1).filter(Optional::isEmpty).count();
        String sentence = stills.size() + " frames are steadied."
                + (cuts == 0
                        ? ""
                        : cuts == 1
                                ? " At one place they do not match; it was taken for a cut."
                                : " At " + cuts + " places they do not match; these were taken for cuts.");
        boolean crops = order.request().edges() == Edges.CROP;
        edited(order.reel(), now -> edit(now, edits, crops), () -> order.done(sentence));
        return sentence;
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
        Function<Reel, Edit> evened = reel -> {
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
        };
        return edited(id, evened, () -> {});
    }

    /** Moves the frames that are still there; changes that others made meanwhile stay. */
    private void move(Orders.Order<LineUpRequest> order, List<Found> found, Shown other, Runnable alongside) {
        Edges edges = order.request().edges();
        List<Moved> moved = found.stream()
                .filter(each -> each.place().isPresent())
                .map(each -> new Moved(each.shown().frame(), each.place().get()))
                .toList();
        Function<Reel, Edit> lined = reel -> {
            Edit align = edit(reel, moved, edges == Edges.CROP);
            return edges == Edges.FILL
                    ? new Batch(List.of(new SetBackdrop(other.still()), align), align.title(reel))
                    : align;
        };
        edited(order.reel(), lined, alongside);
    }

    /** @param alongside done with the edit, in one transaction */
    private OpenReel edited(String id, Function<Reel, Edit> change, Runnable alongside) {
        for (int attempt = 0; attempt < ATTEMPTS; attempt++) {
            OpenReel open = reels.open(id);
            try {
                return reels.edit(id, open.revision(), change.apply(open.reel()), alongside);
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
