package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.gif.GifReader;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.server.RunningServer.Answer;
import dobbin.server.data.DataStore;
import dobbin.server.pictures.PictureLibrary;
import dobbin.still.DecodeLimits;
import dobbin.still.PngWriter;
import dobbin.still.StillReader;
import java.time.Instant;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** What is kept, what goes, and what is said of what is damaged. */
class KeepingTest {
    @RegisterExtension
    static final RunningServer server = new RunningServer();

    private static final int NIGHT = 0xFF101830;
    private static final int DAWN = 0xFFE06848;

    private static String path(JsonNode reel) {
        return "/api/reels/" + reel.get("id").asString();
    }

    private static JsonNode edited(JsonNode reel, String edit) {
        Answer answer = server.edit(reel, edit.replace('\'', '"'));
        assertThat(answer.status()).as(() -> answer.json().toString()).isEqualTo(200);
        return answer.json();
    }

    /** @return the reel of two frames after edit {@code i} = 0.. of {@code edits} gave one of them 200 + 10 i ms, in turn */
    private static JsonNode afterDelays(int edits, JsonNode reel) {
        JsonNode now = reel;
        for (int i = 0; i < edits; i++) {
            now = edited(
                    now, "{'type':'setDelay','frames':[" + (1 + i % 2) + "],'delayMillis':" + (200 + 10 * i) + "}");
        }
        return now;
    }

    private static int steps(JsonNode reel) {
        return server.get(path(reel) + "/history").json().get("steps").size();
    }

    @Test
    void anEditThatChangesNothingLeavesNoStep() {
        JsonNode reel = server.reelOf(NIGHT, DAWN);
        JsonNode same = edited(reel, "{'type':'setPlays','times':0}");
        assertThat(same.get("revision")).isEqualTo(reel.get("revision"));
        assertThat(steps(reel)).isEqualTo(2);
    }

    @Test
    void aRowOfNudgesIsUndoneAtOnce() {
        JsonNode reel = server.reelOf(NIGHT, DAWN);
        JsonNode nudged = reel;
        for (int delay = 110; delay <= 150; delay += 10) {
            nudged = edited(nudged, "{'type':'setDelay','frames':[1],'delayMillis':" + delay + "}");
        }
        assertThat(nudged.at("/frames/0/delayMillis").asInt()).isEqualTo(150);
        assertThat(nudged.get("revision").asInt())
                .isEqualTo(reel.get("revision").asInt() + 5);
        assertThat(steps(reel)).isEqualTo(3);
        JsonNode undone = server.post(path(reel) + "/undo", "{\"base\":" + nudged.get("revision") + "}")
                .json();
        assertThat(undone.get("frames")).isEqualTo(reel.get("frames"));
    }

    @Test
    void aBatchIsOneStepOrNone() {
        JsonNode reel = server.reelOf(NIGHT, DAWN);
        String batch = "{'type':'batch','title':'Tidy up','edits':[{'type':'setPlays','times':3},%s]}";
        JsonNode both = edited(reel, batch.formatted("{'type':'removeFrames','frames':[1]}"));
        assertThat(both.get("undo").asString()).isEqualTo("Tidy up");
        assertThat(both.get("plays").asInt()).isEqualTo(3);
        assertThat(both.get("frames")).hasSize(1);
        assertThat(steps(reel)).isEqualTo(3);
        Answer refused = server.edit(
                both, batch.formatted("{'type':'removeFrames','frames':[77]}").replace('\'', '"'));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(server.get(path(reel)).json()).isEqualTo(both);
    }

    @Test
    void stillsOfOneGatheringAreOneStep() {
        JsonNode reel = server.reelOf(NIGHT);
        for (int i = 2; i <= 4; i++) {
            JsonNode still = server.upload("Tide " + i + ".png", RunningServer.png(new Size(30, 20), 0xFF000000 + i))
                    .json()
                    .at("/stills/0");
            int last = reel.get("frames")
                    .get(reel.get("frames").size() - 1)
                    .get("id")
                    .asInt();
            reel = edited(reel, "{'type':'addStills','stills':[" + still + "],'after':" + last + ",'gathering':'one'}");
        }
        assertThat(reel.get("frames")).hasSize(4);
        assertThat(reel.get("undo").asString()).isEqualTo("Add 3 stills");
        assertThat(steps(reel)).isEqualTo(3);
    }

