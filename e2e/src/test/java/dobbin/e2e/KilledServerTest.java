package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What was answered is kept, whatever happens to the server the moment after. */
class KilledServerTest {
    private static final int EDITS_A_LIFE = 7;

    private final HttpClient http = HttpClient.newHttpClient();

    @Test
    void killingTheServerRightAfterAnAnswerLosesNothing(@TempDir Path data) throws Exception {
        try (App app = App.start(data)) {
            JsonNode reel = reelWithAFrame(app);
            for (int life = 0; life < 3; life++) {
                for (int edit = 0; edit < EDITS_A_LIFE; edit++) {
                    reel = answer(
                            app,
                            "/api/reels/" + reel.get("id").asString() + "/edits",
                            "{\"base\":%d,\"edit\":{\"type\":\"setDelay\",\"frames\":[1],\"delayMillis\":%d}}"
                                    .formatted(reel.get("revision").asInt(), 100 * (life + 1) + 10 * edit));
                }
                app.kill();
                app.startAgain();
                JsonNode kept = answer(app, "/api/reels/" + reel.get("id").asString(), null);
                assertThat(kept).isEqualTo(reel);
            }
            String drawn = reel.get("frames").get(0).get("drawn").asString();
            String picture = "/api/reels/" + reel.get("id").asString() + "/frames/" + drawn + ".png?width=60";
            assertThat(send(HttpRequest.newBuilder(URI.create(app.address() + picture)))
                            .statusCode())
                    .isEqualTo(200);
        }
    }

    private JsonNode reelWithAFrame(App app) throws Exception {
        FilePayload still = Stills.png(1);
        HttpRequest.Builder upload = HttpRequest.newBuilder(URI.create(app.address() + "/api/pictures?name=Tide"))
                .header("Content-Type", "application/octet-stream")
                .POST(HttpRequest.BodyPublishers.ofByteArray(still.buffer));
        JsonNode taken =
                JsonMapper.shared().readTree(send(upload).body()).get("stills").get(0);
        JsonNode reel = answer(app, "/api/reels", "{\"name\":\"Tide\"}");
        return answer(app, "/api/reels/" + reel.get("id").asString() + "/edits", """
                {"base":1,"edit":{"type":"addStills","after":0,"stills":[
                  {"picture":"%s","name":"Tide","size":{"width":60,"height":40},"delayMillis":0,"plays":-1}],
                  "gathering":""}}""".formatted(
                        taken.get("picture").asString()));
    }

    private JsonNode answer(App app, String path, String json) throws Exception {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(app.address() + path));
        if (json != null) {
            request.header("Content-Type", "application/json").POST(HttpRequest.BodyPublishers.ofString(json));
        }
        HttpResponse<byte[]> response = send(request);
        assertThat(response.statusCode()).isBetween(200, 201);
        return JsonMapper.shared().readTree(response.body());
    }

    private HttpResponse<byte[]> send(HttpRequest.Builder request) throws IOException, InterruptedException {
        return http.send(request.build(), HttpResponse.BodyHandlers.ofByteArray());
    }
}
