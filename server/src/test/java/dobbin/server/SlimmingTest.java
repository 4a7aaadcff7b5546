package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dobbin.gif.GifReader;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.server.RunningServer.Answer;
import dobbin.skerry.SkerryPoint;
import dobbin.still.DecodeLimits;
import dobbin.still.PngWriter;
import dobbin.still.StillReader;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What settings cost over HTTP: facts, pictures, trials, searches, palettes. */
class SlimmingTest {
    private static final Size SIZE = new Size(120, 80);
    private static final List<Raster> SUNRISE = SkerryPoint.sunrise(4, SIZE);

    @RegisterExtension
    private static final RunningServer server = new RunningServer();

    private static String path(JsonNode reel) {
        return "/api/reels/" + reel.get("id").asString();
    }

    private static JsonNode sunrise() {
        return reelOf(SUNRISE);
    }

    private static JsonNode reelOf(List<Raster> rasters) {
        StringBuilder stills = new StringBuilder();
        for (Raster raster : rasters) {
            JsonNode taken =
                    server.upload("Sunrise.png", PngWriter.bytes(raster)).json();
            stills.append(stills.isEmpty() ? "" : ",")
                    .append(taken.get("stills").get(0));
        }
        JsonNode reel = server.post("/api/reels", "{\"name\":\"Sunrise\"}").json();
        return server.edit(reel, "{\"type\":\"addStills\",\"after\":0,\"stills\":[" + stills + "],\"gathering\":\"\"}")
                .json();
    }

    private static String weighed(JsonNode reel) {
        return server.until(
                        path(reel) + "/weight", weight -> !weight.get("bytes").isNull())
                .get("file")
                .asString();
    }

    private static JsonNode set(JsonNode reel, String field, Object value) {
        ObjectNode delivery = reel.get("delivery").deepCopy().asObject();
        delivery.set(field, JsonMapper.shared().valueToTree(value));
        return server.edit(reel, "{\"type\":\"setDelivery\",\"delivery\":" + delivery + "}")
                .json();
    }

    private static JsonNode trials(JsonNode reel, int count) {
        return server.until(path(reel) + "/trials", told -> told.get("trials").size() >= count)
                .get("trials");
    }

    private static Raster picture(String path) throws Exception {
        return StillReader.read(server.get(path).body(), DecodeLimits.USUAL).raster();
    }

    @Test
    void theFactsAddUpToTheFile() {
        JsonNode reel = sunrise();
        String file = weighed(reel);
        JsonNode facts = server.get(path(reel) + "/files/" + file + "/facts").json();
        int bytes = server.get(path(reel) + "/files/" + file + ".gif").body().length;
        int ofFrames = StreamSupport.stream(facts.get("frames").spliterator(), false)
                .mapToInt(frame -> frame.get("palette").asInt()
                        + frame.get("codes").asInt()
                        + frame.get("overhead").asInt())
                .sum();
        assertThat(facts.get("bytes").asInt()).isEqualTo(bytes);
        assertThat(facts.get("head").asInt() + ofFrames).isEqualTo(bytes);
        assertThat(facts.get("advice").asString()).startsWith("Frame ");
        double shares = StreamSupport.stream(facts.get("swatches").spliterator(), false)
                .mapToDouble(swatch -> swatch.get("share").asDouble())
                .sum();
        assertThat(shares).isCloseTo(1, within(0.05));
    }