    @Test
    void theDocumentsOfAHistoryComeBackFarBack() {
        JsonNode reel = server.reelOf(NIGHT, DAWN);
        JsonNode now = afterDelays(70, reel);
        for (int step : new int[] {3, 32, 33, 64, 71}) {
            now = server.post(path(reel) + "/step", "{\"base\":" + now.get("revision") + ",\"step\":" + step + "}")
                    .json();
            int last = step - 2;
            assertThat(now.at("/frames/" + last % 2 + "/delayMillis").asInt()).isEqualTo(200 + 10 * last);
        }
        server.restart();
        assertThat(server.get(path(reel)).json()).isEqualTo(now);
    }

    @Test
    void removedReelsComeBackOrGoForGood() {
        JsonNode kept = server.reelOf(NIGHT);
        JsonNode gone = server.reelOf(0xFF123456);
        server.delete(path(kept));
        server.delete(path(gone));
        assertThat(server.get("/api/removed").json().get("reels"))
                .extracting(card -> card.get("id"))
                .contains(kept.get("id"), gone.get("id"));
        assertThat(server.post(path(kept) + "/restore", "{}").json().get("frames"))
                .isEqualTo(kept.get("frames"));
        assertThat(server.delete("/api/removed/" + gone.get("id").asString()).status())
                .isEqualTo(204);
        assertThat(server.get("/api/removed").json().get("reels")).isEmpty();
        assertThat(server.post(path(gone) + "/restore", "{}").status()).isEqualTo(404);
        assertThat(server.delete("/api/removed/" + kept.get("id").asString()).status())
                .isEqualTo(204);
        assertThat(server.get(path(kept)).json())
                .as("one that is on the shelf is not purged")
                .isEqualTo(kept);
    }

    @Test
    void picturesStayAsLongAsAnythingNamesThem() {
        JsonNode reel = server.reelOf(0xFF445566);
        String picture = reel.at("/frames/0/content/picture").asString();
        JsonNode bare = edited(reel, "{'type':'removeFrames','frames':[1]}");
        server.delete(path(reel));
        sweep();
        assertThat(server.bean(PictureLibrary.class).infos(List.of(picture)))
                .as("a removed reel can be put back, and its edit undone")
                .isNotEmpty();
        assertThat(bare.get("frames")).isEmpty();
        server.delete("/api/removed/" + reel.get("id").asString());
        sweep();
        assertThat(server.bean(PictureLibrary.class).infos(List.of(picture))).isEmpty();
    }

    /** As on the next day. */
    private static void sweep() {
        server.bean(PictureLibrary.class).sweep(Instant.now().plusSeconds(60));
    }

    @Test
    void theDataFileGivesSpaceBackWhileItIsInUse() {
        JsonNode reel = server.reelOf(NIGHT, DAWN);
        JsonNode now = afterDelays(150, reel);
        long before = server.dataFile().length();
        server.bean(DataStore.class).compact(4_000);
        assertThat(server.dataFile().length()).isLessThan(before / 2);
        assertThat(server.get(path(reel)).json()).isEqualTo(now);
        server.restart();
        assertThat(server.get(path(reel)).json()).isEqualTo(now);
    }

    @Test
    void aLongShelfComesInPages() {
        for (int i = 0; i < 3; i++) {
            server.post("/api/reels", "{\"name\":\"Reel " + i + "\"}");
        }
        JsonNode first = server.get("/api/reels?count=2").json();
        assertThat(first.get("reels"))
                .extracting(card -> card.get("name").asString())
                .containsExactly("Reel 2", "Reel 1");
        assertThat(server.get("/api/reels?from=2&count=1")
                        .json()
                        .at("/reels/0/name")
                        .asString())
                .isEqualTo("Reel 0");
        assertThat(first.get("total").asInt()).isGreaterThanOrEqualTo(3);
        assertThat(server.get("/api/reels?count=0").detail()).isEqualTo("count must be from 1 to 200, not 0");
    }

    @Test
    void aReelThatCannotBeReadStandsOnTheShelfAndHarmsNoOther() {
        JsonNode sound = server.reelOf(NIGHT);
        JsonNode damaged = server.reelOf(DAWN);
        String id = damaged.get("id").asString();
        server.sql("UPDATE step SET packed = X'0102030405' WHERE reel = '" + id + "'");
        server.restart();
        Answer opened = server.get(path(damaged));
        assertThat(opened.status()).isEqualTo(422);
        assertThat(opened.detail()).startsWith("This reel is damaged");
        JsonNode shelf = server.get("/api/reels").json().get("reels");
        assertThat(shelf)
                .filteredOn(card -> card.get("id").asString().equals(id))
                .singleElement()
                .satisfies(card -> assertThat(card.get("problem").asString()).startsWith("This reel is damaged"));
        assertThat(server.get(path(sound)).json()).isEqualTo(sound);
        assertThat(server.delete(path(damaged)).status())
                .as("it can be removed")
                .isEqualTo(204);
        assertThat(server.delete("/api/removed/" + id).status()).isEqualTo(204);
    }

