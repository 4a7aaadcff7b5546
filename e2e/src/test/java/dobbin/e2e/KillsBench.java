package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Size;
import dobbin.reel.ContentName;
import dobbin.server.Bench;
import dobbin.server.Postgres;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Properties;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.util.FileSystemUtils;
import tools.jackson.databind.JsonNode;

/**
 * Kills instances (SIGKILL) in the middle of edits, uploads and deliveries, and now and then while one brings an old data file up to its own
 * form. Whatever was answered must be there afterwards, and nothing twice. It keeps its place under {@code target/kills} after each kill,
 * so a run that was stopped goes on where it was. Not a test of every run: {@code -Dtest=KillsBench#onItsOwnFile}, or
 * {@code -Dtest=KillsBench#twoOnPostgres}, with {@code -Dkills=200}; the second begins anew with each run, as its database does.
 */
@Bench
class KillsBench {
    private static final int KILLS = Integer.getInteger("kills", 200);
    private static final int LONGEST_LIFE_MILLIS = 4_000;
    private static final int UPGRADE_EVERY = 10;
    private static final int LONGEST_UPGRADE_MILLIS = 4_000;
    private static final Path KEPT = Path.of("target", "kills");
    private static final Path FROZEN = Path.of("../server/src/test/resources/folders");
    private static final List<Integer> FROZEN_VERSIONS = List.of(1, 2, 3, 4, 5, 6, 7, 9, 10, 11);

    private final Random random = new Random();
    private final AtomicInteger colors = new AtomicInteger(random.nextInt(1 << 20));
    private final List<App> apps = new ArrayList<>();
    private Properties place = new Properties();
    private Path keptPlace;
    private volatile App asked;
    private String reel;
    private int kills;

    /** The last that was answered. */
    private volatile int revision;

    private volatile int delay;
    private volatile String picture = "";
    private volatile String delivery = "";
    private volatile String hash = "";
    private final AtomicInteger edits = new AtomicInteger();
    private final AtomicInteger uploads = new AtomicInteger();
    private final AtomicInteger deliveries = new AtomicInteger();
    /** Asked for, whether that was answered or not. */
    private final AtomicInteger deliveriesBegun = new AtomicInteger();

    private interface Work {
        void once() throws IOException, InterruptedException;
    }

    @AfterEach
    void stop() {
        apps.forEach(App::close);
    }

    @Test
    void onItsOwnFile() throws Exception {
        keptPlace = KEPT.resolve("place.properties");
        boolean goesOn = Files.exists(keptPlace);
        Files.createDirectories(KEPT);
        apps.add(App.start(KEPT.resolve("data")));
        run(goesOn);
    }

    @Test
    void twoOnPostgres() throws Exception {
        String database = "--dobbin.database=" + Postgres.started().newDatabase();
        Path folder = Files.createTempDirectory("kills");
        apps.add(App.start(folder.resolve("one"), database));
        apps.add(App.start(folder.resolve("other"), database));
        run(false);
    }

    private void run(boolean goesOn) throws Exception {
        asked = apps.get(0);
        if (goesOn) {
            goOn();
            look();
        } else {
            begin();
        }
        while (kills < KILLS) {
            kills++;
            if (keptPlace != null && kills % UPGRADE_EVERY == 0) {
                upgradeKilled(
                        KEPT.resolve("old" + kills),
                        FROZEN_VERSIONS.get(kills / UPGRADE_EVERY % FROZEN_VERSIONS.size()));
            }
            killOnce();
            look();
            keepPlace();
            System.out.printf(
                    "kill %d: answered %d edits, %d uploads, %d deliveries; lost 0, double 0%n",
                    kills, edits.get(), uploads.get(), deliveries.get());
        }
    }

    private void killOnce() throws IOException, InterruptedException {
        asked = apps.get(random.nextInt(apps.size()));
        List<Thread> work = List.of(working(this::edit), working(this::upload), working(this::deliver));
        Thread.sleep(random.nextInt(LONGEST_LIFE_MILLIS));
        App killed = asked;
        killed.kill();
        for (Thread thread : work) {
            thread.join();
        }
        if (apps.size() > 1) {
            asked = apps.get((apps.indexOf(killed) + 1) % apps.size());
            look();
        }
        killed.startAgain();
        asked = killed;
    }

    private Api api() {
        return new Api(asked.address());
    }

    private void begin() throws IOException {
        Api api = api();
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

    /** What is kept is as it was after a kill: anything since may have happened. */
    private void goOn() throws IOException {
        try (InputStream in = Files.newInputStream(keptPlace)) {
            place.load(in);
        }
        reel = place.getProperty("reel");
        kills = number("kills");
        revision = api().get(reel).get("revision").asInt();
        assertThat(revision).as("edits that were answered").isGreaterThanOrEqualTo(number("revision"));
        picture = place.getProperty("picture");
        delivery = place.getProperty("delivery");
        hash = place.getProperty("hash");
        edits.set(number("edits"));
        uploads.set(number("uploads"));
        deliveries.set(number("deliveries"));
        deliveriesBegun.set(Integer.MAX_VALUE / 2);
        System.out.println("goes on after kill " + kills);
    }

    private int number(String name) {
        return Integer.parseInt(place.getProperty(name));
    }

    private void keepPlace() throws IOException {
        if (keptPlace == null) {
            return;
        }
        place = new Properties();
        place.setProperty("reel", reel);
        place.setProperty("kills", String.valueOf(kills));
        place.setProperty("revision", String.valueOf(revision));
        place.setProperty("picture", picture);
        place.setProperty("delivery", delivery);
        place.setProperty("hash", hash);
        place.setProperty("edits", String.valueOf(edits));
        place.setProperty("uploads", String.valueOf(uploads));
        place.setProperty("deliveries", String.valueOf(deliveries));
        try (OutputStream out = Files.newOutputStream(keptPlace)) {
            place.store(out, null);
        }
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
        JsonNode answered = api().post(
                        reel + "/edits",
                        "{\"base\":%d,\"edit\":{\"type\":\"setDelay\",\"frames\":[1],\"delayMillis\":%d}}"
                                .formatted(revision, wanted));
        delay = wanted;
        revision = answered.get("revision").asInt();
        edits.incrementAndGet();
    }

    private void upload() throws IOException {
        picture = api().upload("Tide.png", Stills.png("", new Size(300, 200), nextColor()).buffer)
                .get("picture")
                .asString();
        uploads.incrementAndGet();
    }

    private void deliver() throws IOException, InterruptedException {
        Api api = api();
        deliveriesBegun.incrementAndGet();
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
        Api api = api();
        JsonNode now = api.get(reel);
        assertThat(now.get("revision").asInt())
                .as("an edit lost, or made twice")
                .isBetween(revision, revision + 1);
        int held = now.at("/frames/0/delayMillis").asInt();
        if (now.get("revision").asInt() == revision && delay != 0) {
            assertThat(held).isEqualTo(delay);
        }
        // An edit may have been made whose answer did not come.
        revision = now.get("revision").asInt();
        delay = held;
        if (!picture.isEmpty()) {
            assertThat(api.bytes("/api/plates/" + picture + ".png")).isNotEmpty();
        }
        if (!delivery.isEmpty()) {
            assertThat(ContentName.of(api.bytes("/api/deliveries/" + delivery + ".gif")))
                    .isEqualTo(hash);
        }
        assertThat(api.get(reel + "/deliveries").size())
                .as("deliveries, each asked for once")
                .isBetween(Math.min(1, deliveries.get()), deliveriesBegun.get());
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
            FileSystemUtils.deleteRecursively(old);
        }
    }
}
