package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.document.ReelDocument;
import dobbin.server.RunningServer.Answer;
import dobbin.server.jobs.Orders;
import dobbin.server.reels.Reels;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Jobs that were asked for and not done, since their Dobbin was killed, or that another Dobbin does. */
class OrdersTest {
    private static final String LEFT = "CURRENT_TIMESTAMP - INTERVAL '1' SECOND";
    private static final String HELD_A_MOMENT = "CURRENT_TIMESTAMP + INTERVAL '2' SECOND";
    private static final String HELD = "CURRENT_TIMESTAMP + INTERVAL '60' SECOND";

    @RegisterExtension
    private static final RunningServer server = new RunningServer();

    private String reel;

    @BeforeEach
    void begin() {
        reel = server.reelOf(0xFF101830, 0xFFE06848).get("id").asString();
    }

    /** As a Dobbin leaves it that is killed. */
    private String left(String kind, String request, int tries, String heldUntil) {
        String id = UUID.randomUUID().toString();
        server.bean(JdbcTemplate.class)
                .update(
                        "INSERT INTO job (id, reel, kind, title, request, tries, alone, held_until)"
                                + " VALUES (?, ?, ?, 'Tide', ?, ?, ?, " + heldUntil + ")",
                        id,
                        reel,
                        kind,
                        request,
                        tries,
                        kind.equals("search") ? kind + " " + reel : null);
        return id;
    }

    private String delivery(int tries, String heldUntil) {
        byte[] document = ReelDocument.write(server.bean(Reels.class).open(reel).reel());
        String text = new String(document, StandardCharsets.UTF_8);
        return left(
                "delivery",
                JsonMapper.shared().writeValueAsString(Map.of("name", "Tide", "document", text)),
                tries,
                heldUntil);
    }

    private static JsonNode ended(String id) {
        return server.until(
                "/api/jobs/" + id, job -> !job.get("state").asString().equals("RUNNING"));
    }

    private JsonNode deliveries() {
        return server.get("/api/reels/" + reel + "/deliveries").json();
    }

    @Test
    void aDeliveryThatNobodyHoldsIsMadeOfTheReelAsItWas() {
        String id = delivery(1, LEFT);
        server.edit(
                server.get("/api/reels/" + reel).json(),
                "{\"type\":\"setDelay\",\"frames\":[1,2],\"delayMillis\":500}");
        JsonNode job = ended(id);
        assertThat(deliveries()).hasSize(1);
        assertThat(deliveries().at("/0/id")).isEqualTo(job.get("result"));
        assertThat(deliveries().at("/0/name").asString()).isEqualTo("Tide");
        assertThat(deliveries().at("/0/millis").asInt())
                .as("before it was changed")
                .isEqualTo(200);
        server.restart();
        assertThat(server.get("/api/jobs/" + id).json().get("result")).isEqualTo(job.get("result"));
    }

    /** As where the connection is cut between the end of the transaction and the answer to it. */
    @Test
    void whatWasKeptIsDoneThoughTheConnectionWasCut() {
        Orders.Kind<String> kind = server.bean(Orders.class).kind("cut", String.class, (order, progress) -> {
            order.done("kept");
            throw new DataAccessResourceFailureException("The connection was cut");
        });
        JsonNode job = ended(kind.take(reel, "Tide", "once").view().id());
        assertThat(job.get("state").asString()).isEqualTo("DONE");
        assertThat(job.get("result").asString()).isEqualTo("kept");
    }

    @Test
    void aSearchThatNobodyHoldsIsGoneOnWith() {
        String id = left("search", "{\"fits\":true,\"mayNarrow\":false,\"mayThin\":false}", 1, HELD_A_MOMENT);
        assertThat(server.get("/api/reels/" + reel + "/searches")
                        .json()
                        .at("/0/job/id")
                        .asString())
                .isEqualTo(id);
        JsonNode job = ended(id);
        assertThat(job.get("state").asString()).isEqualTo("DONE");
        assertThat(job.get("result").asString()).isNotEmpty();
        assertThat(server.get("/api/reels/" + reel + "/searches").json()).isEmpty();
    }

    @Test
    void thereIsOneSearchOfAReelAtATimeAlsoWhereAnotherDobbinHasIt() {
        String id = left("search", "{\"fits\":false,\"mayNarrow\":false,\"mayThin\":false}", 1, HELD);
        assertThat(server.post("/api/reels/" + reel + "/explorations", "")
                        .json()
                        .get("id")
                        .asString())
                .isEqualTo(id);
        Answer refused = server.post("/api/reels/" + reel + "/fittings", "{\"width\":false,\"frames\":false}");
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.detail()).isEqualTo("Settings are being explored. Wait for that, or stop it first.");
        server.delete("/api/jobs/" + id);
        JsonNode job = server.post("/api/reels/" + reel + "/fittings", "{\"width\":false,\"frames\":false}")
                .json();
        assertThat(job.get("id").asString()).isNotEqualTo(id);
        assertThat(server.ended(job).get("state").asString()).isEqualTo("DONE");
    }

    @Test
    void liningUpThatNobodyHoldsIsDoneInOneStep() {
        String id = left(
                "line-up",
                "{\"frames\":[1,2],\"to\":1,\"edges\":\"LEAVE\",\"area\":{\"x\":0,\"y\":0,\"width\":0,\"height\":0},\"motion\":\"SIMILARITY\"}",
                1,
                LEFT);
        JsonNode job = ended(id);
        assertThat(job.get("result").asString()).contains("frame 1");
    }

    @Test
    void whatAnotherHoldsIsLeftAloneAndCanBeStopped() {
        String id = delivery(1, HELD);
        assertThat(server.get("/api/jobs/" + id).json().get("state").asString()).isEqualTo("RUNNING");
        server.delete("/api/jobs/" + id);
        assertThat(server.get("/api/jobs/" + id).json().get("state").asString()).isEqualTo("CANCELLED");
        assertThat(deliveries()).isEmpty();
    }

    @Test
    void whatEndedItsDobbinThreeTimesIsGivenUpAndSaysSo() {
        JsonNode job = ended(delivery(3, LEFT));
        assertThat(job.get("state").asString()).isEqualTo("FAILED");
        assertThat(job.get("problem").asString())
                .isEqualTo("It was begun 3 times, and each time Dobbin ended before it did.");
        assertThat(deliveries()).isEmpty();
    }

    @Test
    void whatAnotherVersionAskedForIsNotGuessedAt() {
        JsonNode job = ended(left("search", "{\"everything\":true}", 1, LEFT));
        assertThat(job.get("problem").asString())
                .isEqualTo("It was asked for in another version of Dobbin. Ask for it again.");
    }
}
