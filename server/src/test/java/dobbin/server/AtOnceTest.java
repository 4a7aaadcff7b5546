package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.server.RunningServer.Answer;
import dobbin.skerry.DemoFile;
import dobbin.skerry.SkerryPoint;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Several hands on one thing, and second thoughts while something runs. */
class AtOnceTest {
    @RegisterExtension
    private static final RunningServer server = new RunningServer();

    @Test
    void ofManyEditsOnOneBaseNoneIsLost() {
        JsonNode reel = server.reelOf(0xFF101830, 0xFFE06848);
        List<CompletableFuture<Answer>> answers = IntStream.range(0, 12)
                .mapToObj(i -> CompletableFuture.supplyAsync(() ->
                        server.edit(reel, "{\"type\":\"addToDelays\",\"frames\":[1],\"millis\":" + (1 << i) + "}")))
                .toList();
        assertThat(answers)
                .allSatisfy(answer -> assertThat(answer.join().status()).isEqualTo(200));
        JsonNode now = server.get("/api/reels/" + reel.get("id").asString()).json();
        assertThat(now.get("revision").asInt()).isEqualTo(reel.get("revision").asInt() + 12);
        assertThat(now.at("/frames/0/delayMillis").asInt()).isEqualTo(100 + (1 << 12) - 1);
    }

    @Test
    void ofManyUndosOnOneBaseExactlyOneIsMade() {
        JsonNode reel = server.reelOf(0xFF101830, 0xFFE06848);
        String path = "/api/reels/" + reel.get("id").asString() + "/undo";
        String base = "{\"base\":" + reel.get("revision").asInt() + "}";
        List<CompletableFuture<Answer>> answers = IntStream.range(0, 12)
                .mapToObj(i -> CompletableFuture.supplyAsync(() -> server.post(path, base)))
                .toList();
        assertThat(answers.stream().map(answer -> answer.join().status()))
                .containsOnly(200, 409)
                .containsOnlyOnce(200);
    }

    @Test
    void theSamePictureFromManyHandsIsKeptOnce() {
        DemoFile gull = SkerryPoint.gull().files().get(0);
        List<CompletableFuture<Answer>> answers = IntStream.range(0, 8)
                .mapToObj(i -> CompletableFuture.supplyAsync(() -> server.upload("gull " + i + ".png", gull.bytes())))
                .toList();
        assertThat(answers)
                .allSatisfy(answer -> assertThat(answer.join().status()).isEqualTo(200));
        assertThat(answers.stream()
                        .map(answer ->
                                answer.join().json().at("/stills/0/picture").asString())
                        .distinct())
                .hasSize(1);
    }

    @Test
    void aDeliveryThatIsStoppedLeavesNothing() throws InterruptedException {
        StringBuilder stills = new StringBuilder();
        for (DemoFile file : SkerryPoint.sunrise().files()) {
            JsonNode taken = server.upload(file.name(), file.bytes()).json().at("/stills/0");
            stills.append(stills.isEmpty() ? "" : ",").append(taken);
        }
        JsonNode empty = server.post("/api/reels", "{\"name\":\"Sunrise\"}").json();
        JsonNode reel = server.edit(
                        empty, "{\"type\":\"addStills\",\"after\":0,\"stills\":[" + stills + "],\"gathering\":\"\"}")
                .json();
        String path = "/api/reels/" + reel.get("id").asString() + "/deliveries";
        JsonNode job = server.post(path, "{\"name\":\"Sunrise\"}").json();
        server.delete("/api/jobs/" + job.get("id").asString());
        JsonNode state = server.ended(job);
        assertThat(state.get("state").asString()).isEqualTo("CANCELLED");
        assertThat(state.get("result").isNull()).isTrue();
        assertThat(server.get(path).json().size()).isZero();
    }
}
