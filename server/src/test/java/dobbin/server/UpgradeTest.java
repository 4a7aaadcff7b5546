package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assumptions.assumeThat;

import dobbin.gif.GifReader;
import dobbin.reel.ContentName;
import dobbin.server.data.Migrations;
import dobbin.server.pictures.PictureLibrary;
import dobbin.server.reels.Shelf;
import dobbin.still.DecodeLimits;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.util.FileSystemUtils;
import tools.jackson.databind.JsonNode;

/**
 * Data files as each version left them that had another form of the database: a reel of four stills with two delays set (from the
 * fifth on also a stroke of ink), delivered once, and a reel that was removed. The ninth was killed while it made another delivery.
 */
class UpgradeTest {
    private RunningServer server;

    @AfterEach
    void stop() throws IOException {
        if (server != null) {
            server.afterAll(null);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "1, f00588beca292342, 8951, 8931",
        "2, 76242cdac5ad916f, 8931, 8931",
        "3, 76242cdac5ad916f, 8931, 8931",
        "4, 76242cdac5ad916f, 8931, 8931",
        "5, cbaae9003b3ef9da, 8915, 8915",
        "6, cbaae9003b3ef9da, 8915, 8915",
        "7, cbaae9003b3ef9da, 8915, 8915",
        "9, 8df2c5bd910f25ae, 9444, 9444",
        "10, 765937fdf1b9f3f6, 2911, 2911",
        "11, 765937fdf1b9f3f6, 2911, 2911"
    })
    void opensPlaysAndDelivers(int version, String hash, int bytes, int bytesToday) throws Exception {
        assumeThat(version == 11 || Boolean.getBoolean("dobbin.all")).isTrue();
        server = new RunningServer().on("/folders/V" + version + ".zip");
        server.beforeAll(null);
        JsonNode shelf = server.get("/api/reels").json().get("reels");
        assertThat(shelf).hasSize(1);
        assertThat(server.get("/api/removed").json().at("/reels/0/name").asString())
                .isEqualTo("Gone");
        String path = "/api/reels/" + shelf.get(0).get("id").asString();

        JsonNode reel = server.get(path).json();
        assertThat(reel.get("frames")).hasSize(4);
        assertThat(reel.at("/frames/1/delayMillis").asInt()).isEqualTo(250);
        for (JsonNode frame : reel.get("frames")) {
            assertThat(server.get(path + "/frames/" + frame.get("drawn").asString() + ".png?width=60")
                            .status())
                    .isEqualTo(200);
        }

        JsonNode delivery = deliveries(path, "Tide").get(0);
        byte[] file = delivered(delivery.get("id").asString());
        assertThat(file.length).isEqualTo(bytes);
        assertThat(ContentName.of(file)).startsWith(hash);

        JsonNode job = server.ended(
                server.post(path + "/deliveries", "{\"name\":\"Tide\"}").json());
        byte[] again = delivered(job.get("result").asString());
        assertThat(again.length).isEqualTo(bytesToday);
        assertThat(Arrays.equals(again, file))
                .as("what is delivered anew is the same file, but for the first version's")
                .isEqualTo(version > 1);
        assertThat(GifReader.open(again, DecodeLimits.USUAL).plays())
                .isEqualTo(GifReader.open(file, DecodeLimits.USUAL).plays());

        JsonNode undone = server.post(path + "/undo", "{\"base\":" + reel.get("revision") + "}")
                .json();
        assertThat(undone.get("redo").asString()).isEqualTo(reel.get("undo").asString());
    }

