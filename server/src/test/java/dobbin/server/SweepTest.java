package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.lettering.Typeface;
import dobbin.reel.Reel;
import dobbin.server.pictures.PictureLibrary;
import dobbin.server.reels.Reels;
import dobbin.server.reels.Shelf;
import dobbin.server.typefaces.TypefaceStore;
import java.io.InputStream;
import java.sql.DatabaseMetaData;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.support.JdbcUtils;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

/** What no reel names goes, and nothing else, however much there is and whoever does something meanwhile. */
class SweepTest {
    /** More than PostgreSQL takes as parameters of a statement (65,535), and more than H2 does (100,000). */
    private static final int MANY = "postgresql".equals(System.getProperty("dobbin.test-database")) ? 70_000 : 200_000;

    @RegisterExtension
    private static final RunningServer server = new RunningServer();

    private static int sweepOfWhatCameBeforeYesterday() {
        return server.bean(PictureLibrary.class).sweep(Instant.now().minus(Duration.ofDays(1)));
    }

    private static void makeOld(String picture) {
        assertThat(server.sql(
                        "UPDATE picture SET came = CURRENT_TIMESTAMP - INTERVAL '3' DAY WHERE id = '" + picture + "'"))
                .isEqualTo(1);
    }

    private static String picture(JsonNode reel) {
        return reel.at("/frames/0/content/picture").asString();
    }

    private static boolean isHere(String picture) {
        return !server.bean(PictureLibrary.class).infos(List.of(picture)).isEmpty();
    }

    private static String id(JsonNode reel) {
        return reel.get("id").asString();
    }

    /** Does something in a transaction that ends when the latch is down. */
    private static CompletableFuture<Void> held(CountDownLatch begun, CountDownLatch end, Runnable work) {
        return CompletableFuture.runAsync(() -> server.bean(TransactionTemplate.class)
                .executeWithoutResult(status -> {
                    work.run();
                    begun.countDown();
                    try {
                        assertThat(end.await(30, TimeUnit.SECONDS)).isTrue();
                    } catch (InterruptedException e) {
                        throw new IllegalStateException(e);
                    }
                }));
    }

    @Test
    void aReelThatIsPutBackWhileItIsRemovedForGoodIsWhole() throws Exception {
        JsonNode reel = server.reelOf(0xFF102030);
        server.delete("/api/reels/" + id(reel));
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch end = new CountDownLatch(1);
        CompletableFuture<Void> putBack =
                held(begun, end, () -> server.sql("UPDATE reel SET removed_at = NULL WHERE id = '" + id(reel) + "'"));
        begun.await();
        CompletableFuture<Void> purge =
                CompletableFuture.runAsync(() -> server.bean(Shelf.class).purge(List.of(id(reel))));
        letItWait(purge);
        end.countDown();
        putBack.get(30, TimeUnit.SECONDS);
        purge.get(30, TimeUnit.SECONDS);
        assertThat(server.get("/api/reels/" + id(reel)).json().get("frames")).hasSize(1);
    }

    @Test
    void aCopyThatIsBeingMadeKeepsItsPictures() throws Exception {
        JsonNode reel = server.reelOf(0xFF405060);
        String picture = picture(reel);
        Reel document = server.bean(Reels.class).open(id(reel)).reel();
        makeOld(picture);
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch end = new CountDownLatch(1);
        CompletableFuture<Void> copy =
                held(begun, end, () -> server.bean(Reels.class).create(document.withName("The copy")));
        begun.await();
        server.delete("/api/reels/" + id(reel));
        server.delete("/api/removed/" + id(reel));
        CompletableFuture<Integer> sweep = CompletableFuture.supplyAsync(SweepTest::sweepOfWhatCameBeforeYesterday);
        letItWait(sweep);
        end.countDown();
        copy.get(30, TimeUnit.SECONDS);
        sweep.get(30, TimeUnit.SECONDS);
        assertThat(isHere(picture)).isTrue();
        JsonNode made = server.get("/api/reels").json().get("reels").get(0);
        JsonNode frame =
                server.get("/api/reels/" + id(made)).json().get("frames").get(0);
        assertThat(server.get("/api/reels/" + id(made) + "/frames/"
                                + frame.get("drawn").asString() + ".png?width=30")
                        .status())
                .isEqualTo(200);
    }

