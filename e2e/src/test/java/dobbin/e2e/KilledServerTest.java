package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.lettering.Typeface;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What was answered is kept, whatever happens to the server the moment after. */
@Tag("long")
class KilledServerTest {
    private static final int EDITS_A_LIFE = 7;

    private static final String STROKE = """
            {"frames":[1],"mark":{"type":"stroke","points":[%d,5,4,%d,30,6],"mirroring":"NONE",
              "pen":{"color":"b23a24","opacity":100,"softness":20,"hard":false,"erases":false}}}""";

    private final HttpClient http = HttpClient.newHttpClient();

    @Test
    void killingTheServerRightAfterAnAnswerLosesNothing(@TempDir Path data) throws Exception {
        try (App app = App.start(data)) {
            JsonNode reel = withACardInATypefaceOfItsOwn(app, reelWithAFrame(app));
            for (int life = 0; life < 3; life++) {
                for (int edit = 0; edit < EDITS_A_LIFE; edit++) {
                    reel = answer(
                            app,
                            "/api/reels/" + reel.get("id").asString() + "/edits",
                            "{\"base\":%d,\"edit\":{\"type\":\"setDelay\",\"frames\":[1],\"delayMillis\":%d}}"
                                    .formatted(reel.get("revision").asInt(), 100 * (life + 1) + 10 * edit));
                }
                reel = answer(
                        app,
                        "/api/reels/" + reel.get("id").asString() + "/marks",
                        STROKE.formatted(5 + 10 * life, 30 + 10 * life));
                byte[] ink = ink(app, reel);
                app.kill();
                app.startAgain();
                JsonNode kept = answer(app, "/api/reels/" + reel.get("id").asString(), null);
                assertThat(kept).isEqualTo(reel);
                assertThat(ink(app, kept)).isEqualTo(ink);
            }
            for (JsonNode frame : reel.get("frames")) {
                String drawn = frame.get("drawn").asString();
                String picture = "/api/reels/" + reel.get("id").asString() + "/frames/" + drawn + ".png?width=60";
                assertThat(send(HttpRequest.newBuilder(URI.create(app.address() + picture)))
                                .statusCode())
                        .isEqualTo(200);
            }
        }
    }

    private byte[] ink(App app, JsonNode reel) throws Exception {
        JsonNode ink = reel.get("frames").get(0).get("ink");
        String layer = ink.get("picture").asString() + "." + ink.get("x") + "." + ink.get("y");
        String picture = app.address() + "/api/reels/" + reel.get("id").asString() + "/layers/" + layer + ".png";
        HttpResponse<byte[]> answered = send(HttpRequest.newBuilder(URI.create(picture)));
        assertThat(answered.statusCode()).isEqualTo(200);
        return answered.body();
    }

    /** A new process knows the file again from the data alone. */
    private JsonNode withACardInATypefaceOfItsOwn(App app, JsonNode reel) throws Exception {
        byte[] lora;
        try (InputStream file = Typeface.class.getResourceAsStream("Lora-Regular.ttf")) {
            lora = file.readAllBytes();
        }
        JsonNode own = upload(app, "/api/typefaces?name=Mine.ttf", lora);
        return answer(app, "/api/reels/" + reel.get("id").asString() + "/edits", """
                {"base":2,"edit":{"type":"addCard","after":1,"delayMillis":90,"card":{"kind":"card","background":"9cc3e0",
                  "text":"Ferry","typeface":"PLAIN","own":%s,"size":12,"color":"101830","align":"CENTER"}}}""".formatted(own));
    }

    private JsonNode upload(App app, String path, byte[] file) throws Exception {
        HttpRequest.Builder upload = HttpRequest.newBuilder(URI.create(app.address() + path))
                .header("Content-Type", "application/octet-stream")
                .POST(HttpRequest.BodyPublishers.ofByteArray(file));
        return JsonMapper.shared().readTree(send(upload).body());
    }

    private JsonNode reelWithAFrame(App app) throws Exception {
        JsonNode taken = upload(app, "/api/pictures?name=Tide", Stills.png(1).buffer)
                .get("stills")
                .get(0);
        JsonNode reel = answer(app, "/api/reels", "{\"name\":\"Tide\"}");
        return answer(app, "/api/reels/" + reel.get("id").asString() + "/edits", """
                {"base":1,"edit":{"type":"addStills","after":0,"stills":[
                  {"picture":"%s","name":"Tide","size":{"width":60,"height":40},"delayMillis":0,"plays":-1,"taken":0}],
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
