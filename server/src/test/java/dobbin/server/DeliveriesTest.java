package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.gif.GifFrame;
import dobbin.gif.GifReader;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.ContentName;
import dobbin.server.RunningServer.Answer;
import dobbin.server.deliveries.RemovedDeliveries;
import dobbin.skerry.SkerryPoint;
import dobbin.still.DecodeLimits;
import dobbin.still.PngWriter;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.Socket;
import java.net.URLConnection;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

class DeliveriesTest {
    private static final int[] COLORS = {0xFF101830, 0xFFE06848, 0xFF9CC3E0};

    @RegisterExtension
    private static final RunningServer server = new RunningServer();

    private static String path(JsonNode reel) {
        return "/api/reels/" + reel.get("id").asString();
    }

    @Test
    void whatIsDeliveredIsTheReelAndStaysWhenTheReelChanges() throws Exception {
        JsonNode reel = server.reelOf(COLORS);
        JsonNode held = server.edit(reel, "{\"type\":\"setDelay\",\"frames\":[2],\"delayMillis\":700}")
                .json();
        JsonNode once = server.edit(held, "{\"type\":\"setPlays\",\"times\":4}").json();
        String id = delivered(once, "Tide “now” 🌊").get("result").asString();
        server.edit(once, "{\"type\":\"removeFrames\",\"frames\":[1,3]}");

        Answer file = server.get("/api/deliveries/" + id + ".gif?download=true");
        GifReader reader = GifReader.open(file.body(), DecodeLimits.USUAL);
        List<GifFrame> frames = new ArrayList<>();
        for (Optional<GifFrame> frame = reader.next(); frame.isPresent(); frame = reader.next()) {
            frames.add(frame.get());
        }
        assertThat(frames).extracting(GifFrame::delayMillis).containsExactly(100, 700, 100);
        for (int i = 0; i < COLORS.length; i++) {
            assertThat(frames.get(i).picture()).isEqualTo(Raster.filled(new Size(30, 20), COLORS[i]));
        }
        assertThat(reader.plays()).isEqualTo(4);
        assertThat(file.response().headers().firstValue("Content-Disposition").orElse(""))
                .startsWith("attachment")
                .contains("filename*=UTF-8''Tide%20%E2%80%9Cnow%E2%80%9D%20%F0%9F%8C%8A.gif");

        JsonNode entry = server.get(path(reel) + "/deliveries").json().get(0);
        assertThat(entry.get("name").asString()).isEqualTo("Tide “now” 🌊");
        assertThat(entry.get("bytes").asInt()).isEqualTo(file.body().length);
        assertThat(entry.get("millis").asInt()).isEqualTo(900);
    }

    @Test
    void theWeightIsTheDeliveredFilesToTheByte() {
        JsonNode reel = server.reelOf(COLORS);
        JsonNode weight = weighed(reel);
        Answer now = server.get(path(reel) + "/files/" + weight.get("file").asString() + ".gif");
        assertThat(now.body()).hasSize(weight.get("bytes").asInt());
        String id = delivered(reel, "Tide").get("result").asString();
        assertThat(server.get("/api/deliveries/" + id + ".gif").body()).isEqualTo(now.body());

        server.edit(reel, "{\"type\":\"setDelay\",\"frames\":[1],\"delayMillis\":50}");
        assertThat(server.get(path(reel) + "/files/" + weight.get("file").asString() + ".gif")
                        .status())
                .isEqualTo(404);
    }

    /** A large file goes over the disk, so that no memory waits for a slow browser; nothing of it stays there. */
    @Test
    void aLargeDeliveryIsTheSameFileAndLeavesNothingBehind() throws Exception {
        String id = delivered(server.reelOf(COLORS), "Tide").get("result").asString();
        byte[] large = new byte[3_000_000];
        new Random(17).nextBytes(large);
        String hash = ContentName.of(large);
        store(id, large, hash);
        Answer file = server.get("/api/deliveries/" + id + ".gif");
        assertThat(file.body()).isEqualTo(large);
        assertThat(file.response().headers().firstValueAsLong("Content-Length")).hasValue(large.length);
        large[2_000_000] ^= 1;
        store(id, large, hash);
        assertThat(server.get("/api/deliveries/" + id + ".gif").detail())
                .startsWith("This delivery is damaged on the disk");
        try (Stream<Path> left = Files.list(server.data().resolve("incoming"))) {
            assertThat(left).isEmpty();
        }
    }

    private static void store(String id, byte[] bytes, String sha256) {
        server.bean(JdbcTemplate.class)
                .update(
                        "UPDATE delivery SET bytes = ?, byte_count = ?, sha256 = ? WHERE id = ?",
                        bytes,
                        bytes.length,
                        sha256,
                        id);
    }