    @Test
    void framesOfTheFileAreWhatViewersSeeAndTheDrawnOnesAreTheStills() throws Exception {
        JsonNode reel = sunrise();
        String file = weighed(reel);
        String frames = path(reel) + "/files/" + file + "/frames/";
        GifReader reader = GifReader.open(
                server.get(path(reel) + "/files/" + file + ".gif").body(), DecodeLimits.USUAL);
        for (int i = 0; i < SUNRISE.size(); i++) {
            assertThat(picture(frames + i + "/delivered.png"))
                    .isEqualTo(reader.next().orElseThrow().picture());
            assertThat(picture(frames + i + "/drawn.png")).isEqualTo(SUNRISE.get(i));
        }
        assertThat(picture(frames + "2/heat.png").size()).isEqualTo(SIZE);
        assertThat(picture(path(reel) + "/files/" + file + "/dithers.png").size())
                .isEqualTo(new Size(72, 6 * 44));
        assertThat(server.get(frames + "4/drawn.png").detail()).contains("place must be from 0 to 3");
        assertThat(server.get(frames + "1/warm.png").status()).isEqualTo(404);
        set(reel, "colors", 9);
        assertThat(picture(frames + "0/drawn.png"))
                .as("asked for a moment too late")
                .isEqualTo(SUNRISE.get(0));
        assertThat(server.get(path(reel) + "/files/" + file + "/facts").detail())
                .contains("delivered differently by now");
        assertThat(server.get(path(reel) + "/files/nowhere/frames/0/drawn.png").status())
                .isEqualTo(404);
    }

    @Test
    void eachSettingThatIsLookedAtIsKeptOnceWithItsPictureAndName() throws Exception {
        JsonNode reel = sunrise();
        server.post(path(reel) + "/files/" + weighed(reel) + "/trial", "");
        JsonNode first = trials(reel, 1).get(0);
        JsonNode few = set(reel, "colors", 8);
        String file = weighed(few);
        server.post(path(reel) + "/files/" + file + "/trial", "");
        server.post(path(reel) + "/files/" + file + "/trial", "");
        JsonNode both = trials(few, 2);
        assertThat(both).hasSize(2);
        assertThat(both.get(0).get("id")).isEqualTo(first.get("id"));
        JsonNode second = both.get(1);
        assertThat(second.get("delivery")).isEqualTo(few.get("delivery"));
        assertThat(second.get("error").asDouble())
                .isGreaterThan(first.get("error").asDouble());
        assertThat(second.get("bytes").asInt()).isLessThan(first.get("bytes").asInt());
        assertThat(second.get("better").isNull()).isTrue();
        String trial = path(reel) + "/trials/" + second.get("id").asString();
        assertThat(picture(trial + ".png").size()).isEqualTo(SIZE);

        assertThat(put(trial, "{\"name\":\"For the post\"}").status()).isEqualTo(204);
        assertThat(trials(few, 2).get(1).get("name").asString()).isEqualTo("For the post");
        server.restart();
        assertThat(trials(few, 2).get(1).get("name").asString()).isEqualTo("For the post");
        assertThat(server.delete(trial).status()).isEqualTo(204);
        assertThat(server.delete(trial).status()).isEqualTo(404);
        assertThat(trials(few, 1)).hasSize(1);
    }

    @Test
    void trialsOfTheLoopAsItWasAreToldApart() {
        JsonNode reel = sunrise();
        server.post(path(reel) + "/files/" + weighed(reel) + "/trial", "");
        assertThat(trials(reel, 1).get(0).get("current").asBoolean()).isTrue();
        JsonNode fewer =
                server.edit(reel, "{\"type\":\"removeFrames\",\"frames\":[2]}").json();
        assertThat(trials(fewer, 1).get(0).get("current").asBoolean()).isFalse();
    }

