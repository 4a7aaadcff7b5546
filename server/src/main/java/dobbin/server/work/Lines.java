package dobbin.server.work;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.FutureTask;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.atomic.AtomicInteger;
import org.slf4j.MDC;

/**
 * Threads that are shared out fairly. What is more urgent comes first; among what is equally urgent everybody has a line of their
 * own, and the lines are served in turn, so that nobody waits longer because another asked for much (round robin; J. Nagle, "On
 * Packet Switches with Infinite Storage", RFC 970, 1985).
 */
public final class Lines {
    private static final int UNBOUNDED = Integer.MAX_VALUE;

    /** How many pieces may run at once. */
    public interface Most {
        /** @param urgency 0 for the most urgent */
        int of(int urgency);
    }

    private final Executor threads;
    /** By urgency, then by whose they are, the next to be served first. */
    private final List<Map<String, Deque<Runnable>>> waiting = new ArrayList<>();

    private final Most most;
    private final int mostOfOne;
    private final int mostWaiting;
    private final int[] running;
    private final Map<String, Integer> runningOf = new HashMap<>();
    private int free;
    private int waits;
    private boolean stopped;

    /**
     * @param threads run whatever they are given at once
     * @param urgencies how many there are
     * @param most of each urgency at a time
     * @param mostOfOne how many threads one person's work may take
     * @param mostWaiting how much may wait, all in all
     */
    Lines(Executor threads, int threadCount, int urgencies, Most most, int mostOfOne, int mostWaiting) {
        this.threads = threads;
        this.most = most;
        this.mostOfOne = mostOfOne;
        this.mostWaiting = mostWaiting;
        this.running = new int[urgencies];
        this.free = threadCount;
        for (int i = 0; i < urgencies; i++) {
            waiting.add(new LinkedHashMap<>());
        }
    }

    private static ExecutorService threads(String name, int count) {
        AtomicInteger number = new AtomicInteger();
        return Executors.newFixedThreadPool(count, work -> {
            Thread thread = new Thread(work, name + " " + number.incrementAndGet());
            thread.setDaemon(true);
            return thread;
        });
    }

    /** Of equally urgent work, with as many threads for one person as there are. */
    public static Lines of(String name, int threads) {
        return new Lines(threads(name, threads), threads, 1, urgency -> threads, threads, UNBOUNDED);
    }

    /** Of equally urgent work; one person's takes at most {@code mostOfOne} threads, and so much may wait. */
    public static Lines bounded(String name, int threads, int mostOfOne, int mostWaiting) {
        return new Lines(threads(name, threads), threads, 1, urgency -> threads, mostOfOne, mostWaiting);
    }

    public static Lines byUrgency(String name, int threads, int urgencies, Most most) {
        return new Lines(threads(name, threads), threads, urgencies, most, threads, UNBOUNDED);
    }

    public void execute(Runnable work) {
        execute(0, work);
    }

    /** @return what comes of it */
    public <V> Future<V> submit(Callable<V> work) {
        FutureTask<V> task = new FutureTask<>(work);
        execute(task);
        return task;
    }

    /**
     * Does it in its turn, for whom the current thread works.
     *
     * @throws RejectedExecutionException where too much waits, or after the end
     */
    public synchronized void execute(int urgency, Runnable work) {
        if (stopped || waits >= mostWaiting) {
            throw new RejectedExecutionException("Too much is waiting");
        }
        waits++;
        waiting.get(urgency)
                .computeIfAbsent(Requester.now(), whose -> new ArrayDeque<>())
                .add(traced(work));
        serve();
    }

    /** @return the same, whose lines in the log say for which request it is */
    private static Runnable traced(Runnable work) {
        Map<String, String> context = MDC.getCopyOfContextMap();
        if (context == null || context.isEmpty()) {
            return work;
        }
        return () -> {
            MDC.setContextMap(context);
            try {
                work.run();
            } finally {
                MDC.clear();
            }
        };
    }

    public synchronized void stop() {
        stopped = true;
        waiting.forEach(Map::clear);
        if (threads instanceof ExecutorService pool) {
            pool.shutdownNow();
        }
    }

    private void serve() {
        for (int urgency = 0; urgency < running.length && free > 0; urgency++) {
            while (free > 0 && running[urgency] < most.of(urgency) && serveNext(urgency)) {
                free--;
            }
        }
    }

    /** @return whether one of that urgency was begun */
    private boolean serveNext(int urgency) {
        Optional<String> next = next(waiting.get(urgency));
        next.ifPresent(whose -> begin(urgency, whose));
        return next.isPresent();
    }

    private Optional<String> next(Map<String, Deque<Runnable>> lines) {
        return lines.keySet().stream()
                .filter(whose -> runningOf.getOrDefault(whose, 0) < mostOfOne)
                .findFirst();
    }

    /** A person who was served goes to the end of the line. */
    private void begin(int urgency, String whose) {
        Map<String, Deque<Runnable>> lines = waiting.get(urgency);
        Deque<Runnable> line = lines.remove(whose);
        Runnable work = line.poll();
        if (!line.isEmpty()) {
            lines.put(whose, line);
        }
        waits--;
        running[urgency]++;
        runningOf.merge(whose, 1, Integer::sum);
        threads.execute(() -> {
            Requester.While theirs = Requester.is(whose);
            try {
                work.run();
            } finally {
                theirs.close();
                ended(urgency, whose);
            }
        });
    }

    private synchronized void ended(int urgency, String whose) {
        free++;
        running[urgency]--;
        runningOf.computeIfPresent(whose, (who, count) -> count == 1 ? null : count - 1);
        if (!stopped) {
            serve();
        }
    }
}
