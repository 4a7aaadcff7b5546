package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.draw.Mark;
import dobbin.draw.Mirroring;
import dobbin.draw.Pen;
import dobbin.draw.Scene;
import dobbin.draw.Stroke;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.server.RunningServer.Answer;
import dobbin.server.pictures.PictureLibrary;
import dobbin.server.work.Budget;
import dobbin.skerry.SkerryPoint;
import dobbin.still.DecodeLimits;
import dobbin.still.PngWriter;
import dobbin.still.StillReader;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Drawing over HTTP: each mark is a step, and its ink a layer apart from the still. */
class DrawingTest {
    private static final Size CANVAS = new Size(60, 40);
    private static final String PEN =
            "{\"color\":\"b23a24\",\"opacity\":100,\"softness\":0,\"hard\":false,\"erases\":false}";
    private static final Pen RED = new Pen("b23a24", 100, 0, false, false);

    @RegisterExtension
    private static final RunningServer server = new RunningServer();

    private static String path(JsonNode reel) {
        return "/api/reels/" + reel.get("id").asString();
    }

    private static JsonNode empty(int width, int height) {
        return server.post(
                        "/api/reels/empty",
                        "{\"name\":\"Flip book\",\"width\":%d,\"height\":%d}".formatted(width, height))
                .json();
    }

    private static JsonNode withAPhoto() {
        JsonNode taken = server.upload(
                        "Sunrise.png",
                        PngWriter.bytes(SkerryPoint.sunrise(1, CANVAS).get(0)))
                .json();
        JsonNode reel = server.post("/api/reels", "{\"name\":\"Sunrise\"}").json();
        String stills = taken.get("stills").toString();
        return server.edit(reel, "{\"type\":\"addStills\",\"after\":0,\"stills\":" + stills + ",\"gathering\":\"\"}")
                .json();
    }

    private static int frame(JsonNode reel, int place) {
        return reel.get("frames").get(place).get("id").asInt();
    }

    private static JsonNode ink(JsonNode reel, int place) {
        return reel.get("frames").get(place).get("ink");
    }

    private static Answer mark(JsonNode reel, int frame, String mark) {
        return server.post(path(reel) + "/marks", "{\"frames\":[" + frame + "],\"mark\":" + mark + "}");
    }

    private static String onFrames(JsonNode reel, String frames, String mark) {
        Answer answer = server.post(path(reel) + "/marks", "{\"frames\":[" + frames + "],\"mark\":" + mark + "}");
        assertThat(answer.status()).isEqualTo(422);
        return answer.json().get("detail").asString();
    }

    private static String stroke(String pen, String points) {
        return "{\"type\":\"stroke\",\"pen\":" + pen + ",\"points\":[" + points + "],\"mirroring\":\"NONE\"}";
    }

    private static Raster layer(JsonNode reel, String name) throws Exception {
        return StillReader.read(
                        server.get(path(reel) + "/layers/" + name + ".png").body(), DecodeLimits.USUAL)
                .raster();
    }

    private static Raster inkLayer(JsonNode reel, int place) throws Exception {
        JsonNode ink = ink(reel, place);
        return layer(
                reel,
                ink.get("picture").asString() + "." + ink.get("x").asInt() + "."
                        + ink.get("y").asInt());
    }

    private static Raster drawn(JsonNode reel, int place) throws Exception {
        String look = reel.get("frames").get(place).get("drawn").asString();
        return StillReader.read(
                        server.get(path(reel) + "/frames/" + look + ".png?width=1600")
                                .body(),
                        DecodeLimits.USUAL)
                .raster();
    }

    @Test
    void aStrokeIsOneStepAndItsInkIsWhatCoreDraws() throws Exception {
        JsonNode reel =
                mark(empty(60, 40), 1, stroke(PEN, "5,5,4, 30,20,6, 50,10,4")).json();
        Mark stroke = new Stroke(RED, List.of(5.0, 5.0, 4.0, 30.0, 20.0, 6.0, 50.0, 10.0, 4.0), Mirroring.NONE);
        Raster nothing = Raster.filled(CANVAS, 0);
        assertThat(inkLayer(reel, 0)).isEqualTo(stroke.on(nothing, Scene.of(nothing)));
        assertThat(reel.get("undo").asString()).isEqualTo("Draw on frame 1");
        assertThat(drawn(reel, 0)).isEqualTo(inkLayer(reel, 0));

        JsonNode undone = server.post(path(reel) + "/undo", "{\"base\":" + reel.get("revision") + "}")
                .json();
        assertThat(ink(undone, 0).get("picture").asString()).isEmpty();
        JsonNode redone = server.post(path(reel) + "/redo", "{\"base\":" + undone.get("revision") + "}")
                .json();
        assertThat(redone.get("frames")).isEqualTo(reel.get("frames"));
    }

