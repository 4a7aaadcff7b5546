package dobbin.reel;

import dobbin.lettering.OwnTypeface;
import dobbin.raster.Size;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.IntUnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A loop in the making.
 *
 * @param frames in playing order, at most 2,000, ids all different
 * @param backdrop what lies behind all frames, and {@code border} what lies over them
 * @param cutouts the lowest first, ids all different
 * @param runs those that frames belong to; the frames of one follow one another
 * @param budgetBytes what the delivered file should stay under
 * @param dismissed keys of the notices that were read and are not to be shown again, at most 500
 * @param swatches colors to draw with, the one used last first, six hexadecimal digits each
 * @param sharing how it is shown to those who do not see it move
 * @param nextId what the next new frame or run gets, above all that were ever given
 */
public record Reel(
        String name,
        Size canvas,

        @jakarta.validation.constraints.Size(max = Ranges.MAX_FRAMES)
        List<Frame> frames,

        List<Run> runs,
        Backdrop backdrop,
        List<Cutout> cutouts,
        Border border,
        Plays plays,
        Delivery delivery,

        @Min(Ranges.MIN_BUDGET_BYTES) @Max(Ranges.MAX_BUDGET_BYTES)
        int budgetBytes,

        @jakarta.validation.constraints.Size(max = Ranges.MAX_DISMISSED)
        List<String> dismissed,

        @jakarta.validation.constraints.Size(max = Ranges.MAX_SWATCHES)
        List<String> swatches,

        Sharing sharing,

        @Min(1) @Max(Ranges.MAX_NEXT_ID) int nextId) {
    private static final Size FIRST_CANVAS = new Size(480, 320);
    private static final int FIRST_BUDGET_BYTES = 1_000_000;

    public Reel {
        name = Ranges.checkName("name", name);
        frames = List.copyOf(frames);
        runs = List.copyOf(runs);
        cutouts = List.copyOf(cutouts);
        dismissed = List.copyOf(dismissed);
        swatches = List.copyOf(swatches);
        Ranges.check(Reel.class, "frames", frames.size());
        Ranges.check(Reel.class, "budgetBytes", budgetBytes);
        Ranges.check(Reel.class, "dismissed", dismissed.size());
        Ranges.check(Reel.class, "swatches", swatches.size());
        swatches.forEach(color -> Ranges.checkColor("swatches", color));
        Ranges.check("width", canvas.width(), 1, Ranges.MAX_SIDE);
        Ranges.check("height", canvas.height(), 1, Ranges.MAX_SIDE);
        delivery.framing().checkOn(canvas);
        Ranges.check(Reel.class, "nextId", nextId);
        checkFrames(frames, nextId);
        checkRuns(frames, runs);
        if (backdrop == null || border == null || sharing == null) {
            throw new OutOfRange(
                    backdrop == null ? "backdrop" : border == null ? "border" : "sharing", "must be given");
        }
        checkCutouts(frames, cutouts, nextId);
    }

    /** @return a reel without frames; its canvas is settled by the first stills it gets */
    public static Reel empty(String name) {
        return new Reel(
                name,
                FIRST_CANVAS,
                List.of(),
                List.of(),
                Fill.NONE,
                List.of(),
                Border.NONE,
                Plays.FOREVER,
                Delivery.USUAL,
                FIRST_BUDGET_BYTES,
                List.of(),
                List.of(),
                Sharing.USUAL,
                1);
    }

    public Reel withName(String newName) {
        return copy(it -> it.name = newName);
    }

    public Reel withFrames(List<Frame> newFrames) {
        return withFrames(newFrames, nextId);
    }

    /** Runs that no frame belongs to any more are gone. */
    public Reel withFrames(List<Frame> newFrames, int newNextId) {
        return with(newFrames, runs, newNextId);
    }

    /** @param newRuns for those it has; runs that no frame belongs to are left out */
    public Reel with(List<Frame> newFrames, List<Run> newRuns, int newNextId) {
        return with(newFrames, newRuns, newNextId, frame -> frame);
    }

    /**
     * Gives the reel other frames. Each frame that stays or is a copy shows cut-outs as it did.
     *
     * @param source the id of the frame of this reel that a frame of {@code newFrames} shows cut-outs like; one it has not
     *     for new frames
     */
    public Reel with(List<Frame> newFrames, List<Run> newRuns, int newNextId, IntUnaryOperator source) {
        Set<Integer> used = newFrames.stream().map(Frame::run).collect(Collectors.toSet());
        return copy(it -> {
            it.frames = newFrames;
            it.runs = newRuns.stream().filter(run -> used.contains(run.id())).toList();
            it.cutouts = dealt(new CarriedCutouts(frames, newFrames, source).of(cutouts), newFrames);
            it.sharing = sharing.among(newFrames);
            it.nextId = newNextId;
        });
    }

    /** The crop of the delivery is cut to the new canvas. */
    public Reel withCanvas(Size newCanvas) {
        Framing framing = delivery.framing();
        return withCanvas(newCanvas, framing.withCrop(framing.crop().within(newCanvas)));
    }

    /** @param framing what of the new canvas is delivered, and how large */
    public Reel withCanvas(Size newCanvas, Framing framing) {
        return copy(it -> {
            it.canvas = newCanvas;
            it.delivery = delivery.with(framing);
        });
    }

    public Reel withBackdrop(Backdrop newBackdrop) {
        return copy(it -> it.backdrop = newBackdrop);
    }

    public Reel withCutouts(List<Cutout> newCutouts) {
        return withCutouts(newCutouts, nextId);
    }

    /** Cycles whose pictures no frame has been dealt yet are dealt. */
    public Reel withCutouts(List<Cutout> newCutouts, int newNextId) {
        return copy(it -> {
            it.cutouts = dealt(newCutouts, frames);
            it.nextId = newNextId;
        });
    }

    public Reel withBorder(Border newBorder) {
        return copy(it -> it.border = newBorder);
    }

    public Reel withPlays(Plays newPlays) {
        return copy(it -> it.plays = newPlays);
    }

    public Reel withDelivery(Delivery newDelivery) {
        return copy(it -> it.delivery = newDelivery);
    }

    public Reel withBudget(int newBudgetBytes) {
        return copy(it -> it.budgetBytes = newBudgetBytes);
    }

    public Reel withDismissed(List<String> newDismissed) {
        return copy(it -> it.dismissed = newDismissed);
    }

    public Reel withSwatches(List<String> newSwatches) {
        return copy(it -> it.swatches = newSwatches);
    }

    public Reel withSharing(Sharing newSharing) {
        return copy(it -> it.sharing = newSharing);
    }

    /** @return the frames that play, which are those not left out */
    public List<Frame> loop() {
        return frames.stream().filter(frame -> !frame.leftOut()).toList();
    }

    /** @return the delays of the frames that play */
    public int[] loopDelaysMillis() {
        return loop().stream().mapToInt(Frame::delayMillis).toArray();
    }

    /** @return the frames that are delivered: every one of those that play, or every so many */
    public List<Frame> deliveredFrames() {
        List<Frame> loop = loop();
        int every = delivery.framing().every();
        return IntStream.range(0, loop.size())
                .filter(i -> i % every == 0)
                .mapToObj(loop::get)
                .toList();
    }

    /** @return how long each of them shows: as long as it and those that are passed over after it */
    public int[] deliveredDelaysMillis() {
        int[] loop = loopDelaysMillis();
        int every = delivery.framing().every();
        int[] delivered = new int[(loop.length + every - 1) / every];
        for (int i = 0; i < loop.length; i++) {
            delivered[i / every] += loop[i];
        }
        return delivered;
    }

    /** @return the size of the delivered file's pictures */
    public Size deliveredSize() {
        return delivery.sizeOf(canvas);
    }

    /** @return all uploaded pictures the document uses */
    public Set<PictureRef> pictures() {
        return UsedFiles.pictures(this);
    }

    /** @return all typefaces the document uses whose files were brought */
    public Set<OwnTypeface> typefaces() {
        return UsedFiles.typefaces(this);
    }

    /** @return the names of all files the document uses: pictures, and typefaces that were brought */
    public Set<String> fileNames() {
        return Stream.concat(
                        pictures().stream().map(PictureRef::picture),
                        typefaces().stream().map(OwnTypeface::file))
                .collect(Collectors.toSet());
    }

    private static void checkFrames(List<Frame> frames, int nextId) {
        Set<Integer> ids = new HashSet<>();
        for (Frame frame : frames) {
            if (!ids.add(frame.id()) || frame.id() >= nextId) {
                throw new OutOfRange("frames", "must have ids that are all different and below " + nextId);
            }
        }
    }

    private static void checkCutouts(List<Frame> frames, List<Cutout> cutouts, int nextId) {
        Ranges.check("cutouts", cutouts.size(), 0, Ranges.MAX_CUTOUTS);
        CutoutTotals.of(cutouts).check("cutouts", frames.size());
        Set<Integer> here = frames.stream().map(Frame::id).collect(Collectors.toSet());
        Set<Integer> ids = new HashSet<>();
        for (Cutout cutout : cutouts) {
            if (!ids.add(cutout.id()) || cutout.id() >= nextId) {
                throw new OutOfRange("cutouts", "must have ids that are all different and below " + nextId);
            }
            cutout.deeply(each -> checkedPlaces(each, here));
        }
    }

    private static Cutout checkedPlaces(Cutout cutout, Set<Integer> frames) {
        for (Key key : cutout.keys()) {
            if (!frames.contains(key.frame()) && !(frames.isEmpty() && key.frame() == Key.NO_FRAME)) {
                throw new OutOfRange("keys", "of " + cutout.name() + " must be on frames of this reel");
            }
        }
        if (!frames.containsAll(cutout.away())
                || !frames.containsAll(cutout.shows().keySet())) {
            throw new OutOfRange("away", "and shows of " + cutout.name() + " must name frames of this reel");
        }
        return cutout;
    }

    private static void checkRuns(List<Frame> frames, List<Run> runs) {
        Map<Integer, Integer> lastPlaces = new HashMap<>();
        for (int i = 0; i < frames.size(); i++) {
            int run = frames.get(i).run();
            Integer last = run == Run.NONE ? null : lastPlaces.put(run, i);
            if (last != null && last != i - 1) {
                throw new OutOfRange("runs", "must each be of frames that follow one another");
            }
        }
        Set<Integer> named = runs.stream().map(Run::id).collect(Collectors.toSet());
        if (named.size() != runs.size() || !named.equals(lastPlaces.keySet())) {
            throw new OutOfRange("runs", "must be those that frames belong to");
        }
    }

    private static List<Cutout> dealt(List<Cutout> cutouts, List<Frame> frames) {
        return cutouts.stream().map(cutout -> Dealing.dealt(cutout, frames)).toList();
    }

    private Reel copy(Consumer<Draft> change) {
        Draft draft = new Draft(this);
        change.accept(draft);
        return draft.reel();
    }

    /** The fields while a changed copy is made of them. */
    private static final class Draft {
        private String name;
        private Size canvas;
        private List<Frame> frames;
        private List<Run> runs;
        private Backdrop backdrop;
        private List<Cutout> cutouts;
        private Border border;
        private Plays plays;
        private Delivery delivery;
        private int budgetBytes;
        private List<String> dismissed;
        private List<String> swatches;
        private Sharing sharing;
        private int nextId;

        Draft(Reel from) {
            name = from.name;
            canvas = from.canvas;
            frames = from.frames;
            runs = from.runs;
            backdrop = from.backdrop;
            cutouts = from.cutouts;
            border = from.border;
            plays = from.plays;
            delivery = from.delivery;
            budgetBytes = from.budgetBytes;
            dismissed = from.dismissed;
            swatches = from.swatches;
            sharing = from.sharing;
            nextId = from.nextId;
        }

        Reel reel() {
            return new Reel(
                    name,
                    canvas,
                    frames,
                    runs,
                    backdrop,
                    cutouts,
                    border,
                    plays,
                    delivery,
                    budgetBytes,
                    dismissed,
                    swatches,
                    sharing,
                    nextId);
        }
    }
}
