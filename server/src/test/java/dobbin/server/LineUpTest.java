package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dobbin.raster.Affine;
import dobbin.raster.Bounds;
import dobbin.raster.Compositor;
import dobbin.raster.Placement;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.server.RunningServer.Answer;
import dobbin.skerry.SkerryPoint;
import dobbin.still.PngWriter;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

class LineUpTest {
    private static final Size SIZE = new Size(480, 320);
    private static final Raster SCENE =
            SkerryPoint.sunrise(3, new Size(720, 480)).get(2);

    @RegisterExtension
    private static final RunningServer server = new RunningServer();

    private static byte[] seen(double dx, double dy, double turn) {
        Affine camera =
                Affine.shift(-360 + dx, -240 + dy).then(Affine.turn(turn)).then(Affine.shift(240, 160));
        int[] argb = new int[(int) SIZE.area()];
        Placement.draw(SCENE, camera, Bounds.all(SIZE))
                .ifPresent(layer -> Compositor.over(layer.raster(), layer.x(), layer.y(), argb, SIZE));
        return PngWriter.bytes(Raster.of(SIZE, argb));
    }

    /** Frames 1 to 3 of one view, and 4 of nothing. */
    private static JsonNode burst() {
        StringBuilder stills = new StringBuilder();
        byte[][] files = {seen(0, 0, 0), seen(20, 8, 0), seen(-10, 12, 3), RunningServer.png(SIZE, 0xFF2B6F86)};
        for (int i = 0; i < files.length; i++) {
            stills.append(i == 0 ? "" : ",")
                    .append(server.upload("View " + i + ".png", files[i])
                            .json()
                            .get("stills")
                            .get(0));
        }
        JsonNode reel = server.post("/api/reels", "{\"name\":\"Views\"}").json();
        return server.edit(reel, "{\"type\":\"addStills\",\"stills\":[" + stills + "],\"after\":0,\"gathering\":\"\"}")
                .json();
    }

    private static Answer begin(JsonNode reel, String frames, int to, String edges) {
        return begin(reel, frames, to, edges, "{\"x\":0,\"y\":0,\"width\":0,\"height\":0}");
    }

    private static Answer begin(JsonNode reel, String frames, int to, String edges, String area) {
        return server.post(
                "/api/reels/" + reel.get("id").asString() + "/line-ups",
                "{\"frames\":[" + frames + "],\"to\":" + to + ",\"edges\":\"" + edges + "\",\"area\":" + area
                        + ",\"motion\":\"SIMILARITY\"}");
    }

    private static JsonNode ended(Answer begun) throws InterruptedException {
        assertThat(begun.status()).isEqualTo(202);
        JsonNode job = begun.json();
        while (job.get("state").asString().equals("RUNNING")) {
            Thread.sleep(20);
            job = server.get("/api/jobs/" + job.get("id").asString()).json();
        }
        return job;
    }

    private static JsonNode now(JsonNode reel) {
        return server.get("/api/reels/" + reel.get("id").asString()).json();
    }

    @Test
    void stillsAreMovedInOneStepAndWhatDoesNotMatchStays() throws Exception {
        JsonNode reel = burst();
        JsonNode job = ended(begin(reel, "1,2,3,4", 1, "CROP"));
        assertThat(job.get("result").asString())
                .isEqualTo("2 frames lie on frame 1. Frame 4 does not match and stays as it was.");
        JsonNode lined = now(reel);
        JsonNode second = lined.at("/frames/1/content/aligned");
        assertThat(second.get("dx").asDouble()).isCloseTo(-20, within(0.2));
        assertThat(second.get("dy").asDouble()).isCloseTo(-8, within(0.2));
        assertThat(lined.at("/frames/2/content/aligned/turn").asDouble()).isCloseTo(-3, within(0.1));
        assertThat(lined.at("/frames/3/content/aligned/scale").asDouble()).isEqualTo(1);
        assertThat(lined.at("/canvas/width").asInt()).isBetween(420, 459);
        assertThat(lined.at("/frames/0/bare").asBoolean()).isFalse();
        assertThat(lined.at("/frames/1/bare").asBoolean()).isFalse();

        JsonNode undone = server.post(
                        "/api/reels/" + reel.get("id").asString() + "/undo", "{\"base\":" + lined.get("revision") + "}")
                .json();
        assertThat(undone.at("/canvas/width").asInt()).isEqualTo(480);
        assertThat(undone.at("/frames/1/content/aligned/dx").asDouble()).isZero();
    }