    @Test
    void whatTheFirstVersionStoredAsTextIsOpened() {
        JsonNode reel = server.reelOf(NIGHT);
        String picture = reel.at("/frames/0/content/picture").asString();
        String document = """
                {"name":"Old tide","canvas":{"width":30,"height":20},"frames":[{"id":1,"delayMillis":90,"still":{"picture":
                "%s","name":"Tide 1.png","size":{"width":30,"height":20}}}],"plays":{"times":0},"delivery":{"width":30,
                "colors":64,"dither":"ERROR","matte":""},"budgetBytes":500000,"nextFrameId":2}""".formatted(picture);
        server.sql("UPDATE step SET packed = NULL, base = NULL, document = '" + document + "' WHERE reel = '"
                + reel.get("id").asString() + "'");
        server.sql("UPDATE reel SET card = NULL");
        server.restart();
        JsonNode old = server.get(path(reel)).json();
        assertThat(old.get("name").asString()).isEqualTo("Old tide");
        assertThat(old.at("/frames/0/drawn")).isEqualTo(reel.at("/frames/0/drawn"));
        assertThat(server.get("/api/reels").json().get("reels"))
                .extracting(card -> card.get("name").asString())
                .contains("Old tide");
    }

    @Test
    void aFlippedBitInADeliveryIsSeen() throws Exception {
        JsonNode reel = server.reelOf(NIGHT, DAWN);
        JsonNode state = server.ended(
                server.post(path(reel) + "/deliveries", "{\"name\":\"Tide\"}").json());
        String file = "/api/deliveries/" + state.get("result").asString() + ".gif";
        byte[] sound = server.get(file).body();
        assertThat(GifReader.open(sound, DecodeLimits.USUAL).size()).isEqualTo(new Size(30, 20));
        sound[40] ^= 1;
        server.bean(JdbcTemplate.class)
                .update(
                        "UPDATE delivery SET bytes = ? WHERE id = ?",
                        sound,
                        state.get("result").asString());
        Answer damaged = server.get(file);
        assertThat(damaged.status()).isEqualTo(500);
        assertThat(damaged.detail()).startsWith("This delivery is damaged on the disk");
        String delivery = path(reel) + "/deliveries/" + state.get("result").asString();
        assertThat(server.delete(delivery).status()).isEqualTo(204);
        assertThat(server.get(path(reel) + "/deliveries").json()).isEmpty();
    }

    @Test
    void aDamagedCopyIsMadeAnewAndADamagedPictureIsSaid() throws Exception {
        byte[] large = noise(700, 400);
        JsonNode still = server.upload("noise.png", large).json().at("/stills/0");
        String picture = still.get("picture").asString();
        JsonNode reel = server.post("/api/reels", "{\"name\":\"Noise\"}").json();
        reel = edited(reel, "{'type':'addStills','stills':[" + still + "],'after':0,'gathering':''}");
        String drawn = path(reel) + "/frames/" + reel.at("/frames/0/drawn").asString() + ".png?width=";
        byte[] before = server.get(drawn + 250).body();
        server.sql("UPDATE picture SET small = X'00112233' WHERE id = '" + picture + "'");
        server.restart();
        assertThat(server.get(drawn + 250).body()).isEqualTo(before);
        server.bean(JdbcTemplate.class)
                .update(
                        "UPDATE picture SET small = ?, small_sum = NULL WHERE id = ?",
                        PngWriter.bytes(Raster.filled(new Size(320, 183), NIGHT)),
                        picture);
        server.restart();
        assertThat(StillReader.read(server.get(drawn + 249).body(), DecodeLimits.USUAL)
                        .raster()
                        .pixel(120, 70))
                .as("earlier versions kept copies as PNG")
                .isEqualTo(NIGHT);
        large[large.length / 2] ^= 1;
        server.bean(JdbcTemplate.class)
                .update("UPDATE picture SET bytes = ?, small = X'00112233' WHERE id = ?", large, picture);
        server.restart();
        Answer damaged = server.get(drawn + 248);
        assertThat(damaged.status()).isEqualTo(422);
        assertThat(damaged.detail()).startsWith("A picture is damaged on the disk");
    }

    private static byte[] noise(int width, int height) {
        Random random = new Random(7);
        int[] argb =
                random.ints((long) width * height).map(rgb -> 0xFF000000 | rgb).toArray();
        return PngWriter.bytes(Raster.of(new Size(width, height), argb));
    }
}
