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
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Jobs that were asked for and not done, since their instance was killed, or that another instance does. */
class OrdersTest {
    private static final String LONG_AGO = "CURRENT_TIMESTAMP - INTERVAL '60' SECOND";
    private static final String NOW = "CURRENT_TIMESTAMP";
    private static final String HOUR_FROM_NOW = "CURRENT_TIMESTAMP + INTERVAL '1' HOUR";

    @RegisterExtension
    private static final RunningServer server = new RunningServer();

    private String reel;

    @BeforeEach
    void begin() {
        reel = server.reelOf(0xFF101830, 0xFFE06848).get("id").asString();
    }

    /**
     * As another instance has it, or left it.
     *
     * @param crashes how many instances ended in the middle of it before that one
     * @param heartbeat when that one was last heard of
     */
    private String picked(String kind, String request, int crashes, String heartbeat) {
        String id = UUID.randomUUID().toString();
        JdbcTemplate jdbc = server.bean(JdbcTemplate.class);
        server.bean(TransactionTemplate.class).executeWithoutResult(status -> {
            jdbc.update(
                    "INSERT INTO job (id, reel, kind, title, request, alone) VALUES (?, ?, ?, 'Tide', ?, ?)",
                    id,
                    reel,
                    kind,
                    request,
                    kind.equals("search") ? kind + " " + reel : null);
            jdbc.update(
                    "INSERT INTO scheduled_tasks (task_name, task_instance, execution_time, picked, picked_by,"
                            + " consecutive_failures, last_heartbeat, version)"
                            + " VALUES ('job', ?, CURRENT_TIMESTAMP, TRUE, 'another', ?, " + heartbeat + ", 2)",
                    id,
                    crashes);
        });
        return id;
    }

    private String delivery(int crashes, String heartbeat) {
        byte[] document = ReelDocument.write(server.bean(Reels.class).open(reel).reel());
        String text = new String(document, StandardCharsets.UTF_8);
        return picked(
                "delivery",
                JsonMapper.shared().writeValueAsString(Map.of("name", "Tide", "document", text)),
                crashes,
                heartbeat);
    }

    private static JsonNode ended(String id) {
        return server.until(
                "/api/jobs/" + id, job -> !job.get("state").asString().equals("RUNNING"));
    }

    private JsonNode deliveries() {
        return server.get("/api/reels/" + reel + "/deliveries").json();
    }

    @Test
    void aDeliveryWhoseInstanceIsGoneIsMadeOfTheReelAsItWas() {
        String id = delivery(0, LONG_AGO);
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
    void aSearchWhoseInstanceIsGoneIsGoneOnWith() {
        String id = picked("search", "{\"fits\":true,\"mayNarrow\":false,\"mayThin\":false}", 0, NOW);
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
    void thereIsOneSearchOfAReelAtATimeAlsoWhereAnotherInstanceDoesIt() {
        String id = picked("search", "{\"fits\":false,\"mayNarrow\":false,\"mayThin\":false}", 0, HOUR_FROM_NOW);
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
    void liningUpWhoseInstanceIsGoneIsDoneInOneStep() {
        String id = picked(
                "line-up",
                "{\"frames\":[1,2],\"to\":1,\"edges\":\"LEAVE\",\"area\":{\"x\":0,\"y\":0,\"width\":0,\"height\":0},\"motion\":\"SIMILARITY\"}",
                0,
                LONG_AGO);
        JsonNode job = ended(id);
        assertThat(job.get("result").asString()).contains("frame 1");
    }

    @Test
    void whatAnotherDoesIsLeftAloneAndCanBeStopped() {
        String id = delivery(0, HOUR_FROM_NOW);
        assertThat(server.get("/api/jobs/" + id).json().get("state").asString()).isEqualTo("RUNNING");
        server.delete("/api/jobs/" + id);
        assertThat(server.get("/api/jobs/" + id).json().get("state").asString()).isEqualTo("CANCELLED");
        assertThat(deliveries()).isEmpty();
    }

    @Test
    void whatCrashedThreeInstancesIsGivenUpAndSaysSo() {
        JsonNode job = ended(delivery(2, LONG_AGO));
        assertThat(job.get("state").asString()).isEqualTo("FAILED");
        assertThat(job.get("problem").asString())
                .isEqualTo("It was begun 3 times, and each time Dobbin ended before it did.");
        assertThat(deliveries()).isEmpty();
    }

    @Test
    void whatAnotherVersionAskedForIsNotGuessedAt() {
        JsonNode job = ended(picked("search", "{\"everything\":true}", 0, LONG_AGO));
        assertThat(job.get("problem").asString())
                .isEqualTo("It was asked for in another version of Dobbin. Ask for it again.");
    }

    /** As a job of an earlier version, or one that was carried over to another database. */
    @Test
    void aJobThatCameWithoutItsTaskIsDoneAfterTheNextStart() {
        String id = delivery(0, HOUR_FROM_NOW);
        server.sql("DELETE FROM scheduled_tasks WHERE task_instance = '" + id + "'");
        server.restart();
        assertThat(ended(id).get("state").asString()).isEqualTo("DONE");
    }
}