    /** With the earlier version this copy can be put back; a start on data that are up to date makes none. */
    @Test
    void aCopyOfTheDataIsMadeBeforeTheyAreChanged(@TempDir Path elsewhere) throws Exception {
        server = new RunningServer().on("/folders/V11.zip");
        server.beforeAll(null);
        Path copy = server.data().resolve("before-upgrade-11.zip");
        assertThat(copy).exists();
        try (ZipInputStream zip = new ZipInputStream(Files.newInputStream(copy))) {
            Files.copy(zip, elsewhere.resolve(zip.getNextEntry().getName()));
        }
        assertThat(latestMigration(elsewhere)).isEqualTo(11);
        Files.delete(copy);
        server.restart();
        assertThat(server.data()).isDirectoryNotContaining("glob:**.zip*");
    }

    @Test
    void whereThereIsNoRoomForThatCopyTheDataStayAsTheyWere() throws Exception {
        RunningServer full = new RunningServer("--dobbin.disk-reserve=1000TB").on("/folders/V11.zip");
        try {
            assertThatThrownBy(() -> full.beforeAll(null))
                    .rootCause()
                    .isInstanceOf(CannotStart.class)
                    .hasMessageMatching(
                            "The data are of an earlier version, and are copied before they are upgraded\\. That may"
                                    + " take 1,?[0-9,]+ MB, and [0-9,]+ MB are free\\. Free some room in .*, then start Dobbin again\\.");
            assertThat(latestMigration(full.data())).isEqualTo(11);
            assertThat(full.data()).isDirectoryNotContaining("glob:**.zip*");
        } finally {
            FileSystemUtils.deleteRecursively(full.data());
        }
    }

    private static int latestMigration(Path folder) throws SQLException {
        try (Connection file = DriverManager.getConnection(Migrations.addressOf(folder), Migrations.USER, "");
                ResultSet latest = file.createStatement()
                        .executeQuery("SELECT MAX(CAST(\"version\" AS INT)) FROM \"flyway_schema_history\"")) {
            latest.next();
            return latest.getInt(1);
        }
    }

    @Test
    void whatTheNinthWasAskedForIsMade() throws Exception {
        server = new RunningServer().on("/folders/V9.zip");
        server.beforeAll(null);
        JsonNode job = server.until(
                "/api/jobs/baeeda1d-2784-48ab-926c-e3e4a87d69bd",
                state -> !state.get("state").asString().equals("RUNNING"));
        assertThat(ContentName.of(delivered(job.get("result").asString()))).startsWith("8df2c5bd910f25ae");
        String reel = server.get("/api/reels").json().at("/reels/0/id").asString();
        assertThat(deliveries("/api/reels/" + reel, "Night \"tide\" \\\\ ebb")).hasSize(1);
    }

    /** Names are noted with each step since the eleventh; those of earlier reels before anything is swept. */
    @ParameterizedTest
    @ValueSource(ints = {7, 10})
    void nothingThatAnyStepNamesIsSwept(int version) throws Exception {
        server = new RunningServer().on("/folders/V" + version + ".zip");
        server.beforeAll(null);
        server.bean(Shelf.class).noteNames();
        server.bean(PictureLibrary.class).sweep(Instant.now().plusSeconds(60));
        String path = "/api/reels/"
                + server.get("/api/reels").json().at("/reels/0/id").asString();
        int drawn = 0;
        for (JsonNode step : server.get(path + "/history").json().get("steps")) {
            int base = server.get(path).json().get("revision").asInt();
            JsonNode there = server.post(path + "/step", "{\"base\":" + base + ",\"step\":" + step.get("number") + "}")
                    .json();
            for (JsonNode frame : there.get("frames")) {
                assertThat(server.get(path + "/frames/" + frame.get("drawn").asString() + ".png?width=60")
                                .status())
                        .as(step.get("title").asString())
                        .isEqualTo(200);
                drawn++;
            }
        }
        assertThat(drawn).isGreaterThan(8);
    }

    private List<JsonNode> deliveries(String path, String name) {
        return server.get(path + "/deliveries")
                .json()
                .valueStream()
                .filter(delivery -> delivery.get("name").asString().equals(name))
                .toList();
    }

    private byte[] delivered(String id) {
        return server.get("/api/deliveries/" + id + ".gif").body();
    }
}