    @Test
    void repeatsGetNamesOfTheirOwn() {
        JsonNode reel = server.reelOf(COLORS);
        String longest = "a".repeat(120);
        for (String name : List.of("Tide", longest, "Tide", "Tide 2", "Tide", longest)) {
            delivered(reel, name);
        }
        assertThat(server.get(path(reel) + "/deliveries").json())
                .extracting(entry -> entry.get("name").asString())
                .containsExactlyInAnyOrder("Tide", "Tide 2", "Tide 2 2", "Tide 3", longest, "a".repeat(118) + " 2");
    }

    @Test
    void theSettingsItWasMadeWithAreThoseOfTheReelThen() {
        JsonNode reel = server.reelOf(COLORS);
        String id = delivered(reel, "Tide").get("result").asString();
        JsonNode settings = reel.get("delivery");
        server.edit(reel, "{\"type\":\"setPlays\",\"times\":2}");
        assertThat(server.get(path(reel) + "/deliveries/" + id + "/settings").json())
                .isEqualTo(settings);
        assertThat(server.get(path(reel) + "/deliveries/nothing/settings").status())
                .isEqualTo(404);
        assertThat(server.get(path(reel) + "/deliveries")
                        .json()
                        .at("/0/hasSettings")
                        .asBoolean())
                .isTrue();
        server.sql("UPDATE delivery SET settings = NULL WHERE id = '" + id + "'");
        assertThat(server.get(path(reel) + "/deliveries")
                        .json()
                        .at("/0/hasSettings")
                        .asBoolean())
                .isFalse();
        assertThat(server.get(path(reel) + "/deliveries/" + id + "/settings").status())
                .isEqualTo(404);
    }

    @Test
    void howAFileLooksIsToldAfterItWasDelivered() {
        Raster photo = SkerryPoint.sunrise(1, new Size(90, 60)).get(0);
        JsonNode stills =
                server.upload("Sunrise.png", PngWriter.bytes(photo)).json().get("stills");
        JsonNode empty = server.post("/api/reels", "{\"name\":\"Sunrise\"}").json();
        JsonNode reel = server.edit(
                        empty, "{\"type\":\"addStills\",\"after\":0,\"stills\":" + stills + ",\"gathering\":\"\"}")
                .json();
        ObjectNode few = ((ObjectNode) reel.get("delivery").deepCopy()).put("colors", 2);
        JsonNode rough = server.edit(reel, "{\"type\":\"setDelivery\",\"delivery\":" + few + "}")
                .json();
        delivered(rough, "Rough");
        delivered(
                server.post(path(rough) + "/undo", "{\"base\":" + rough.get("revision") + "}")
                        .json(),
                "Fine");
        JsonNode both = server.until(
                path(reel) + "/deliveries",
                list -> !list.at("/0/error").isNull() && !list.at("/1/error").isNull());
        assertThat(both.at("/0/name").asString()).isEqualTo("Fine");
        assertThat(both.at("/0/error").asDouble()).isBetween(0.0, 0.5);
        assertThat(both.at("/1/error").asDouble()).isGreaterThan(2);
    }

    @Test
    void edgesAreLookedAtOnAPageOfAnyColor() {
        JsonNode reel = server.reelOf(0x802B6F86, 0x802B6F86);
        String pages = path(reel) + "/pages/";
        assertThat(server.get(pages + "101214/notices").json()).isEmpty();
        ObjectNode filled = ((ObjectNode) reel.get("delivery").deepCopy())
                .put("matte", "ffffff")
                .put("flat", true);
        server.edit(reel, "{\"type\":\"setDelivery\",\"delivery\":" + filled + "}");
        assertThat(server.get(pages + "ffffff/notices").json()).isEmpty();
        JsonNode found = server.get(pages + "101214/notices").json();
        assertThat(found).hasSize(1);
        assertThat(found.at("/0/kind").asString()).isEqualTo("BOX");
        assertThat(found.at("/0/fix/delivery/matte").asString()).isEqualTo("101214");
        assertThat(server.get(pages + "black/notices").detail()).contains("color must be six hexadecimal digits");
    }

    @Test
    void whatIsDeletedIsHadBackForADay() {
        JsonNode reel = server.reelOf(COLORS);
        String id = delivered(reel, "Tide").get("result").asString();
        String delivery = path(reel) + "/deliveries/" + id;
        assertThat(server.delete(delivery).status()).isEqualTo(204);
        assertThat(server.delete(delivery).status()).isEqualTo(404);
        assertThat(server.get(path(reel) + "/deliveries").json().size()).isZero();
        assertThat(server.post(delivery + "/restore", "").status()).isEqualTo(204);
        assertThat(server.post(delivery + "/restore", "").status()).isEqualTo(404);
        assertThat(server.get(path(reel) + "/deliveries").json().at("/0/name").asString())
                .isEqualTo("Tide");
        server.delete(delivery);
        RemovedDeliveries removed = server.bean(RemovedDeliveries.class);
        assertThat(removed.purge(Instant.now().minusSeconds(60))).isZero();
        assertThat(removed.purge(Instant.now().plusSeconds(60))).isEqualTo(1);
        assertThat(server.post(delivery + "/restore", "").status()).isEqualTo(404);
        assertThat(server.get("/api/deliveries/" + id + ".gif").status()).isEqualTo(404);
    }

