package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.document.ReelDocument;
import dobbin.server.reels.Reels;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.UUID;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Deliveries that were asked for and not made, since their Dobbin was killed. */
class OrdersTest {
    private static final String LEFT = "CURRENT_TIMESTAMP - INTERVAL '1' SECOND";
    private static final String HELD = "CURRENT_TIMESTAMP + INTERVAL '60' SECOND";

    @RegisterExtension
    private static final RunningServer server = new RunningServer();

    private String reel;

    @BeforeEach
    void begin() {
        reel = server.reelOf(0xFF101830, 0xFFE06848).get("id").asString();
    }

    /** As a Dobbin leaves it that is killed. */
    private String order(String name, int tries, String heldUntil) {
        String id = UUID.randomUUID().toString();
        byte[] document = ReelDocument.write(server.bean(Reels.class).open(reel).reel());
        server.bean(JdbcTemplate.class)
                .update(
                        "INSERT INTO delivery_order (id, reel, name, document, tries, held_until) VALUES (?, ?, ?, ?, ?, "
                                + heldUntil + ")",
                        id,
                        reel,
                        name,
                        new String(document, StandardCharsets.UTF_8),
                        tries);
        return id;
    }

    private static int orders() {
        return server.bean(JdbcTemplate.class).queryForObject("SELECT COUNT(*) FROM delivery_order", Integer.class);
    }

    private static void awaitNoOrders() {
        long deadline = System.nanoTime() + Duration.ofSeconds(20).toNanos();
        while (orders() > 0 && System.nanoTime() < deadline) {
            LockSupport.parkNanos(Duration.ofMillis(20).toNanos());
        }
        assertThat(orders()).isZero();
    }

    private JsonNode deliveries() {
        return server.get("/api/reels/" + reel + "/deliveries").json();
    }

    @Test
    void oneThatNobodyHoldsIsMadeOfTheReelAsItWas() {
        String id = order("Tide", 1, LEFT);
        server.edit(
                server.get("/api/reels/" + reel).json(),
                "{\"type\":\"setDelay\",\"frames\":[1,2],\"delayMillis\":500}");
        JsonNode job = server.until(
                "/api/jobs/" + id, state -> state.get("state").asString().equals("DONE"));
        assertThat(deliveries()).hasSize(1);
        assertThat(deliveries().at("/0/id")).isEqualTo(job.get("result"));
        assertThat(deliveries().at("/0/name").asString()).isEqualTo("Tide");
        assertThat(deliveries().at("/0/millis").asInt())
                .as("before it was changed")
                .isEqualTo(200);
        assertThat(orders()).isZero();
        server.restart();
        assertThat(server.get("/api/jobs/" + id).json().get("result")).isEqualTo(job.get("result"));
    }

    @Test
    void oneThatAnotherHoldsIsLeftAloneAndCanBeStopped() {
        String id = order("Tide", 1, HELD);
        assertThat(server.get("/api/jobs/" + id).json().get("state").asString()).isEqualTo("RUNNING");
        server.delete("/api/jobs/" + id);
        assertThat(orders()).isZero();
        assertThat(server.get("/api/jobs/" + id).status()).isEqualTo(404);
        assertThat(deliveries()).isEmpty();
    }

    @Test
    void oneThatEndedItsDobbinThreeTimesIsGivenUp() {
        order("Tide", 3, LEFT);
        awaitNoOrders();
        assertThat(deliveries()).isEmpty();
    }
}
