package dobbin.slim;

import dobbin.dither.Dither;
import dobbin.raster.Parallel;
import dobbin.raster.Size;
import dobbin.reel.Delivery;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import java.util.stream.Stream;

/**
 * Tries a spread of settings, those first whose weight is likely near the budget. Two at a time: choosing a palette is work
 * for one processor, and the other codes meanwhile.
 */
public final class Explorer {
    private static final int AT_A_TIME = 2;

    private final Trials trials;
    private final int budget;
    private final Consumer<Trial> found;
    private final Progress progress;
    private final List<Delivery> left;
    private final int all;
    private volatile int begun;
    /** Bytes for each unit of {@link #guess}, as the latest trial had it; 0 before the first. */
    private double scale;

    private Explorer(Trials trials, int budget, Consumer<Trial> found, Progress progress) {
        this.trials = trials;
        this.budget = budget;
        this.found = found;
        this.progress = progress;
        this.left = new ArrayList<>(new TrialSettings(trials.reel())
                .spread().stream().filter(delivery -> !trials.knows(delivery)).toList());
        this.all = left.size();
    }

    /**
     * @param found told of each trial as soon as it is made, one at a time
     * @throws java.util.concurrent.CancellationException from {@code progress}; what was found stays found
     */
    public static void explore(Trials trials, int budgetBytes, Consumer<Trial> found, Progress progress) {
        Explorer explorer = new Explorer(trials, budgetBytes, found, progress);
        ExecutorService threads = Executors.newFixedThreadPool(AT_A_TIME);
        try {
            Parallel.join(
                    CompletableFuture.allOf(Stream.generate(() -> CompletableFuture.runAsync(explorer::work, threads))
                            .limit(AT_A_TIME)
                            .toArray(CompletableFuture[]::new)));
        } finally {
            threads.shutdown();
        }
    }

    private void work() {
        for (Optional<Delivery> next = next(); next.isPresent(); next = next()) {
            took(trials.whole(next.get(), (part, total) -> report()));
        }
    }

    private synchronized Optional<Delivery> next() {
        report();
        Optional<Delivery> next = scale == 0
                ? left.stream().skip(left.size() / 2).findFirst()
                : left.stream().min(Comparator.comparingDouble(this::farFromBudget));
        next.ifPresent(left::remove);
        begun = all - left.size();
        return next;
    }

    private synchronized void took(Trial trial) {
        scale = trial.bytes() / guess(trial.delivery());
        found.accept(trial);
    }

    private void report() {
        progress.report(Math.max(0, begun - AT_A_TIME), all);
    }

    private double farFromBudget(Delivery delivery) {
        return Math.abs(Math.log(scale * guess(delivery) / budget));
    }

    /** About how settings weigh against one another, of most loops; only the order of trials depends on it. */
    private double guess(Delivery delivery) {
        Size size = delivery.sizeOf(trials.reel().canvas());
        double bits = Math.log(delivery.colors()) / Math.log(2);
        double frames = 1.0 / delivery.framing().every();
        double dither = delivery.dither() == Dither.NONE ? 0.7 : 1;
        double tolerance = 1 - delivery.encoding().tolerance() / 200.0;
        return size.area() * frames * Math.pow(bits, 1.3) * dither * tolerance;
    }
}
