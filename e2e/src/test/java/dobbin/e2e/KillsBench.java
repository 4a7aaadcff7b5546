package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Size;
import dobbin.reel.ContentName;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/**
 * Kills the server (SIGKILL) in the middle of edits, uploads and deliveries, and now and then while it brings an old data file up to
 * its own form; whatever was answered must be there afterwards. Not a test of every run: {@code -Dtest=KillsBench}, with
 * {@code -Dkills=200}.
 */
class KillsBench {
    private static final int KILLS = Integer.getInteger("kills", 200);
    private static final int LONGEST_LIFE_MILLIS = 4_000;
    private static final int UPGRADE_EVERY = 10;
    private static final int LONGEST_UPGRADE_MILLIS = 4_000;
    private static final Path FROZEN = Path.of("../server/src/test/resources/folders");
    private static final int FROZEN_VERSIONS = 7;

    private final Random random = new Random(17);
    private final AtomicInteger colors = new AtomicInteger();
    private App app;
    private Api api;
    private String reel;

    /** The last that was answered. */
    private volatile int revision;

    private volatile int delay;
    private volatile String picture;
    private volatile String delivery;
    private volatile String hash;
    private final AtomicInteger edits = new AtomicInteger();
    private final AtomicInteger uploads = new AtomicInteger();
    private final AtomicInteger deliveries = new AtomicInteger();

    private interface Work {
        void once() throws IOException, InterruptedException;
    }

    @Test
    void whatWasAnsweredIsThere(@TempDir Path folder) throws Exception {
        Path data = folder.resolve("data");
        app = App.start(data);
        try {
            api = new Api(app.address());
            begin();
            for (int kill = 1; kill <= KILLS; kill++) {
                if (kill % UPGRADE_EVERY == 0) {
                    upgradeKilled(folder.resolve("old" + kill), 1 + kill / UPGRADE_EVERY % FROZEN_VERSIONS);
                }
                List<Thread> work = List.of(working(this::edit), working(this::upload), working(this::deliver));
                Thread.sleep(random.nextInt(LONGEST_LIFE_MILLIS));
                app.kill();
                for (Thread thread : work) {
                    thread.join();
                }
                app.startAgain();
                look();
                System.out.printf(
                        "kill %d: %d edits, %d uploads, %d deliveries so far, all there%n",
                        kill, edits.get(), uploads.get(), deliveries.get());
            }
        } finally {
            app.close();
        }
    }

    private void begin() throws IOException {
        JsonNode still = api.upload("Tide.png", Stills.png("", new Size(60, 40), nextColor()).buffer);
        JsonNode begun = api.post("/api/reels", "{\"name\":\"Tide\"}");
        reel = "/api/reels/" + begun.get("id").asString();
        revision = api.post(
                        reel + "/edits",
                        "{\"base\":1,\"edit\":{\"type\":\"addStills\",\"after\":0,\"stills\":[" + still
                                + "],\"gathering\":\"\"}}")
                .get("revision")
                .asInt();
    }

    private int nextColor() {
        return 0xFF000000 | colors.incrementAndGet();
    }

    /** Does it again and again until nobody answers any more. */
    private static Thread working(Work work) {
        Thread thread = new Thread(() -> {
            try {
                while (true) {
                    work.once();
                }
            } catch (IOException e) {
                // The server was killed.
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
        });
        thread.start();
        return thread;
    }

    private void edit() throws IOException {
        int wanted = 20 + random.nextInt(1_000);
        JsonNode answered = api.post(
                reel + "/edits",
                "{\"base\":%d,\"edit\":{\"type\":\"setDelay\",\"frames\":[1],\"delayMillis\":%d}}"
                        .formatted(revision, wanted));
        delay = wanted;
        revision = answered.get("revision").asInt();
        edits.incrementAndGet();
    }

    private void upload() throws IOException {
        picture = api.upload("Tide.png", Stills.png("", new Size(300, 200), nextColor()).buffer)
                .get("picture")
                .asString();
        uploads.incrementAndGet();
    }

    private void deliver() throws IOException, InterruptedException {
        JsonNode job = api.post(reel + "/deliveries", "{\"name\":\"Tide\"}");
        while (job.get("state").asString().equals("RUNNING")) {
            Thread.sleep(20);
            job = api.get("/api/jobs/" + job.get("id").asString());
        }
        String id = job.get("result").asString();
        hash = ContentName.of(api.bytes("/api/deliveries/" + id + ".gif"));
        delivery = id;
        deliveries.incrementAndGet();
    }

    private void look() throws IOException {
        JsonNode now = api.get(reel);
        assertThat(now.get("revision").asInt()).isBetween(revision, revision + 1);
        int held = now.at("/frames/0/delayMillis").asInt();
        if (now.get("revision").asInt() == revision && delay != 0) {
            assertThat(held).isEqualTo(delay);
        }
        // An edit may have been made whose answer did not come.
        revision = now.get("revision").asInt();
        delay = held;
        if (picture != null) {
            assertThat(api.bytes("/api/plates/" + picture + ".png")).isNotEmpty();
        }
        if (delivery != null) {
            assertThat(ContentName.of(api.bytes("/api/deliveries/" + delivery + ".gif")))
                    .isEqualTo(hash);
        }
    }

    /** Kills it while it brings an old data file up to its own form; the next start does. */
    private void upgradeKilled(Path old, int version) throws Exception {
        Files.createDirectories(old);
        try (ZipInputStream zip = new ZipInputStream(Files.newInputStream(FROZEN.resolve("V" + version + ".zip")))) {
            Files.copy(zip, old.resolve(zip.getNextEntry().getName()));
        }
        App upgrading = App.begin(old);
        Thread.sleep(random.nextInt(LONGEST_UPGRADE_MILLIS));
        upgrading.kill();
        upgrading.startAgain();
        try {
            assertThat(new Api(upgrading.address()).get("/api/reels").get("reels"))
                    .hasSize(1);
        } finally {
            upgrading.close();
        }
    }
}
