package dobbin.reel;

import dobbin.raster.Size;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A loop in the making.
 *
 * @param frames in playing order, at most 2,000, ids all different
 * @param backdrop what lies behind all frames, and {@code border} what lies over them
 * @param cutouts the lowest first, ids all different
 * @param runs those that frames belong to; the frames of one follow one another
 * @param budgetBytes what the delivered file should stay under
 * @param dismissed keys of the notices that were read and are not to be shown again, at most 500
 * @param nextId what the next new frame or run gets, above all that were ever given
 */
public record Reel(
        String name,
        Size canvas,
        List<Frame> frames,
        List<Run> runs,
        Backdrop backdrop,
        List<Cutout> cutouts,
        Border border,
        Plays plays,
        Delivery delivery,
        int budgetBytes,
        List<String> dismissed,
        int nextId) {
    private static final Size FIRST_CANVAS = new Size(480, 320);
    private static final int FIRST_BUDGET_BYTES = 1_000_000;
    private static final int MAX_DELIVERED_PIXELS = 40_000_000;

    public Reel {
        name = Ranges.checkName("name", name);
        frames = List.copyOf(frames);
        runs = List.copyOf(runs);
        cutouts = List.copyOf(cutouts);
        dismissed = List.copyOf(dismissed);
        Ranges.check("frames", frames.size(), 0, Ranges.MAX_FRAMES);
        Ranges.check("budgetBytes", budgetBytes, Ranges.MIN_BUDGET_BYTES, Ranges.MAX_BUDGET_BYTES);
        Ranges.check("dismissed", dismissed.size(), 0, Ranges.MAX_DISMISSED);
        Ranges.check("width", canvas.width(), 1, Ranges.MAX_SIDE);
        Ranges.check("height", canvas.height(), 1, Ranges.MAX_SIDE);
        if (canvas.withWidth(delivery.width()).area() > MAX_DELIVERED_PIXELS) {
            throw new OutOfRange("width", "of " + delivery.width() + " makes pictures of this canvas too high");
        }
        checkFrames(frames, nextId);
        checkRuns(frames, runs);
        if (backdrop == null || border == null) {
            throw new OutOfRange(backdrop == null ? "backdrop" : "border", "must be given");
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
                Delivery.usualFor(FIRST_CANVAS),
                FIRST_BUDGET_BYTES,
                List.of(),
                1);
    }

    public Reel withName(String newName) {
        return new Reel(
                newName,
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
                nextId);
    }

    public Reel withFrames(List<Frame> newFrames) {
        return withFrames(newFrames, nextId);
    }

    /** Runs that no frame belongs to any more are gone. */
    public Reel withFrames(List<Frame> newFrames, int newNextId) {
        return with(newFrames, runs, newNextId);
    }

    /** As above, with {@code newRuns} for those it has. Poses on frames that are gone move to their neighbors. */
    public Reel with(List<Frame> newFrames, List<Run> newRuns, int newNextId) {
        Set<Integer> used = newFrames.stream().map(Frame::run).collect(Collectors.toSet());
        List<Run> kept = newRuns.stream().filter(run -> used.contains(run.id())).toList();
        List<Cutout> moved = new KeysKept(frames, newFrames).of(cutouts);
        return new Reel(
                name,
                canvas,
                newFrames,
                kept,
                backdrop,
                moved,
                border,
                plays,
                delivery,
                budgetBytes,
                dismissed,
                newNextId);
    }

    public Reel withCanvas(Size newCanvas, Delivery newDelivery) {
        return new Reel(
                name,
                newCanvas,
                frames,
                runs,
                backdrop,
                cutouts,
                border,
                plays,
                newDelivery,
                budgetBytes,
                dismissed,
                nextId);
    }

    public Reel withBackdrop(Backdrop newBackdrop) {
        return new Reel(
                name,
                canvas,
                frames,
                runs,
                newBackdrop,
                cutouts,
                border,
                plays,
                delivery,
                budgetBytes,
                dismissed,
                nextId);
    }

    public Reel withCutouts(List<Cutout> newCutouts) {
        return withCutouts(newCutouts, nextId);
    }

    public Reel withCutouts(List<Cutout> newCutouts, int newNextId) {
        return new Reel(
                name,
                canvas,
                frames,
                runs,
                backdrop,
                newCutouts,
                border,
                plays,
                delivery,
                budgetBytes,
                dismissed,
                newNextId);
    }

    public Reel withBorder(Border newBorder) {
        return new Reel(
                name,
                canvas,
                frames,
                runs,
                backdrop,
                cutouts,
                newBorder,
                plays,
                delivery,
                budgetBytes,
                dismissed,
                nextId);
    }

    public Reel withPlays(Plays newPlays) {
        return new Reel(
                name,
                canvas,
                frames,
                runs,
                backdrop,
                cutouts,
                border,
                newPlays,
                delivery,
                budgetBytes,
                dismissed,
                nextId);
    }

    public Reel withDelivery(Delivery newDelivery) {
        return new Reel(
                name,
                canvas,
                frames,
                runs,
                backdrop,
                cutouts,
                border,
                plays,
                newDelivery,
                budgetBytes,
                dismissed,
                nextId);
    }

    public Reel withBudget(int newBudgetBytes) {
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
                newBudgetBytes,
                dismissed,
                nextId);
    }

    public Reel withDismissed(List<String> newDismissed) {
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
                newDismissed,
                nextId);
    }

    /** @return the frames that play, which are those not left out */
    public List<Frame> loop() {
        return frames.stream().filter(frame -> !frame.leftOut()).toList();
    }

    /** @return the delays of the frames that play */
    public int[] loopDelaysMillis() {
        return loop().stream().mapToInt(Frame::delayMillis).toArray();
    }

    /** @return the size of the delivered file's pictures */
    public Size deliveredSize() {
        return canvas.withWidth(delivery.width());
    }

    /** @return all uploaded pictures the document uses */
    public Set<PictureRef> pictures() {
        Set<PictureRef> used = new LinkedHashSet<>();
        frames.forEach(frame -> addPictures(frame.content(), used));
        if (backdrop instanceof Still still) {
            used.add(still.ref());
        }
        for (Cutout cutout : cutouts) {
            cutout.deeply(each -> {
                if (each.art() instanceof Cycle cycle) {
                    used.addAll(cycle.pictures());
                }
                return each;
            });
        }
        return used;
    }

    private static void addPictures(FrameContent content, Set<PictureRef> used) {
        if (content instanceof Still still) {
            used.add(still.ref());
        } else if (content instanceof CrossFade fade) {
            addPictures(fade.from(), used);
            addPictures(fade.to(), used);
        }
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
        for (int end : List.of(cutout.firstFrame(), cutout.lastFrame())) {
            if (end != Cutout.OPEN && !frames.contains(end)) {
                throw new OutOfRange("firstFrame", "and lastFrame of " + cutout.name() + " must be in this reel");
            }
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
}