    /** Delays are written last, so that nothing is encoded again when one changes, nor when it is undone. */
    @Test
    void anotherDelayIsWeighedWithoutAnyWork() {
        JsonNode reel = server.reelOf(COLORS);
        int bytes = weighed(reel).get("bytes").asInt();
        server.edit(reel, "{\"type\":\"setDelay\",\"frames\":[1],\"delayMillis\":50}");
        JsonNode at = server.get(path(reel) + "/weight").json();
        assertThat(at.get("revision").asInt()).isEqualTo(3);
        assertThat(at.get("bytes").asInt()).isEqualTo(bytes);
        Answer file = server.get(path(reel) + "/files/" + at.get("file").asString() + ".gif");
        assertThat(file.body()).hasSize(bytes);
    }

    @Test
    void anEmptyReelWeighsNothingAndIsNotDelivered() {
        JsonNode reel = server.post("/api/reels", "{\"name\":\"Empty\"}").json();
        JsonNode weight = server.get(path(reel) + "/weight").json();
        assertThat(weight.get("bytes").isNull()).isTrue();
        assertThat(weight.get("total").asInt()).isZero();
        Answer refused = server.post(path(reel) + "/deliveries", "{\"name\":\"Empty\"}");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("a loop needs at least one");
    }

    @Test
    void whoListensHearsOfChangesAndWeights() throws Exception {
        JsonNode reel = server.reelOf(COLORS);
        URLConnection stream = server.address(path(reel) + "/events").toURL().openConnection();
        try (BufferedReader lines =
                new BufferedReader(new InputStreamReader(stream.getInputStream(), StandardCharsets.UTF_8))) {
            server.edit(reel, "{\"type\":\"setDelay\",\"frames\":[1],\"delayMillis\":350}");
            assertThat(next(lines, "event:changed")).isEqualTo("data:{\"revision\":3}");
            String weight = next(lines, "event:weight");
            for (int told = 1; told < 50 && weight.contains("\"bytes\":null"); told++) {
                weight = next(lines, "event:weight");
            }
            assertThat(weight).doesNotContain("\"bytes\":null").contains("\"revision\":3");
        }
    }

    @Test
    void anAddressListensSoOftenAtMostAndAgainOnceItHasLeft() throws Exception {
        JsonNode reel = server.reelOf(COLORS);
        List<Socket> listening = new ArrayList<>();
        try {
            String status = "HTTP/1.1 200";
            while (status.equals("HTTP/1.1 200") && listening.size() < 70) {
                listening.add(listener(reel));
                status = status(listening.get(listening.size() - 1));
            }
            assertThat(status).isEqualTo("HTTP/1.1 429");
            // Another test may have listened a moment ago.
            assertThat(listening.size() - 1).isBetween(60, 64);
        } finally {
            for (Socket socket : listening) {
                socket.close();
            }
        }
        // That nobody is there any more is noticed with the next word to them.
        server.until(path(reel), now -> {
            server.edit(now, "{\"type\":\"setPlays\",\"times\":" + now.get("revision") + "}");
            try (Socket again = listener(reel)) {
                return status(again).equals("HTTP/1.1 200");
            } catch (IOException e) {
                throw new AssertionError(e);
            }
        });
    }

    private static Socket listener(JsonNode reel) throws IOException {
        Socket socket = new Socket("127.0.0.1", server.address("/").getPort());
        String request = "GET " + path(reel) + "/events HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n";
        socket.getOutputStream().write(request.getBytes(StandardCharsets.US_ASCII));
        return socket;
    }

    private static String status(Socket socket) throws IOException {
        return new String(socket.getInputStream().readNBytes("HTTP/1.1 200".length()), StandardCharsets.US_ASCII);
    }

    @Test
    void jobsAreFoundByNameOrSaidToBeGone() {
        assertThat(server.get("/api/jobs/nothing").detail()).contains("There is no job nothing");
        assertThat(server.get("/api/deliveries/nothing.gif").status()).isEqualTo(404);
    }

    /** @return the data line that follows the next event of that name */
    private static String next(BufferedReader lines, String event) throws Exception {
        return CompletableFuture.supplyAsync(() -> {
                    try {
                        String line = lines.readLine();
                        while (line != null && !event.equals(line)) {
                            line = lines.readLine();
                        }
                        return lines.readLine();
                    } catch (IOException e) {
                        throw new AssertionError(e);
                    }
                })
                .get(20, TimeUnit.SECONDS);
    }

    private static JsonNode weighed(JsonNode reel) {
        return server.until(
                path(reel) + "/weight", weight -> !weight.get("bytes").isNull());
    }

    private static JsonNode delivered(JsonNode reel, String name) {
        return server.ended(server.post(path(reel) + "/deliveries", "{\"name\":\"" + name + "\"}")
                .json());
    }
}