    @Test
    void erasingInkLeavesThePhoto() throws Exception {
        JsonNode reel = withAPhoto();
        int frame = frame(reel, 0);
        Raster photo = drawn(reel, 0);
        JsonNode inked = mark(reel, frame, stroke(PEN, "5,5,8, 50,30,8")).json();
        assertThat(drawn(inked, 0)).isNotEqualTo(photo);
        assertThat(layer(inked, inked.get("frames").get(0).get("underInk").asString()))
                .isEqualTo(photo);
        JsonNode erased = mark(
                        inked, frame, stroke(PEN.replace("\"erases\":false", "\"erases\":true"), "5,5,8, 50,30,8"))
                .json();
        assertThat(ink(erased, 0).get("picture").asString()).isEmpty();
        assertThat(drawn(erased, 0)).isEqualTo(photo);
    }

    @Test
    void strokesThatComeAtOnceAreAllThere() throws Exception {
        JsonNode reel = empty(60, 40);
        List<CompletableFuture<Answer>> sent = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            String points = "%d,20,1.5".formatted(3 * i + 1);
            sent.add(CompletableFuture.supplyAsync(() -> mark(reel, 1, stroke(PEN, points))));
        }
        assertThat(sent.stream().map(CompletableFuture::join)).allMatch(answer -> answer.status() == 200);
        JsonNode now = server.get(path(reel)).json();
        Raster ink = inkLayer(now, 0);
        for (int i = 0; i < 20; i++) {
            assertThat(ink.pixel(3 * i + 1, 20)).as("stroke %d", i).isNotZero();
        }
        assertThat(now.get("revision").asInt()).isEqualTo(21);
    }

    @Test
    void fillsWordsAndMovedInkAreMarksLikeStrokes() throws Exception {
        JsonNode reel = empty(60, 40);
        String hard = PEN.replace("\"hard\":false", "\"hard\":true");
        reel = mark(
                        reel,
                        1,
                        "{\"type\":\"figure\",\"kind\":\"RECTANGLE\",\"pen\":" + hard
                                + ",\"x\":5,\"y\":5,\"toX\":20,\"toY\":20,\"line\":1,\"fill\":\"\",\"mirroring\":\"NONE\"}")
                .json();
        reel = mark(
                        reel,
                        1,
                        "{\"type\":\"pour\",\"pen\":" + hard
                                + ",\"x\":10,\"y\":10,\"tolerance\":0,\"gap\":0,\"by\":\"INK\",\"corners\":false,\"under\":0}")
                .json();
        assertThat(inkLayer(reel, 0).pixel(12, 12)).isEqualTo(0xFFB23A24);
        reel = mark(
                        reel,
                        1,
                        "{\"type\":\"shift\",\"outline\":[5,5,21,21],\"to\":{\"x\":30,\"y\":10,\"width\":16,"
                                + "\"height\":16},\"from\":{\"picture\":\"\",\"size\":{\"width\":1,\"height\":1},\"x\":0,\"y\":0},\"keeps\":false,\"hard\":true}")
                .json();
        assertThat(inkLayer(reel, 0).pixel(12, 12)).isZero();
        assertThat(inkLayer(reel, 0).pixel(37, 17)).isEqualTo(0xFFB23A24);
        reel = mark(reel, 1, "{\"type\":\"recolor\",\"from\":\"b23a24\",\"to\":\"2b6a80\",\"tolerance\":0}")
                .json();
        assertThat(inkLayer(reel, 0).pixel(37, 17)).isEqualTo(0xFF2B6A80);
        assertThat(reel.get("undo").asString()).isEqualTo("Replace a color on frame 1");
        Answer words = mark(
                reel,
                1,
                "{\"type\":\"press\",\"art\":{\"kind\":\"words\",\"text\":\"Tide\",\"typeface\":"
                        + "\"PLAIN\",\"own\":{\"file\":\"\",\"name\":\"\"},\"weight\":\"BOLD\",\"size\":12,\"color\":\"101010\","
                        + "\"align\":\"LEFT\",\"outline\":0,\"outlineColor\":\"ffffff\",\"widest\":0,\"colors\":[]},\"x\":0,\"y\":0}");
        assertThat(words.json().get("undo").asString()).isEqualTo("Write on frame 1");
        JsonNode colors = server.get(path(reel) + "/frames/1/colors?count=4").json();
        assertThat(colors.get("colors").toString()).contains("2b6a80");
    }

    @Test
    void aColorIsReplacedOnSeveralPagesInOneStep() throws Exception {
        JsonNode reel = mark(empty(60, 40), 1, stroke(PEN, "20,20,9")).json();
        reel = server.edit(reel, "{\"type\":\"copyFrames\",\"frames\":[1],\"after\":1}")
                .json();
        int steps = reel.get("revision").asInt();
        String blue = "{\"type\":\"recolor\",\"from\":\"b23a24\",\"to\":\"2b6a80\",\"tolerance\":0}";
        String frames = "[1," + frame(reel, 1) + "]";
        reel = server.post(path(reel) + "/marks", "{\"frames\":" + frames + ",\"mark\":" + blue + "}")
                .json();
        assertThat(inkLayer(reel, 0).pixel(20, 20)).isEqualTo(0xFF2B6A80);
        assertThat(inkLayer(reel, 1)).isEqualTo(inkLayer(reel, 0));
        assertThat(reel.get("undo").asString()).isEqualTo("Replace a color on 2 frames");
        assertThat(reel.get("revision").asInt()).isEqualTo(steps + 1);
        Answer none = server.post(path(reel) + "/marks", "{\"frames\":[],\"mark\":" + blue + "}");
        assertThat(none.status()).isEqualTo(422);
        assertThat(server.post(path(reel) + "/marks", "{\"mark\":" + blue + "}").status())
                .isEqualTo(400);
    }

    @Test
    void aCutOutMadeOfInkBecomesInkAgain() throws Exception {
        JsonNode inked = mark(empty(60, 40), 1, stroke(PEN, "5,5,8, 50,30,8")).json();
        JsonNode cut =
                server.edit(inked, "{\"type\":\"inkToCutout\",\"frame\":1}").json();
        int cutout = cut.get("cutouts").get(0).get("id").asInt();
        assertThat(ink(cut, 0).get("picture").asString()).isEmpty();
        String wanted = "{\"cutout\":" + cutout + ",\"frames\":[1]}";
        JsonNode back = server.post(path(cut) + "/imprints", wanted).json();
        assertThat(inkLayer(back, 0)).isEqualTo(inkLayer(inked, 0));
        assertThat(back.get("cutouts")).isEmpty();
        assertThat(back.get("undo").asString()).isEqualTo("Make a cut-out ink on frame 1");
        assertThat(server.post(path(cut) + "/imprints", wanted).status()).isEqualTo(422);
    }

    @Test
    void aCutOutStaysWhereItIsNotMadeInk() throws Exception {
        JsonNode reel = mark(empty(60, 40), 1, stroke(PEN, "20,20,9")).json();
        reel = server.edit(reel, "{\"type\":\"inkToCutout\",\"frame\":1}").json();
        reel = server.edit(reel, "{\"type\":\"copyFrames\",\"frames\":[1],\"after\":1}")
                .json();
        Raster second = drawn(reel, 1);
        int cutout = reel.get("cutouts").get(0).get("id").asInt();
        reel = server.post(path(reel) + "/imprints", "{\"cutout\":" + cutout + ",\"frames\":[1]}")
                .json();
        assertThat(reel.get("cutouts").get(0).get("away").toString()).isEqualTo("[1]");
        assertThat(drawn(reel, 0)).isEqualTo(second);
        assertThat(drawn(reel, 1)).isEqualTo(second);
        assertThat(ink(reel, 1).get("picture").asString()).isEmpty();
    }

    @Test
    void whatCannotBeDrawnIsSaidAndChangesNothing() {
        JsonNode reel = empty(60, 40);
        assertThat(mark(reel, 7, stroke(PEN, "1,1,1")).json().get("detail").asString())
                .contains("no longer in this reel");
        assertThat(mark(reel, 1, stroke(PEN, "1,1")).status()).isEqualTo(422);
        assertThat(mark(reel, 1, stroke(PEN.replace("b23a24", "red"), "1,1,1")).status())
                .isEqualTo(422);
        Answer outside = mark(
                reel,
                1,
                "{\"type\":\"pour\",\"pen\":" + PEN
                        + ",\"x\":99,\"y\":0,\"tolerance\":0,\"gap\":0,\"by\":\"SEEN\",\"corners\":false,\"under\":0}");
        assertThat(outside.status()).isEqualTo(422);
        assertThat(outside.json().get("detail").asString()).contains("from 0 to 59");
        assertThat(onFrames(reel, "1,1", stroke(PEN, "1,1,1"))).contains("name one twice");
        assertThat(onFrames(reel, "1,".repeat(1_000_000) + "1", stroke(PEN, "1,1,1")))
                .contains("name one twice");
        Answer large = mark(empty(1601, 100), 1, stroke(PEN, "1,1,1"));
        assertThat(large.json().get("detail").asString()).contains("1600 pixels a side");
        assertThat(server.get(path(reel)).json()).isEqualTo(reel);
        assertThat(server.get(path(reel) + "/layers/none.png").status()).isEqualTo(404);
    }

    /** Two seconds for each of 20 frames: the product is bounded, too. */
    @Test
    void aMarkAsLargeAsCanBeIsMadeOnAFewFramesAtATime() {
        JsonNode reel = empty(60, 40);
        reel = server.edit(reel, "{\"type\":\"repeatFrames\",\"frames\":[1],\"times\":20}")
                .json();
        StringBuilder frames = new StringBuilder();
        for (JsonNode frame : reel.get("frames")) {
            frames.append(frames.isEmpty() ? "" : ",").append(frame.get("id").asInt());
        }
        String points = "0,0,500,60,40,500,".repeat(75) + "0,0,500";
        assertThat(onFrames(reel, frames.toString(), stroke(PEN.replace("softness\":0", "softness\":100"), points)))
                .contains("are too many for so large a mark. Draw it on fewer at a time");
        assertThat(server.get(path(reel)).json()).isEqualTo(reel);
    }

    @Test
    void inkGoesWithCopiedFramesAndCroppedCanvases() throws Exception {
        JsonNode reel = mark(empty(60, 40), 1, stroke(PEN, "20,20,9")).json();
        reel = server.edit(reel, "{\"type\":\"copyFrames\",\"frames\":[1],\"after\":1}")
                .json();
        assertThat(ink(reel, 1)).isEqualTo(ink(reel, 0));
        Raster before = drawn(reel, 0);
        reel = server.edit(reel, "{\"type\":\"cropCanvas\",\"x\":10,\"y\":10,\"width\":30,\"height\":20}")
                .json();
        Raster after = drawn(reel, 0);
        for (int y = 0; y < 20; y++) {
            for (int x = 0; x < 30; x++) {
                assertThat(after.pixel(x, y)).isEqualTo(before.pixel(x + 10, y + 10));
            }
        }
    }

    private static String point(int i) {
        return "%d,%d,5".formatted(3 + 7 * i % 54, 3 + 11 * i % 34);
    }

    /** Also what is told from earlier ink, many strokes back, and after that has gone from its own reel. */
    @Test
    void inkIsStoredByWhatDiffersAndReadWhole() throws Exception {
        JsonNode reel = empty(60, 40);
        List<Raster> expected = new ArrayList<>(List.of(Raster.filled(CANVAS, 0)));
        for (int i = 0; i < 40; i++) {
            JsonNode answered = mark(reel, 1, stroke(PEN, point(i))).json();
            assertThat(answered.get("undo").asString()).isEqualTo("Draw on frame 1");
            Raster before = expected.get(i);
            List<Double> place = List.of(3 + 7.0 * i % 54, 3 + 11.0 * i % 34, 5.0);
            expected.add(new Stroke(RED, place, Mirroring.NONE).on(before, Scene.of(before)));
            reel = answered;
        }
        forgetRasters();
        for (int step : new int[] {40, 17, 16, 3, 33}) {
            reel = server.post(
                            path(reel) + "/step",
                            "{\"base\":%d,\"step\":%d}"
                                    .formatted(reel.get("revision").asInt(), step))
                    .json();
            assertThat(inkLayer(reel, 0)).as("after %d strokes", step).isEqualTo(expected.get(step));
        }
        reel = server.post(
                        path(reel) + "/step",
                        "{\"base\":%d,\"step\":40}"
                                .formatted(reel.get("revision").asInt()))
                .json();
        JsonNode frame = reel.get("frames").get(0);
        JsonNode other = server.edit(
                        empty(60, 40),
                        "{\"type\":\"pasteFrames\",\"after\":1,\"frames\":[{\"content\":" + frame.get("content")
                                + ",\"ink\":" + frame.get("ink") + ",\"delayMillis\":100}]}")
                .json();
        server.delete(path(reel));
        server.delete("/api/removed/" + reel.get("id").asString());
        int swept = server.bean(PictureLibrary.class).sweep(Instant.now().plusSeconds(60));
        assertThat(swept).as("what nothing is told from any more").isPositive();
        forgetRasters();
        assertThat(inkLayer(other, 1)).isEqualTo(expected.get(40));
    }

    /** As a new process would have to read them. */
    private static void forgetRasters() {
        Budget budget = server.bean(Budget.class);
        budget.during(budget.mostBytes(), () -> {}, () -> "");
    }
}