    @Test
    void exploringFillsTheChartAndFittingTakesWhatItFinds() {
        JsonNode reel = sunrise();
        JsonNode explored =
                server.ended(server.post(path(reel) + "/explorations", "").json());
        assertThat(explored.get("state").asString()).isEqualTo("DONE");
        JsonNode trials = trials(reel, 20);
        assertThat(StreamSupport.stream(trials.spliterator(), false)
                        .filter(each -> each.get("better").isNull()))
                .as("the edge")
                .hasSizeBetween(3, trials.size() - 1);

        JsonNode tight =
                server.edit(reel, "{\"type\":\"setBudget\",\"bytes\":12000}").json();
        JsonNode fitted = server.ended(server.post(path(reel) + "/fittings", "{\"width\":false,\"frames\":false}")
                .json());
        assertThat(fitted.get("result").asString())
                .contains("colors instead of 256")
                .endsWith(" KB.");
        JsonNode after = server.get(path(reel)).json();
        assertThat(after.get("revision").asInt())
                .isEqualTo(tight.get("revision").asInt() + 1);
        assertThat(after.get("deliveredSize")).isEqualTo(reel.get("deliveredSize"));
        weighed(after);
        assertThat(server.get(path(reel) + "/weight").json().get("bytes").asInt())
                .isLessThanOrEqualTo(12_000);
        assertThat(server.post(path(reel) + "/undo", "{\"base\":" + after.get("revision") + "}")
                        .json()
                        .get("delivery"))
                .isEqualTo(reel.get("delivery"));
    }

    @Test
    void aSearchIsOneForAllWhoAskAndCanBeStopped() {
        JsonNode reel = reelOf(SkerryPoint.sunrise(12, new Size(320, 200)));
        JsonNode first = server.post(path(reel) + "/explorations", "").json();
        JsonNode again = server.post(path(reel) + "/explorations", "").json();
        assertThat(again.get("id")).isEqualTo(first.get("id"));
        JsonNode search = server.get(path(reel) + "/searches").json().get(0);
        assertThat(search.get("job").get("id")).isEqualTo(first.get("id"));
        assertThat(search.get("fits").asBoolean()).isFalse();
        Answer other = server.post(path(reel) + "/fittings", "{\"width\":false,\"frames\":false}");
        assertThat(other.status()).isEqualTo(409);
        assertThat(other.detail()).startsWith("Settings are being explored.");
        server.delete("/api/jobs/" + first.get("id").asString());
        assertThat(server.ended(first).get("state").asString()).isEqualTo("CANCELLED");
        assertThat(server.get(path(reel) + "/searches").json()).isEmpty();
    }

    @Test
    void whereNothingFitsTheSettingsStay() {
        JsonNode reel = reelOf(SkerryPoint.sunrise(4, new Size(480, 320)));
        JsonNode tiny =
                server.edit(reel, "{\"type\":\"setBudget\",\"bytes\":1000}").json();
        JsonNode ended = server.ended(server.post(path(reel) + "/fittings", "{\"width\":false,\"frames\":false}")
                .json());
        assertThat(ended.get("result").asString()).startsWith("Nothing that may change brings it under 1 KB");
        assertThat(server.get(path(reel)).json()).isEqualTo(tiny);
        JsonNode empty = server.post("/api/reels", "{\"name\":\"Empty\"}").json();
        assertThat(server.post(path(empty) + "/explorations", "").detail()).contains("frames are missing");
    }

    @Test
    void trialsThatAnotherVersionStoredAreLeftAlone() {
        JsonNode reel = sunrise();
        server.post(path(reel) + "/files/" + weighed(reel) + "/trial", "");
        trials(reel, 1);
        assertThat(server.sql("UPDATE trial SET delivery = '{\"shape\":\"of tomorrow\"}'"))
                .isPositive();
        assertThat(server.get(path(reel) + "/trials").json().get("trials")).isEmpty();
        assertThat(server.get(path(reel) + "/trials").status()).isEqualTo(200);
    }

