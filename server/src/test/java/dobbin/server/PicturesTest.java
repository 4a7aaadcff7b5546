package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.server.RunningServer.Answer;
import dobbin.skerry.DemoFolder;
import dobbin.skerry.SkerryPoint;
import dobbin.still.DecodeLimits;
import dobbin.still.StillReader;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

class PicturesTest {
    private static final DemoFolder SUNRISE = SkerryPoint.sunrise();

    @RegisterExtension
    private static final RunningServer server =
            new RunningServer("--dobbin.max-file-size=2000000B", "--dobbin.max-megapixels=2");

    @Test
    void aPictureIsKnownByItsContentWhateverItsName() {
        byte[] file = RunningServer.png(new Size(12, 8), 0xFF2B6F86);
        JsonNode once = server.upload("sea.png", file).json().get("stills").get(0);
        JsonNode again =
                server.upload("“the” sea 🌊.png", file).json().get("stills").get(0);
        assertThat(again.get("picture")).isEqualTo(once.get("picture"));
        assertThat(again.get("name").asString()).isEqualTo("“the” sea 🌊.png");
        assertThat(once.at("/size/width").asInt()).isEqualTo(12);
    }

    @Test
    void anAnimationGivesItsFramesAndDelays() {
        Answer light = server.upload(
                "the light.gif", SkerryPoint.light().files().get(0).bytes());
        JsonNode stills = light.json().get("stills");
        assertThat(stills.size()).isEqualTo(12);
        assertThat(stills.get(0).get("delayMillis").asInt()).isEqualTo(900);
        assertThat(stills.get(5).get("delayMillis").asInt()).isEqualTo(40);
    }

    @Test
    void badFilesAreNamedAndTheReasonSaid() {
        byte[] jpeg = SUNRISE.files().get(0).bytes();
        assertUnreadable(
                "“ferry “🌊”.jpg” is not a picture", "ferry “🌊”.jpg", "18.00".getBytes(StandardCharsets.UTF_8));
        assertUnreadable("“none.png” is empty.", "none.png", new byte[0]);
        assertUnreadable("“half.jpg” breaks off in the middle.", "half.jpg", Arrays.copyOf(jpeg, jpeg.length / 2));
        assertRefused(413, "“big.png” is larger than 2 MB.", "big.png", new byte[2_000_001]);
        byte[] large = RunningServer.png(new Size(2000, 1001), 0xFF000000);
        assertUnreadable("“wide.png” is 2000 × 1001 pixels; at most 2 megapixels", "wide.png", large);
    }

    /** Reading may take a while, and its answer has begun by then; so it is the answer that says so. */
    private static void assertUnreadable(String problem, String name, byte[] file) {
        Answer answer = server.upload(name, file);
        assertThat(answer.status()).isEqualTo(200);
        assertThat(answer.json().get("problem").asString()).startsWith(problem);
        assertThat(answer.json().get("stills").size()).isZero();
    }

    @Test
    void aFileByAnotherNameIsReadAndItsNatureSaid() {
        Answer taken = server.upload("sunrise.gif", SUNRISE.files().get(0).bytes());
        assertThat(taken.status()).isEqualTo(200);
        assertThat(taken.json().get("notes").get(0).asString())
                .isEqualTo("“sunrise.gif” is a JPEG file by another name; it was read as that.");
    }

    @Test
    void drawnFramesAreExactAndNeverChange() throws Exception {
        JsonNode reel = server.reelOf(0xFF102030, 0x00000000);
        for (int i = 0; i < 2; i++) {
            String drawn = reel.get("frames").get(i).get("drawn").asString();
            Answer png = server.get("/api/reels/" + reel.get("id").asString() + "/frames/" + drawn + ".png?width=240");
            assertThat(StillReader.read(png.body(), DecodeLimits.USUAL).raster())
                    .isEqualTo(Raster.filled(new Size(30, 20), i == 0 ? 0xFF102030 : 0));
            assertThat(png.response().headers().firstValue("Cache-Control").orElse(""))
                    .contains("immutable");
        }
    }

    @Test
    void whatAFrameLooksLikeNamesIt() {
        JsonNode reel = server.reelOf(0xFF102030, 0xFF405060);
        JsonNode reversed = server.edit(reel, "{\"type\":\"reverseFrames\",\"frames\":[1,2]}")
                .json();
        JsonNode copied = server.edit(reversed, "{\"type\":\"copyFrames\",\"frames\":[1],\"after\":2}")
                .json();
        assertThat(copied.get("frames").get(0).get("drawn"))
                .isEqualTo(reel.get("frames").get(1).get("drawn"));
        assertThat(copied.get("frames").get(2).get("drawn"))
                .isEqualTo(copied.get("frames").get(1).get("drawn"));
        String id = reel.get("id").asString();
        assertThat(server.get("/api/reels/" + id + "/frames/0123.png?width=100").status())
                .isEqualTo(404);
        assertThat(server.get("/api/reels/" + id + "/frames/0123.png?width=0").detail())
                .isEqualTo("width must be from 1 to 1,600, not 0");
    }

    @Test
    void theRhythmTellsChangesAndTheSeam() {
        JsonNode reel = server.reelOf(0xFF000000, 0xFF000000, 0xFFFFFFFF);
        JsonNode rhythm = server.get("/api/reels/" + reel.get("id").asString() + "/rhythm")
                .json();
        assertThat(rhythm.get("changes").get(0).asDouble()).isCloseTo(1, within(1e-4));
        assertThat(rhythm.get("changes").get(1).asDouble()).isZero();
        assertThat(rhythm.get("changes").get(2).asDouble()).isCloseTo(1, within(1e-4));
        assertThat(rhythm.get("seam").asString()).isEqualTo("VISIBLE");
    }

    @Test
    void pagesFromElsewhereAreKeptOut() {
        HttpRequest.Builder foreign = HttpRequest.newBuilder(server.address("/api/reels"))
                .header("Origin", "http://elsewhere.example")
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString("{\"name\":\"x\"}"));
        assertThat(server.send(foreign).status()).isEqualTo(403);
        Answer page = server.get("/wherever/this/leads");
        assertThat(page.status()).isEqualTo(200);
        assertThat(page.response()
                        .headers()
                        .firstValue("Content-Security-Policy")
                        .orElse(""))
                .contains("default-src 'self'", "frame-ancestors 'none'");
    }

    private static void assertRefused(int status, String detail, String name, byte[] file) {
        Answer answer = server.upload(name, file);
        assertThat(answer.status()).isEqualTo(status);
        assertThat(answer.detail()).contains(detail);
    }
}
