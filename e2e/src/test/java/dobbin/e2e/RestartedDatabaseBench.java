package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.server.Bench;
import dobbin.server.Postgres;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/**
 * PostgreSQL is restarted while twenty people edit: what was answered is there, what was not is said, and all goes on. Not a test of every
 * run: {@code -Dtest=RestartedDatabaseBench}, with {@code -Drestarts=5}.
 */
@Bench
class RestartedDatabaseBench {
    private static final int PEOPLE = 20;
    private static final int RESTARTS = Integer.getInteger("restarts", 5);
    private static final long BETWEEN_RESTARTS_MILLIS = 6_000;
    private static final long PAUSE_MILLIS = 100;

    private final AtomicBoolean over = new AtomicBoolean();
    private final AtomicInteger answered = new AtomicInteger();
    private final AtomicInteger refused = new AtomicInteger();
    private final AtomicLong longestNanos = new AtomicLong();

    @Test
    void whatWasAnsweredIsThereAndAllGoesOn(@TempDir Path folder) throws Exception {
        Postgres postgres = Postgres.started();
        ExecutorService threads = Executors.newFixedThreadPool(PEOPLE);
        try (App app = App.start(folder.resolve("data"), "--dobbin.database=" + postgres.newDatabase())) {
            List<Future<Void>> people = new ArrayList<>();
            for (int i = 0; i < PEOPLE; i++) {
                people.add(threads.submit(() -> edit(new Api(app.address()))));
            }
            for (int i = 0; i < RESTARTS; i++) {
                Thread.sleep(BETWEEN_RESTARTS_MILLIS);
                postgres.restart();
            }
            Thread.sleep(BETWEEN_RESTARTS_MILLIS);
            over.set(true);
            for (Future<Void> each : people) {
                each.get();
            }
        } finally {
            threads.shutdownNow();
        }
        System.out.printf(
                "%d restarts: %d edits answered, %d refused; lost 0, double 0; longest time without an edit %d ms%n",
                RESTARTS,
                answered.get(),
                refused.get(),
                Duration.ofNanos(longestNanos.get()).toMillis());
    }

    private Void edit(Api api) throws Exception {
        JsonNode reel = api.post("/api/reels/empty", "{\"name\":\"Tide\",\"width\":60,\"height\":40}");
        String path = "/api/reels/" + reel.get("id").asString();
        int revision = reel.get("revision").asInt();
        long last = System.nanoTime();
        while (!over.get()) {
            Thread.sleep(PAUSE_MILLIS);
            try {
                revision = api.post(
                                path + "/edits",
                                "{\"base\":%d,\"edit\":{\"type\":\"rename\",\"name\":\"Tide %d\"}}"
                                        .formatted(revision, revision + 1))
                        .get("revision")
                        .asInt();
                answered.incrementAndGet();
                long before = last;
                last = System.nanoTime();
                longestNanos.accumulateAndGet(last - before, Math::max);
            } catch (Api.Refused e) {
                assertThat(e.status).as(e.getMessage()).isIn(409, 503);
                refused.incrementAndGet();
                revision = looked(api, path, revision);
            }
        }
        assertThat(looked(api, path, revision)).isEqualTo(revision);
        return null;
    }

    /** @return where the reel stands: as answered last, or one edit further, whose answer did not come */
    private static int looked(Api api, String path, int revision) throws IOException, InterruptedException {
        while (true) {
            try {
                JsonNode now = api.get(path);
                assertThat(now.get("revision").asInt()).isBetween(revision, revision + 1);
                assertThat(now.get("name").asString())
                        .isIn("Tide", "Tide " + now.get("revision").asInt());
                return now.get("revision").asInt();
            } catch (Api.Refused e) {
                assertThat(e.status).as(e.getMessage()).isEqualTo(503);
                Thread.sleep(PAUSE_MILLIS);
            }
        }
    }
}