    @Test
    void aReelThatIsRemovedForGoodTakesItsTrialsAlong() {
        JsonNode reel = sunrise();
        server.post(path(reel) + "/files/" + weighed(reel) + "/trial", "");
        trials(reel, 1);
        assertThat(server.delete(path(reel)).status()).isEqualTo(204);
        assertThat(server.delete("/api/removed/" + reel.get("id").asString()).status())
                .isEqualTo(204);
        assertThat(server.sql(
                        "DELETE FROM trial WHERE reel = '" + reel.get("id").asString() + "'"))
                .isZero();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{'name':'','colors':['b23a2e']} | 422 | name must have 1 to 120 characters",
                "{'name':'Harbor','colors':[]} | 422 | own must have at least one color",
                "{'name':'Harbor','colors':['red']} | 422 | own must be six hexadecimal digits",
            })
    void palettesThatCannotBeKeptAreRefused(String palette, int status, String reason) {
        Answer refused = server.post("/api/palettes", palette.replace('\'', '"'));
        assertThat(refused.status()).isEqualTo(status);
        assertThat(refused.detail()).contains(reason);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'x':100,'y':0,'width':40,'height':10 | crop must lie on the canvas of 120 × 80",
                "'x':0,'y':0,'width':40,'height':0 | crop must have a width and a height",
                "'x':-1,'y':0,'width':40,'height':10 | x must be from 0 to",
            })
    void cropsThatAreNotOnTheCanvasAreRefused(String crop, String reason) {
        JsonNode reel = sunrise();
        String delivery = reel.get("delivery")
                .toString()
                .replaceFirst("\"crop\":\\{[^}]*}", "\"crop\":{" + crop.replace('\'', '"') + "}");
        Answer refused = server.edit(reel, "{\"type\":\"setDelivery\",\"delivery\":" + delivery + "}");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains(reason);
        assertThat(server.get(path(reel)).json()).isEqualTo(reel);
    }

    @Test
    void theOverlayShowsAllFramesAndTrimmingLeavesOutTheRest() throws Exception {
        JsonNode reel = server.reelOf(0xFF101830, 0xFFE06848);
        assertThat(picture(path(reel) + "/overlays/1.png").size()).isEqualTo(new Size(30, 20));
        JsonNode whole = server.post(path(reel) + "/trims", "").json().get("crop");
        assertThat(whole.get("width").asInt()).as("all of it changes").isEqualTo(30);
        JsonNode one = server.reelOf(0xFF101830);
        assertThat(server.post(path(one) + "/trims", "")
                        .json()
                        .get("crop")
                        .get("width")
                        .asInt())
                .as("nothing but one color")
                .isZero();
    }

    @Test
    void palettesHaveNamesForEveryReelAndAreFiles() {
        Answer kept = server.post("/api/palettes", "{\"name\":\"Harbor\",\"colors\":[\"b23a2e\",\"2b6f86\"]}");
        assertThat(kept.status()).isEqualTo(201);
        assertThat(server.get("/api/palettes").json().get(0).get("name").asString())
                .isEqualTo("Harbor");
        String colors = "{\"colors\":[\"b23a2e\",\"2b6f86\"]}";
        byte[] text = server.post("/api/palettes/text", colors).body();
        assertThat(new String(text, StandardCharsets.UTF_8)).isEqualTo("#b23a2e\n#2b6f86\n");
        byte[] strip = server.post("/api/palettes/strip", colors).body();
        for (byte[] file : List.of(text, strip)) {
            assertThat(read("colors", file).json().get("colors").toString()).isEqualTo("[\"b23a2e\",\"2b6f86\"]");
        }
        assertThat(server.delete("/api/palettes/" + kept.json().get("id").asString())
                        .status())
                .isEqualTo(204);
        assertThat(server.get("/api/palettes").json()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "'#b23a2e\nnot a color', '“colors” has no color in line 2'",
        "'', '“colors” holds no color'",
    })
    void whatIsNoPaletteIsRefusedByItsName(String text, String reason) {
        Answer refused = read("colors", text.getBytes(StandardCharsets.UTF_8));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains(reason);
    }

    private static Answer read(String name, byte[] file) {
        return server.post("/api/palettes/read?name=" + name, file);
    }

    private static Answer put(String path, String json) {
        return server.send(HttpRequest.newBuilder(server.address(path))
                .header("Content-Type", "application/json")
                .PUT(HttpRequest.BodyPublishers.ofString(json)));
    }
}