    @Test
    void aFrameThatIsRemovedMeanwhileIsPassedOver() throws Exception {
        JsonNode reel = burst();
        Answer begun = begin(reel, "1,2,3", 1, "LEAVE");
        assertThat(server.edit(reel, "{\"type\":\"removeFrames\",\"frames\":[2]}")
                        .status())
                .isEqualTo(200);
        assertThat(ended(begun).get("state").asString()).isEqualTo("DONE");
        JsonNode lined = now(reel);
        assertThat(lined.get("frames").size()).isEqualTo(3);
        assertThat(lined.at("/frames/1/content/aligned/turn").asDouble()).isCloseTo(-3, within(0.1));
    }

    @Test
    void withoutCroppingTheCanvasStaysAsItIs() throws Exception {
        JsonNode reel = burst();
        ended(begin(reel, "1,2", 2, "LEAVE"));
        JsonNode lined = now(reel);
        assertThat(lined.at("/canvas/width").asInt()).isEqualTo(480);
        assertThat(lined.at("/frames/0/content/aligned/dx").asDouble()).isCloseTo(20, within(0.2));
        assertThat(lined.at("/frames/0/bare").asBoolean()).isTrue();
        assertThat(lined.at("/frames/1/content/aligned/dx").asDouble()).isZero();
    }

    @Test
    void bareEdgesAreFilledFromTheStillTheyLieOn() throws Exception {
        JsonNode reel = burst();
        ended(begin(reel, "1,2,3", 1, "FILL"));
        JsonNode lined = now(reel);
        assertThat(lined.at("/backdrop/picture")).isEqualTo(lined.at("/frames/0/content/picture"));
        assertThat(lined.at("/canvas/width").asInt()).isEqualTo(480);
        assertThat(begin(reel, "1,2,3", 0, "FILL").json().get("detail").asString())
                .contains("edges cannot be filled from one still where the view pans");
    }

    @Test
    void aPartOfTheViewIsEnoughAndTooLittleOfItIsRefused() throws Exception {
        JsonNode reel = burst();
        ended(begin(reel, "1,2,3", 1, "LEAVE", "{\"x\":280,\"y\":60,\"width\":180,\"height\":180}"));
        assertThat(now(reel).at("/frames/1/content/aligned/dx").asDouble()).isCloseTo(-20, within(0.3));
        assertThat(now(reel).at("/frames/2/content/aligned/turn").asDouble()).isCloseTo(-3, within(0.2));
        assertThat(begin(reel, "1,2,3", 1, "LEAVE", "{\"x\":9,\"y\":9,\"width\":20,\"height\":20}")
                        .json()
                        .get("detail")
                        .asString())
                .contains("area must show at least a tenth of the width");
    }

    @Test
    void shakingIsTakenOutFromOneStillToTheNext() throws Exception {
        JsonNode reel = burst();
        JsonNode job = ended(begin(reel, "1,2,3,4", 0, "LEAVE"));
        assertThat(job.get("result").asString())
                .isEqualTo("4 frames are steadied. At one place they do not match; it was taken for a cut.");
        // The middle of three goes to the middle of where they lay, the others stay.
        JsonNode lined = now(reel);
        assertThat(lined.at("/frames/1/content/aligned/dx").asDouble()).isCloseTo(-20 + 10 / 3.0, within(1.5));
        assertThat(lined.at("/frames/0/content/aligned/dx").asDouble()).isCloseTo(0, within(1e-6));
        assertThat(lined.at("/frames/3/content/aligned/dx").asDouble()).isCloseTo(0, within(1e-6));
    }

    @Test
    void whatCannotBeLinedUpIsRefusedByName() {
        JsonNode reel = burst();
        assertThat(begin(reel, "1,2", 3, "LEAVE").json().get("detail").asString())
                .contains("to must be one of the frames that show a still");
        assertThat(begin(reel, "1", 1, "LEAVE").json().get("detail").asString())
                .contains("frames must be at least two that show stills");
    }

    /** The photo's own date comes with it. Written by hand after Exif 2.32: one directory that points to another. */
    @Test
    void aPhotoKnowsWhenItWasTaken() {
        byte[] jpeg = SkerryPoint.sunrise().files().get(0).bytes();
        JsonNode without = server.upload("Dawn.jpg", jpeg).json();
        assertThat(without.at("/stills/0/taken").asLong()).isZero();
        byte[] dated = ExifJpeg.taken(jpeg, "2026:06:21 04:31:09", "25", "+02:00");
        JsonNode with = server.upload("Dawn.jpg", dated).json();
        assertThat(with.at("/stills/0/taken").asLong())
                .isEqualTo(Instant.parse("2026-06-21T02:31:09.250Z").toEpochMilli());
    }
}
