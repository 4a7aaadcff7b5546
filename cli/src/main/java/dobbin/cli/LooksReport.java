package dobbin.cli;

import dobbin.reel.Delivery;
import dobbin.reel.Reel;
import dobbin.render.Pictures;
import dobbin.slim.Explorer;
import dobbin.slim.Fitting;
import dobbin.slim.KeptLoop;
import dobbin.slim.Progress;
import dobbin.slim.Slim;
import dobbin.slim.Stages;
import dobbin.slim.Trial;
import dobbin.slim.TrialSettings;
import dobbin.slim.Trials;
import java.io.PrintWriter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;

/** What settings cost and how long they take to turn, for people to read. */
final class LooksReport {
    private static final int[] COLORS = {256, 64, 16};
    private static final int TURNS = 20;
    /** Turns before those that count: what is measured is a program that has run for some seconds. */
    private static final int WARM_UP = 40;

    private static final double NANOS = 1e6;
    /** Budgets as shares of what the heaviest setting weighs. */
    private static final double[] BUDGETS = {0.75, 0.5, 0.35, 0.25, 0.15};

    private final PrintWriter out;

    LooksReport(PrintWriter out) {
        this.out = out;
    }

    private static Trials trials(Reel reel, Pictures pictures) {
        KeptLoop kept = new KeptLoop(pictures);
        return new Trials(new Slim(FrameThreads.ALL, Stages.UNTOLD, kept), reel, kept, FrameThreads.ALL);
    }

    /** Each demo reel at three numbers of colors. */
    void demo(List<DemoLoops.Loop> loops) {
        out.printf(Locale.ROOT, "%-26s %8s %10s %14s %8s%n", "reel", "colors", "bytes", "visible error", "worst");
        for (DemoLoops.Loop loop : loops) {
            Trials trials = trials(loop.reel(), loop.pictures());
            for (int colors : COLORS) {
                Trial trial = trials.whole(loop.reel().delivery().withColors(colors), Progress.NONE);
                out.printf(
                        Locale.ROOT,
                        "%-26s %8d %,10d %14.3f %8.3f%n",
                        loop.reel().name(),
                        colors,
                        trial.bytes(),
                        trial.error(),
                        trial.looks().worstError());
            }
        }
        out.flush();
    }

    /** How long it takes from a turned setting to the file, the drawn frames being known, and how long exploring takes. */
    void turns(Reel reel, Pictures pictures) {
        KeptLoop kept = new KeptLoop(pictures);
        Slim slim = new Slim(FrameThreads.ALL, Stages.UNTOLD, kept);
        Delivery usual = reel.delivery();
        int width = reel.deliveredSize().width();
        for (int i = 0; i < WARM_UP; i++) {
            slim.encode(reel.withDelivery(usual.withColors(255 - i)), kept, Progress.NONE);
        }
        out.printf(Locale.ROOT, "%-12s %10s %10s%n", "turned", "median ms", "worst ms");
        turn("colors", i -> usual.withColors(40 + 10 * i), slim, reel, kept);
        turn("dither", i -> usual.withDithering(usual.dither(), 60 + 2 * i), slim, reel, kept);
        turn("tolerance", i -> usual.withTolerance(2 * i + 1), slim, reel, kept);
        turn("width", i -> usual.withWidth(width - 2 * i - 2), slim, reel, kept);
        double once = median(IntStream.range(0, TURNS)
                .mapToDouble(i -> time(usual, new Slim(FrameThreads.ALL), reel, new KeptLoop(pictures)))
                .toArray());
        Trials trials = trials(reel, pictures);
        trials.whole(usual, Progress.NONE);
        List<Trial> found = new ArrayList<>();
        long start = System.nanoTime();
        Explorer.explore(trials, reel.budgetBytes(), found::add, Progress.NONE);
        double millis = (System.nanoTime() - start) / NANOS;
        out.printf(
                Locale.ROOT,
                "%d tries took %.0f ms, %.1f times one encode of %.0f ms%n",
                found.size(),
                millis,
                millis / once,
                once);
        out.flush();
    }

    private interface Turn {
        Delivery at(int i);
    }

    private void turn(String name, Turn turn, Slim slim, Reel reel, KeptLoop kept) {
        double[] millis = times(turn, slim, reel, kept);
        out.printf(
                Locale.ROOT,
                "%-12s %10.0f %10.0f%n",
                name,
                median(millis),
                Arrays.stream(millis).max().orElseThrow());
    }

    private static double[] times(Turn turn, Slim slim, Reel reel, KeptLoop kept) {
        double[] millis = new double[TURNS];
        for (int i = 0; i < TURNS; i++) {
            millis[i] = time(turn.at(i), slim, reel, kept);
        }
        return millis;
    }

    private static double time(Delivery delivery, Slim slim, Reel reel, KeptLoop kept) {
        Reel turned = reel.withDelivery(delivery);
        long start = System.nanoTime();
        Slim.file(slim.encode(turned, kept, Progress.NONE), turned);
        return (System.nanoTime() - start) / NANOS;
    }

    private static double median(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return (sorted[sorted.length / 2] + sorted[(sorted.length - 1) / 2]) / 2;
    }

    /** What fitting finds under several budgets, beside the best of a search that leaves nothing out. */
    void fits(DemoLoops.Loop loop, boolean mayNarrow) {
        Reel reel = loop.reel();
        Trials all = trials(reel, loop.pictures());
        List<Trial> full = new TrialSettings(reel)
                .all(mayNarrow, false).stream()
                        .map(delivery -> all.whole(delivery, Progress.NONE))
                        .toList();
        int heaviest = full.stream().mapToInt(Trial::bytes).max().orElseThrow();
        for (double share : BUDGETS) {
            int budget = (int) (share * heaviest);
            Optional<Trial> best = full.stream()
                    .filter(trial -> trial.bytes() <= budget)
                    .min(Comparator.comparingDouble(Trial::error));
            Trials fresh = trials(reel, loop.pictures());
            fresh.whole(reel.delivery(), Progress.NONE);
            Fitting.Result found = Fitting.fit(fresh, budget, mayNarrow, false, Progress.NONE);
            out.printf(
                    Locale.ROOT,
                    "%-26s %,9d  best of %d: %s  found: %s  %+.1f %%  %d encodes%n",
                    reel.name(),
                    budget,
                    full.size(),
                    best.map(LooksReport::said).orElse("none"),
                    found.best() == null ? "none" : said(found.best()),
                    best.isPresent() && found.best() != null ? percentAbove(found.best(), best.get()) : 0,
                    found.encodes());
            out.flush();
        }
    }

    private static double percentAbove(Trial found, Trial best) {
        return found.error() == best.error() ? 0 : 100 * (found.error() / best.error() - 1);
    }

    private static String said(Trial trial) {
        UnaryOperator<String> lower = text -> text.toLowerCase(java.util.Locale.ROOT);
        return String.format(
                Locale.ROOT,
                "%.3f (%d %s t%d)",
                trial.error(),
                trial.delivery().colors(),
                lower.apply(trial.delivery().dither().name()),
                trial.delivery().encoding().tolerance());
    }
}
