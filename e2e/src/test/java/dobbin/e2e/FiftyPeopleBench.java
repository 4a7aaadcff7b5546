package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.server.Bench;
import dobbin.skerry.DemoFile;
import dobbin.skerry.SkerryPoint;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/**
 * Fifty people edit, each a reel of their own, with pauses as people make them; one of them has a reel of 2,000 frames encoded all
 * the time. Prints how long answers took. Not a test of every run: {@code -Dtest=FiftyPeopleBench}, with {@code -Dpeople=50
 * -Dseconds=60}.
 */
@Bench
class FiftyPeopleBench {
    private static final int PEOPLE = Integer.getInteger("people", 50);
    private static final int SECONDS = Integer.getInteger("seconds", 60);
    private static final int FRAMES = 12;
    private static final List<DemoFile> STILLS = SkerryPoint.sunrise().files().subList(0, FRAMES);
    private static final int SHORTEST_PAUSE_MILLIS = 500;
    private static final int LONGEST_PAUSE_MILLIS = 3_000;

    private final AtomicBoolean over = new AtomicBoolean();
    private final AtomicInteger failures = new AtomicInteger();
    private final List<Long> edits = Collections.synchronizedList(new ArrayList<>());
    private final List<Long> pictures = Collections.synchronizedList(new ArrayList<>());
    private final AtomicInteger explored = new AtomicInteger();
    private App app;

    @Test
    void editsAreAnsweredAtOnceWhoeverEncodes(@TempDir Path folder) throws Exception {
        Path data = folder.resolve("data");
        Person.invite(data, PEOPLE);
        app = App.start(data);
        ExecutorService threads = Executors.newFixedThreadPool(PEOPLE);
        try {
            List<Callable<Void>> work = new ArrayList<>();
            for (int i = 0; i < PEOPLE; i++) {
                Person person = new Person(app, i, failures);
                person.begin(STILLS);
                Random random = new Random(i);
                work.add(i == 0 ? () -> encode(person) : () -> edit(person, random));
            }
            List<Future<Void>> all = work.stream().map(threads::submit).toList();
            Thread.sleep(Duration.ofSeconds(SECONDS).toMillis());
            over.set(true);
            for (Future<Void> each : all) {
                each.get();
            }
        } finally {
            threads.shutdownNow();
            app.close();
        }
        print("edits", edits);
        print("pictures", pictures);
        System.out.println("explorations begun meanwhile: " + explored + ", failures: " + failures);
        assertThat(failures.get()).isZero();
    }

    static void print(String what, List<Long> nanos) {
        long[] sorted = nanos.stream().mapToLong(Long::longValue).sorted().toArray();
        System.out.printf(
                "%s: %d, median %.0f ms, 95 %% within %.0f ms, 99 %% within %.0f ms, longest %.0f ms%n",
                what, sorted.length, at(sorted, 0.5), at(sorted, 0.95), at(sorted, 0.99), at(sorted, 1));
    }

    private static double at(long[] sorted, double share) {
        return sorted[(int) Math.min(sorted.length - 1, share * sorted.length)] / 1e6;
    }

    /** Begins an exploration as soon as the one before has ended. */
    private Void encode(Person person) throws Exception {
        person.repeat(12);
        person.repeat(13);
        while (!over.get()) {
            JsonNode job = person.answer(person.path() + "/explorations", "{}");
            explored.incrementAndGet();
            while (!over.get() && job.get("state").asString().equals("RUNNING")) {
                Thread.sleep(200);
                job = person.answer("/api/jobs/" + job.get("id").asString(), null);
            }
        }
        return null;
    }

    /** Holds a frame for another time, then looks at it, as the page does. */
    private Void edit(Person person, Random random) throws Exception {
        while (!over.get()) {
            Thread.sleep(random.nextInt(SHORTEST_PAUSE_MILLIS, LONGEST_PAUSE_MILLIS));
            JsonNode frame = person.reel().get("frames").get(random.nextInt(FRAMES));
            long begun = System.nanoTime();
            person.change("{\"type\":\"setDelay\",\"frames\":[%s],\"delayMillis\":%d}"
                    .formatted(frame.get("id"), 10 * random.nextInt(2, 60)));
            edits.add(System.nanoTime() - begun);
            person.answer(person.path() + "/rhythm", null);
            person.answer(person.path() + "/weight", null);
            begun = System.nanoTime();
            person.bytes(person.path() + "/frames/" + frame.get("drawn").asString() + ".png?width="
                    + random.nextInt(100, 400));
            pictures.add(System.nanoTime() - begun);
        }
        return null;
    }
}
