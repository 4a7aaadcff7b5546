package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.server.RunningServer.Answer;
import dobbin.still.PngWriter;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** One person may have so many bytes here, and is told where the edge is; others are not held up by it. */
class QuotaTest {
    @RegisterExtension
    private static final RunningServer server = new RunningServer("--dobbin.quota=1MB").with("Mara", "Ebbe");

    private final Guest mara = Guest.of(server, "Mara");

    /** Noise, which no packing makes smaller: about 360 KB. */
    private static byte[] noise(int seed) {
        Random random = new Random(seed);
        int[] pixels =
                random.ints(400 * 300, 0, 1 << 24).map(rgb -> rgb | 0xFF000000).toArray();
        return PngWriter.bytes(Raster.of(new Size(400, 300), pixels));
    }

    private static String problem(Answer taken) {
        return taken.json().get("problem").isNull()
                ? ""
                : taken.json().get("problem").asString();
    }

    @Test
    void atTheEdgeASentenceSaysWhatToDoAndNothingIsHalfKept() {
        assertThat(problem(mara.upload("1.png", noise(1)))).isEmpty();
        assertThat(problem(mara.upload("1.png", noise(1))))
                .as("the same once more takes no room")
                .isEmpty();
        assertThat(problem(mara.upload("2.png", noise(2)))).isEmpty();
        Answer refused = mara.upload("3.png", noise(3));
        assertThat(problem(refused))
                .startsWith(
                        "“3.png” was not read. Your shelf is full: it holds 0.7 of the 1.0 MB you may have, and this needs 0.4 MB.")
                .contains("Remove reels for good");
        JsonNode reel = mara.reel("Tide");
        assertThat(mara.rename(reel, "Edits need no room").status()).isEqualTo(200);
        Guest ebbe = Guest.of(server, "Ebbe");
        assertThat(problem(ebbe.upload("3.png", noise(3)))).isEmpty();
        assertThat(problem(ebbe.upload("1.png", noise(1))))
                .as("counts for both")
                .isEmpty();
        assertThat(problem(ebbe.upload("4.png", noise(4)))).contains("Your shelf is full");
    }

    @BeforeEach
    void emptyShelves() {
        server.sql("DELETE FROM brought");
        server.sql("DELETE FROM delivery");
    }

    @Test
    void ofManyFilesAtOnceNoMoreAreTakenThanThereIsRoomFor() {
        List<CompletableFuture<Answer>> sending = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            byte[] file = noise(100 + i);
            sending.add(CompletableFuture.supplyAsync(() -> mara.upload("x.png", file)));
        }
        long taken = sending.stream()
                .map(CompletableFuture::join)
                .filter(answer -> problem(answer).isEmpty())
                .count();
        assertThat(taken).isEqualTo(2);
        assertThat(server.bean(JdbcTemplate.class)
                        .queryForObject("SELECT SUM(bytes) FROM brought WHERE person = 'Mara'", Long.class))
                .isLessThanOrEqualTo(1_000_000);
    }

    @Test
    void whatIsHereAlreadyCountsToo() {
        Guest ebbe = Guest.of(server, "Ebbe");
        for (int i = 0; i < 2; i++) {
            assertThat(problem(ebbe.upload("x.png", noise(200 + i)))).isEmpty();
            assertThat(problem(mara.upload("x.png", noise(210 + i)))).isEmpty();
        }
        assertThat(problem(mara.upload("x.png", noise(200)))).contains("Your shelf is full");
    }

    /** It counts for the owner, so it is the owner's room that is asked for. */
    @Test
    void aDeliveryOfAnothersReelNeedsRoomOnTheOthersShelf() {
        Guest ebbe = Guest.of(server, "Ebbe");
        JsonNode reel = mara.reel("Tide");
        mara.give(reel, "\"WORK\"", "");
        for (int i = 0; i < 2; i++) {
            ebbe.upload("x.png", noise(300 + i));
        }
        assertThat(delivered(ebbe, reel).get("state").asString())
                .as("though Ebbe has no room")
                .isEqualTo("DONE");
        server.sql("UPDATE brought SET person = 'Mara'");
        server.sql("UPDATE brought SET bytes = bytes + 300000 WHERE person = 'Mara'");
        JsonNode refused = delivered(ebbe, reel);
        assertThat(refused.get("state").asString()).isEqualTo("FAILED");
        assertThat(refused.get("problem").asString())
                .startsWith("The shelf of Mara is full: it holds 1.3 of the 1.0 MB one person may have")
                .endsWith("Copy the reel to your shelf, and deliver it there.");
        assertThat(mara.get("/api/reels/" + reel.get("id").asString() + "/deliveries")
                        .json())
                .hasSize(1);
    }

    private static JsonNode delivered(Guest guest, JsonNode reel) {
        return guest.ended(guest.post("/api/reels/" + reel.get("id").asString() + "/deliveries", "{\"name\":\"Tide\"}")
                .json());
    }
}
