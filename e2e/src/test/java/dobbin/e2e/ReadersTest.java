package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.Base64;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The packaged application reads every kind of picture after any start, whichever of its threads reads first. */
@Tag("long")
class ReadersTest {
    private static final String WEBP = """
            async () => {
              const canvas = new OffscreenCanvas(64, 48)
              const pen = canvas.getContext('2d')
              pen.fillStyle = '#2b6f86'
              pen.fillRect(0, 0, 64, 48)
              const blob = await canvas.convertToBlob({ type: 'image/webp', quality: 0.9 })
              const bytes = new Uint8Array(await blob.arrayBuffer())
              return btoa(String.fromCharCode(...bytes))
            }""";

    @TempDir
    private Path data;

    private final HttpClient http = HttpClient.newHttpClient();

    @Test
    void webpIsReadAlsoWhereADrawingThreadReadsItFirst() throws Exception {
        try (App app = App.start(data);
                Browser browser = new Browser(data.resolve("profile"))) {
            Page page = browser.open(app.address());
            byte[] webp = Base64.getDecoder().decode((String) page.evaluate(WEBP));
            assertThat(new String(webp, 8, 4, java.nio.charset.StandardCharsets.ISO_8859_1))
                    .isEqualTo("WEBP");
            page.close();
            JsonNode still = post(app, "/api/pictures?name=tide.webp", "application/octet-stream", webp)
                    .at("/stills/0");
            JsonNode empty = post(app, "/api/reels", "application/json", "{\"name\":\"Tide\"}".getBytes());
            String path = "/api/reels/" + empty.get("id").asString();
            JsonNode reel = post(
                    app,
                    path + "/edits",
                    "application/json",
                    ("{\"base\":1,\"edit\":{\"type\":\"addStills\",\"after\":0,\"gathering\":\"\",\"stills\":[" + still
                                    + "]}}")
                            .getBytes());
            String drawn = path + "/frames/" + reel.at("/frames/0/drawn").asString() + ".png?width=60";
            for (int start = 0; start < 2; start++) {
                app.kill();
                app.startAgain();
                HttpResponse<byte[]> picture = http.send(
                        HttpRequest.newBuilder(URI.create(app.address() + drawn))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray());
                assertThat(picture.statusCode()).isEqualTo(200);
                assertThat(post(app, "/api/pictures?name=tide.webp", "application/octet-stream", webp)
                                .get("problem")
                                .isNull())
                        .isTrue();
            }
        }
    }

    private JsonNode post(App app, String path, String type, byte[] body) throws IOException, InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(URI.create(app.address() + path))
                .header("Content-Type", type)
                .POST(HttpRequest.BodyPublishers.ofByteArray(body))
                .build();
        return JsonMapper.shared()
                .readTree(http.send(request, HttpResponse.BodyHandlers.ofByteArray())
                        .body());
    }
}
