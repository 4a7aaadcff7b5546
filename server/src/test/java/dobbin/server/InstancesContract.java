package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.server.RunningServer.Answer;
import dobbin.skerry.DemoFile;
import dobbin.skerry.SkerryPoint;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Flow;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** What two instances on one database know of one another. {@code -Dedits=1000} for many edits. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
abstract class InstancesContract {
    private static final int EDITS = Integer.getInteger("edits", 100);

    @RegisterExtension
    private final RunningServer one;

    @RegisterExtension
    private final RunningServer other;

    InstancesContract(String database) {
        this.one = new RunningServer().at(database);
        this.other = new RunningServer().at(database);
    }

    /** What an event stream tells, a line at a time. */
    private static BlockingQueue<String> listening(RunningServer server, String id) throws InterruptedException {
        BlockingQueue<String> lines = new LinkedBlockingQueue<>();
        HttpClient.newHttpClient()
                .sendAsync(
                        HttpRequest.newBuilder(server.address("/api/reels/" + id + "/events"))
                                .build(),
                        HttpResponse.BodyHandlers.fromLineSubscriber(new Lines(lines)));
        awaitLine(lines, "listening");
        return lines;
    }

    private static void awaitLine(BlockingQueue<String> lines, String part) throws InterruptedException {
        List<String> heard = new ArrayList<>();
        for (String line = ""; !line.contains(part); heard.add(line)) {
            line = lines.poll(20, TimeUnit.SECONDS);
            assertThat(line).as("after %s", heard).isNotNull();
        }
    }

    private record Lines(BlockingQueue<String> lines) implements Flow.Subscriber<String> {
        @Override
        public void onSubscribe(Flow.Subscription subscription) {
            subscription.request(Long.MAX_VALUE);
        }

        @Override
        public void onNext(String line) {
            lines.add(line);
        }

        @Override
        public void onError(Throwable failure) {
            lines.add("ended: " + failure);
        }

        @Override
        public void onComplete() {
            lines.add("ended");
        }
    }

    @Test
    void whatIsChangedAtOneIsHeardOfAtTheOther() throws InterruptedException {
        JsonNode reel = one.reelOf(0xFF101830, 0xFFE06848);
        String id = reel.get("id").asString();
        BlockingQueue<String> lines = listening(other, id);
        long begun = System.nanoTime();
        JsonNode changed =
                one.edit(reel, "{\"type\":\"rename\",\"name\":\"High tide\"}").json();
        awaitLine(lines, "event:changed");
        System.out.printf(
                "heard of after %d ms%n",
                Duration.ofNanos(System.nanoTime() - begun).toMillis());
        awaitLine(lines, "\"revision\":" + changed.get("revision"));
        assertThat(other.get("/api/reels/" + id).json()).isEqualTo(changed);
        awaitLine(lines, "event:weight");
    }

    @Test
    void jobsOfOneAreFollowedAtTheOther() throws InterruptedException {
        JsonNode reel = one.reelOf(0xFF101830, 0xFFE06848);
        String path = "/api/reels/" + reel.get("id").asString();
        BlockingQueue<String> lines = listening(other, reel.get("id").asString());
        JsonNode job =
                one.ended(one.post(path + "/deliveries", "{\"name\":\"Tide\"}").json());
        awaitLine(lines, "\"state\":\"DONE\"");
        Answer file = other.get("/api/deliveries/" + job.get("result").asString() + ".gif");
        assertThat(file.body())
                .isEqualTo(one.get("/api/deliveries/" + job.get("result").asString() + ".gif")
                        .body());
    }

    @Test
    void whereOneEndsInTheMiddleOfADeliveryTheOtherMakesIt() {
        StringBuilder stills = new StringBuilder();
        for (DemoFile file : SkerryPoint.sunrise().files()) {
            JsonNode taken = one.upload(file.name(), file.bytes()).json().at("/stills/0");
            stills.append(stills.isEmpty() ? "" : ",").append(taken);
        }
        JsonNode empty = one.post("/api/reels", "{\"name\":\"Sunrise\"}").json();
        one.edit(empty, "{\"type\":\"addStills\",\"after\":0,\"stills\":[" + stills + "],\"gathering\":\"\"}");
        String path = "/api/reels/" + empty.get("id").asString() + "/deliveries";
        JsonNode job = one.post(path, "{\"name\":\"Sunrise\"}").json();
        try (RunningServer.Stopped stopped = one.stopped()) {
            assertThat(stopped.data()).exists();
            JsonNode ended = other.ended(job);
            assertThat(ended.get("state").asString()).isEqualTo("DONE");
            assertThat(other.get(path).json()).hasSize(1);
            assertThat(other.get("/api/deliveries/" + ended.get("result").asString() + ".gif")
                            .status())
                    .isEqualTo(200);
        }
        assertThat(one.get("/api/jobs/" + job.get("id").asString())
                        .json()
                        .get("state")
                        .asString())
                .isEqualTo("DONE");
    }

    @Test
    void ofManyEditsAtBothNoneIsLostAndAllAreInOneOrder() {
        JsonNode reel = one.reelOf(0xFF101830, 0xFFE06848);
        CompletableFuture<Set<Integer>> atOther = CompletableFuture.supplyAsync(() -> edited(other, reel));
        Set<Integer> revisions = edited(one, reel);
        revisions.addAll(atOther.join());
        assertThat(revisions).as("each edit has a revision of its own").hasSize(EDITS);
        JsonNode now = one.get("/api/reels/" + reel.get("id").asString()).json();
        assertThat(now.get("revision").asInt()).isEqualTo(reel.get("revision").asInt() + EDITS);
        assertThat(now.at("/frames/0/delayMillis").asInt()).isEqualTo(100 + EDITS);
        assertThat(other.get("/api/reels/" + reel.get("id").asString()).json()).isEqualTo(now);
    }

    private static Set<Integer> edited(RunningServer server, JsonNode reel) {
        Set<Integer> revisions = new TreeSet<>();
        for (int i = 0; i < EDITS / 2; i++) {
            Answer answer = server.edit(reel, "{\"type\":\"addToDelays\",\"frames\":[1],\"millis\":1}");
            assertThat(answer.status()).isEqualTo(200);
            revisions.add(answer.json().get("revision").asInt());
        }
        return revisions;
    }
}
