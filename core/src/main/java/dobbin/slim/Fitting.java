package dobbin.slim;

import dobbin.reel.Delivery;
import dobbin.reel.Framing;
import dobbin.slim.TrialSettings.Curve;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Finds the settings that look best under a budget.
 *
 * <p>For each way to dither, each tolerance, and where they may change each width and number of frames, a bisection finds
 * how many colors the budget allows, on a few frames. What these weigh and how they look is scaled by what the loop as it
 * is set weighs and looks like. The likeliest candidates are then encoded whole, the best-looking first, and each
 * corrects the scale, until none is left that is likely to look better.
 */
public final class Fitting {
    /** Whole encodings in the usual case; more only where none has fitted by then. */
    public static final int ENCODES = 8;

    /** A candidate this little over may fit after all. */
    private static final double NEARLY = 1.15;
    /** A setting whose estimated error is this many times that of the best is not tried. */
    private static final double NEARLY_AS_GOOD = 1.12;
    /** With so many framings, the other ways to dither are tried only where the usual one looks best. */
    private static final int BEST_FRAMINGS = 3;

    private static final int STEPS = 1_000;

    private final Trials trials;
    private final TrialSettings choices;
    private final int budget;
    private final Progress progress;
    private final List<Candidate> candidates = new ArrayList<>();
    private final Set<Delivery> tried = new HashSet<>();
    private double weightScale = 1;
    private double errorScale = 1;
    private int encodes;
    private int done;

    /**
     * @param best what looks best and fits, or null where nothing fits
     * @param smallest the lightest that was found where nothing fits, else the same as {@code best}
     * @param encodes how many settings were encoded whole
     */
    public record Result(Trial best, Trial smallest, int encodes) {}

    private record Candidate(Curve curve, int level, Trial some) {}

    private Fitting(Trials trials, int budget, Progress progress) {
        this.trials = trials;
        this.choices = new TrialSettings(trials.reel());
        this.budget = budget;
        this.progress = progress;
    }

    /**
     * @param mayNarrow whether the file may become narrower
     * @param mayThin whether it may have fewer frames
     * @throws java.util.concurrent.CancellationException from {@code progress}
     */
    public static Result fit(Trials trials, int budget, boolean mayNarrow, boolean mayThin, Progress progress) {
        return new Fitting(trials, budget, progress).search(mayNarrow, mayThin);
    }

    private Result search(boolean mayNarrow, boolean mayThin) {
        Delivery now = trials.reel().delivery();
        Trial asSet = trials.whole(now, this::step);
        learn(asSet, trials.some(now, this::step));
        List<Framing> framings = choices.framings(mayNarrow, mayThin);
        for (Framing framing : framings) {
            for (Curve curve : choices.curves(framing)) {
                if (framings.size() <= BEST_FRAMINGS || curve.usual()) {
                    look(curve);
                }
            }
        }
        if (framings.size() > BEST_FRAMINGS) {
            bestFramings().forEach(framing -> choices.curves(framing).forEach(this::look));
        }
        return choose(asSet.bytes() <= budget ? asSet : null);
    }

    /** @param asSet the loop as it is set, where that fits: others must look better */
    private Result choose(Trial asSet) {
        Trial best = asSet;
        Trial smallest = asSet;
        while (encodes < ENCODES) {
            Optional<Candidate> next = next(best);
            if (next.isEmpty() && (best != null || allTried())) {
                break;
            }
            // Where nothing seems to fit, the lightest may after all.
            Candidate candidate = next.orElseGet(this::lightest);
            Trial whole = encoded(candidate);
            smallest = smallest == null || whole.bytes() < smallest.bytes() ? whole : smallest;
            if (whole.bytes() <= budget && (best == null || whole.error() < best.error())) {
                best = whole;
            }
            learn(whole, candidate.some);
            look(candidate.curve);
            add(candidate.curve, candidate.level + (whole.bytes() <= budget ? -1 : 1));
        }
        if (best == null && !allTried()) {
            Trial lightest = encoded(lightest());
            smallest = lightest.bytes() < smallest.bytes() ? lightest : smallest;
            best = lightest.bytes() <= budget ? lightest : null;
        }
        return new Result(best, best == null ? smallest : best, encodes);
    }

    private boolean allTried() {
        return tried.containsAll(
                candidates.stream().map(each -> each.some.delivery()).toList());
    }

    private Optional<Candidate> next(Trial best) {
        return candidates.stream()
                .filter(each -> !tried.contains(each.some.delivery()))
                .filter(each -> weightScale * each.some.bytes() <= (best == null ? 1 : NEARLY) * budget)
                .filter(each -> best == null || errorScale * each.some.error() < NEARLY_AS_GOOD * best.error())
                .min(Comparator.comparingDouble(this::likelihood));
    }

    /** How it looks, and worse the farther over the budget it likely is: the least is tried first. */
    private double likelihood(Candidate candidate) {
        double over = Math.max(1, weightScale * candidate.some.bytes() / budget);
        return errorScale * candidate.some.error() * over * over * over;
    }

    private Trial encoded(Candidate candidate) {
        Delivery delivery = candidate.some.delivery();
        tried.add(delivery);
        if (!trials.knows(delivery)) {
            encodes++;
        }
        return trials.whole(delivery, this::step);
    }

    private void learn(Trial whole, Trial some) {
        weightScale = (double) whole.bytes() / some.bytes();
        if (some.error() > 0 && whole.error() > 0) {
            errorScale = whole.error() / some.error();
        }
    }

    /** The most colors that fit, by bisection, and one step more. */
    private void look(Curve curve) {
        int fits = choices.colors().size() - 1;
        int over = -1;
        while (fits - over > 1) {
            int middle = (fits + over) / 2;
            if (weightScale * add(curve, middle).bytes() <= budget) {
                fits = middle;
            } else {
                over = middle;
            }
        }
        add(curve, fits);
    }

    private Trial add(Curve curve, int level) {
        int within = Math.max(0, Math.min(choices.colors().size() - 1, level));
        Trial some = trials.some(curve.at(choices.colors().get(within)), this::step);
        Candidate candidate = new Candidate(curve, within, some);
        if (!candidates.contains(candidate)) {
            candidates.add(candidate);
        }
        return some;
    }

    private List<Framing> bestFramings() {
        return candidates.stream()
                .filter(each -> weightScale * each.some.bytes() <= budget)
                .sorted(Comparator.comparingDouble(each -> each.some.error()))
                .map(each -> each.some.delivery().framing())
                .distinct()
                .limit(BEST_FRAMINGS)
                .toList();
    }

    private Candidate lightest() {
        return candidates.stream()
                .filter(each -> !tried.contains(each.some.delivery()))
                .min(Comparator.comparingInt(each -> each.some.bytes()))
                .orElseThrow();
    }

    /** How long it takes is not known before; the share that is told never reaches the end before it. */
    private void step(int part, int total) {
        done++;
        progress.report((int) (STEPS * (1 - 200.0 / (200 + done))), STEPS);
    }
}