    /** It goes on once the other transaction has ended, if the database has it wait. */
    private static void letItWait(CompletableFuture<?> work) throws Exception {
        try {
            work.get(500, TimeUnit.MILLISECONDS);
        } catch (TimeoutException e) {
            assertThat(work).isNotDone();
        }
    }

    /** What an undone step named is swept once another step has taken its place. */
    @Test
    void whatNoStepNamesAnyMoreGoes() {
        JsonNode reel = server.reelOf(0xFF708090);
        String first = picture(reel);
        JsonNode still = server.upload("Fog.png", RunningServer.png(new dobbin.raster.Size(30, 20), 0xFFA0B0C0))
                .json()
                .get("stills")
                .get(0);
        String second = still.get("picture").asString();
        JsonNode added = server.edit(
                        reel, "{\"type\":\"addStills\",\"after\":1,\"stills\":[" + still + "],\"gathering\":\"x\"}")
                .json();
        makeOld(first);
        makeOld(second);
        sweepOfWhatCameBeforeYesterday();
        assertThat(isHere(second)).isTrue();
        JsonNode undone = server.post("/api/reels/" + id(reel) + "/undo", "{\"base\":" + added.get("revision") + "}")
                .json();
        sweepOfWhatCameBeforeYesterday();
        assertThat(isHere(second)).as("it can be done again").isTrue();
        server.edit(undone, "{\"type\":\"rename\",\"name\":\"Fog\"}");
        makeOld(second);
        sweepOfWhatCameBeforeYesterday();
        assertThat(isHere(second)).isFalse();
        assertThat(isHere(first)).isTrue();
    }

    @Test
    void aTypefaceThatNoReelNamesGoes() throws Exception {
        byte[] lora;
        try (InputStream file = Typeface.class.getResourceAsStream("Lora-Regular.ttf")) {
            lora = file.readAllBytes();
        }
        TypefaceStore typefaces = server.bean(TypefaceStore.class);
        JsonNode own = server.post("/api/typefaces?name=Lora.ttf", lora).json();
        String name = own.get("file").asString();
        JsonNode reel =
                server.edit(server.reelOf(0xFF203040), """
                {"type":"addCard","after":0,"delayMillis":90,"card":{"kind":"card","background":"9cc3e0","text":"Ferry",
                 "typeface":"PLAIN","own":%s,"size":12,"color":"101830","align":"CENTER"}}""".formatted(own)).json();
        server.sql("UPDATE typeface SET came = CURRENT_TIMESTAMP - INTERVAL '3' DAY");
        typefaces.sweep(Instant.now().minus(Duration.ofDays(1)));
        assertThat(typefaces.known(List.of(name))).containsExactly(name);
        server.delete("/api/reels/" + id(reel));
        server.delete("/api/removed/" + id(reel));
        typefaces.sweep(Instant.now().minus(Duration.ofDays(1)));
        assertThat(typefaces.known(List.of(name))).isEmpty();
    }

    @Tag("long")
    @Test
    void manyPicturesAreSweptAndManyAreKept() throws Exception {
        JsonNode reel = server.reelOf(0xFFD0E0F0);
        JdbcTemplate jdbc = server.bean(JdbcTemplate.class);
        boolean h2 = JdbcUtils.extractDatabaseMetaData(jdbc.getDataSource(), DatabaseMetaData::getDatabaseProductName)
                .equals("H2");
        String numbers = h2 ? "SYSTEM_RANGE(1, " + MANY + ")" : "generate_series(1, " + MANY + ") AS n(x)";
        String name = "LPAD(CAST(x AS VARCHAR(64)), 64, '0')";
        // Named first: the application may sweep at any moment.
        server.sql("INSERT INTO named (reel, name, step) SELECT '" + id(reel) + "', " + name + ", 0 FROM " + numbers
                + " WHERE MOD(x, 2) = 0");
        server.sql("INSERT INTO picture (id, media_type, width, height, bytes, came) SELECT " + name
                + ", 'image/png', 1, 1, CAST('x' AS " + (h2 ? "BINARY VARYING" : "BYTEA")
                + "), CURRENT_TIMESTAMP - INTERVAL '3' DAY FROM " + numbers);
        sweepOfWhatCameBeforeYesterday();
        assertThat(jdbc.queryForObject("SELECT COUNT(*) FROM picture WHERE id LIKE '0000000%'", Integer.class))
                .isEqualTo(MANY / 2);
    }
}
