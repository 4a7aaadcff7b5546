package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.lettering.Typeface;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.server.RunningServer.Answer;
import dobbin.still.DecodeLimits;
import dobbin.still.StillReader;
import java.io.IOException;
import java.io.InputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Reels that begin from nothing, and words in a typeface of one's own. */
class BeginningTest {
    @RegisterExtension
    static final RunningServer server = new RunningServer();

    private static final int CLEAR = 0;

    private static JsonNode emptyReel() {
        return server.post("/api/reels/empty", "{\"name\":\"Low tide\",\"width\":64,\"height\":48}")
                .json();
    }

    @Test
    void aReelFromNothingHasOneEmptyFrameOnItsCanvasWhichStillsKeep() throws Exception {
        JsonNode reel = emptyReel();
        assertThat(reel.get("frames").size()).isEqualTo(1);
        String drawn = reel.get("frames").get(0).get("drawn").asString();
        Answer picture = server.get("/api/reels/" + reel.get("id").asString() + "/frames/" + drawn + ".png?width=64");
        assertThat(StillReader.read(picture.body(), DecodeLimits.USUAL).raster())
                .isEqualTo(Raster.filled(new Size(64, 48), CLEAR));
        JsonNode still = server.upload("Tide.png", RunningServer.png(new Size(30, 20), 0xFF101830))
                .json()
                .get("stills")
                .get(0);
        JsonNode more = server.edit(
                        reel, "{\"type\":\"addStills\",\"after\":0,\"stills\":[" + still + "],\"gathering\":\"\"}")
                .json();
        assertThat(more.get("canvas").get("width").asInt()).isEqualTo(64);
        assertThat(server.post("/api/reels/empty", "{\"name\":\"Low tide\",\"width\":0,\"height\":48}")
                        .detail())
                .contains("width must be from 1 to");
    }

    @Test
    void aTypefaceFileStaysWithTheReel() throws Exception {
        Answer refused = typeface("Notes.ttf", "no letters".getBytes());
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).isEqualTo("“Notes.ttf” is no typeface in the form of TTF or OTF.");
        JsonNode own = typeface("Mine.ttf", lora()).json();
        assertThat(own.get("name").asString()).isEqualTo("Lora Regular");
        JsonNode reel = server.edit(emptyReel(), card(own)).json();
        assertThat(reel.get("frames").get(0).get("content").get("own")).isEqualTo(own);
        server.restart();
        JsonNode again = server.get("/api/reels/" + reel.get("id").asString()).json();
        assertThat(again.get("frames")).isEqualTo(reel.get("frames"));
        String stranger = card(own).replace(own.get("file").asString(), "0".repeat(64));
        assertThat(server.edit(again, stranger).detail())
                .isEqualTo("own is a typeface file that is not here. Choose the file again");
    }

    private static String card(JsonNode own) {
        return """
                {"type":"addCard","after":0,"delayMillis":90,"card":{"kind":"card","background":"9cc3e0","text":"Ferry",
                 "typeface":"PLAIN","own":%s,"size":12,"color":"101830","align":"CENTER"}}""".formatted(own);
    }

    private static Answer typeface(String name, byte[] file) {
        return server.post("/api/typefaces?name=" + name, file);
    }

    private static byte[] lora() throws IOException {
        try (InputStream file = Typeface.class.getResourceAsStream("Lora-Regular.ttf")) {
            return file.readAllBytes();
        }
    }
}
