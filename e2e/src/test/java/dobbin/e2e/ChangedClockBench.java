package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import dobbin.server.Bench;
import dobbin.skerry.DemoFile;
import dobbin.skerry.SkerryPoint;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The machine's clock is set forth and back by hours while people edit and deliver. Needs Debian's faketime. Not a test of every run:
 * {@code -Dtest=ChangedClockBench}.
 */
@Bench
class ChangedClockBench {
    private static final Path LIBRARY = Path.of("/usr/lib/x86_64-linux-gnu/faketime/libfaketimeMT.so.1");
    private static final int PEOPLE = 4;
    private static final List<DemoFile> STILLS = SkerryPoint.sunrise().files().subList(0, 4);
    private static final List<String> CLOCKS = List.of("+3h", "-3h", "+4h", "-2h", "+0");
    private static final Duration BETWEEN = Duration.ofSeconds(15);

    private final AtomicBoolean over = new AtomicBoolean();
    private final AtomicInteger failures = new AtomicInteger();
    private final AtomicInteger edits = new AtomicInteger();
    private final AtomicInteger deliveries = new AtomicInteger();
    private final AtomicLong longestNanos = new AtomicLong();

    @Test
    void allGoesOn(@TempDir Path folder) throws Exception {
        assumeThat(LIBRARY).exists();
        Path clock = Files.writeString(folder.resolve("clock"), "+0");
        Person.invite(folder.resolve("data"), PEOPLE);
        ExecutorService threads = Executors.newFixedThreadPool(PEOPLE);
        try (App app = App.withEnvironment(
                Map.of(
                        "LD_PRELOAD",
                        LIBRARY.toString(),
                        "FAKETIME_TIMESTAMP_FILE",
                        clock.toString(),
                        "FAKETIME_CACHE_DURATION",
                        "1",
                        "FAKETIME_DONT_FAKE_MONOTONIC",
                        "1",
                        // Else waits for a condition end at once, again and again.
                        "FAKETIME_FORCE_MONOTONIC_FIX",
                        "0"),
                folder.resolve("data"))) {
            List<Future<Void>> people = new ArrayList<>();
            for (int i = 0; i < PEOPLE; i++) {
                Person person = new Person(app, i, failures);
                person.begin(STILLS);
                people.add(threads.submit(() -> work(person)));
            }
            for (String each : CLOCKS) {
                Thread.sleep(BETWEEN.toMillis());
                Files.writeString(clock, each);
            }
            Thread.sleep(BETWEEN.toMillis());
            over.set(true);
            for (Future<Void> each : people) {
                each.get();
            }
            assertThat(app.failures()).isEmpty();
        } finally {
            threads.shutdownNow();
        }
        System.out.printf(
                "%d clocks: %d edits and %d deliveries answered, %d failures; longest round of ten edits and a delivery %d ms%n",
                CLOCKS.size(),
                edits.get(),
                deliveries.get(),
                failures.get(),
                Duration.ofNanos(longestNanos.get()).toMillis());
        assertThat(failures.get()).isZero();
    }

    private Void work(Person person) throws Exception {
        int revision = person.reel().get("revision").asInt();
        while (!over.get()) {
            long begun = System.nanoTime();
            for (int i = 0; i < 10; i++) {
                person.change("{\"type\":\"rename\",\"name\":\"Tide %d\"}".formatted(revision + 1));
                revision++;
                edits.incrementAndGet();
                assertThat(person.reel().get("revision").asInt()).isEqualTo(revision);
                assertThat(person.reel().get("name").asString()).isEqualTo("Tide " + revision);
            }
            person.ended(person.answer(person.path() + "/deliveries", "{\"name\":\"Dawn\"}"));
            deliveries.incrementAndGet();
            longestNanos.accumulateAndGet(System.nanoTime() - begun, Math::max);
            Thread.sleep(200);
        }
        return null;
    }
}
