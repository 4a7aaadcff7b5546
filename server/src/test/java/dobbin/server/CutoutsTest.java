package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.server.RunningServer.Answer;
import dobbin.still.DecodeLimits;
import dobbin.still.StillReader;
import dobbin.still.UnreadablePicture;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

class CutoutsTest {
    private static final int NIGHT = 0xFF101830;
    private static final int DAY = 0xFF9CC3E0;
    private static final int RED = 0xFFB23E28;
    private static final String POSE = "{'x':%s,'y':10,'scaleX':1,'scaleY':1,'turn':0,'opacity':1,'shown':1,'walk':0}";
    private static final String SQUARE = """
            {'kind':'shape','form':'RECTANGLE','shapeWidth':6,'shapeHeight':6,'points':4,'round':0,
             'fill':{'kind':'fill','color':'b23e28','toColor':'','angle':0},'stroke':0,'strokeColor':'000000'}""";

    @RegisterExtension
    private static final RunningServer server = new RunningServer();

    private static JsonNode edited(JsonNode reel, String edit) {
        return server.edit(reel, edit.replace('\'', '"')).json();
    }

    /** Three frames of 30 by 20, and a square of 6 in the middle of them. */
    private static JsonNode withSquare() {
        return edited(
                server.reelOf(NIGHT, DAY, NIGHT),
                "{'type':'addCutout','name':'Square','art':" + SQUARE + ",'pose':" + POSE.formatted(15)
                        + ",'frame':1}");
    }

    private static String path(JsonNode reel) {
        return "/api/reels/" + reel.get("id").asString();
    }

    private static Raster picture(String path) throws UnreadablePicture {
        Answer answer = server.get(path);
        assertThat(answer.status()).isEqualTo(200);
        return StillReader.read(answer.body(), DecodeLimits.USUAL).raster();
    }

    private static String drawn(JsonNode reel, int frame) {
        return path(reel) + "/frames/"
                + reel.get("frames").get(frame).get("drawn").asString() + ".png?width=30";
    }

    @Test
    void theAnswerTellsWhereACutOutIsOnEveryFrame() throws Exception {
        JsonNode reel = edited(
                withSquare(),
                "{'type':'setPoses','placed':[{'cutout':4,'pose':" + POSE.formatted(25)
                        + "}],'frame':3,'scope':'HERE'}");
        JsonNode track = reel.get("tracks").get(0);
        assertThat(track.get("width").asDouble()).isEqualTo(6);
        assertThat(track.get("x"))
                .as("ten thousandths: the first, then the changes")
                .extracting(JsonNode::asInt)
                .containsExactly(150_000, 50_000, 50_000);
        assertThat(track.get("y")).as("what is always the same is told once").hasSize(1);
        assertThat(picture(drawn(reel, 1)).pixel(22, 10)).isEqualTo(RED);
        assertThat(picture(drawn(reel, 1)).pixel(24, 10)).isEqualTo(DAY);
    }

    @Test
    void framesAreDrawnWithoutWhatIsLiftedAndArtAlone() throws Exception {
        JsonNode reel = withSquare();
        assertThat(picture(drawn(reel, 0)).pixel(15, 10)).isEqualTo(RED);
        assertThat(picture(drawn(reel, 0) + "&without=4")).isEqualTo(Raster.filled(new Size(30, 20), NIGHT));
        String art = reel.get("tracks").get(0).get("arts").get(0).asString();
        assertThat(picture(path(reel) + "/cutouts/4/" + art + ".png?width=100"))
                .isEqualTo(Raster.filled(new Size(6, 6), RED));
        assertThat(server.get(path(reel) + "/cutouts/4/0123.png?width=100").status())
                .isEqualTo(404);
    }

    @Test
    void aBoxIsCutOutOfAFrameAndIsAPictureToUse() {
        JsonNode reel = server.reelOf(NIGHT, DAY);
        String cuttings =
                path(reel) + "/frames/" + reel.get("frames").get(1).get("drawn").asString() + "/cuttings";
        JsonNode cut = server.post(cuttings, "{\"x\":20,\"y\":-5,\"width\":40,\"height\":10}")
                .json();
        assertThat(cut.get("size").get("width").asInt()).isEqualTo(10);
        assertThat(cut.get("size").get("height").asInt()).isEqualTo(5);
        JsonNode used = edited(
                reel,
                "{'type':'addCutout','name':'Cut','art':{'kind':'cycle','pictures':[" + cut
                        + "],'turns':'KEPT','every':1,'offset':0},'pose':" + POSE.formatted(5) + ",'frame':1}");
        assertThat(used.get("cutouts")).hasSize(1);
        Answer beside = server.post(cuttings, "{\"x\":90,\"y\":0,\"width\":4,\"height\":4}");
        assertThat(beside.status()).isEqualTo(422);
    }

    @Test
    void hiddenOnesAreSaidAndShownAgain() {
        JsonNode hidden = edited(withSquare(), "{'type':'hideCutouts','cutouts':[4],'hidden':true}");
        JsonNode notice =
                server.get(path(hidden) + "/rhythm").json().get("notices").get(0);
        assertThat(notice.get("says").asString()).isEqualTo("Square is hidden and will not be in the file.");
        JsonNode shown = server.edit(hidden, notice.get("fix").toString()).json();
        assertThat(shown.get("cutouts").get(0).get("hidden").asBoolean()).isFalse();
    }

    @Test
    void whatIsNotInTheReelYetIsDrawnWithoutItsCutOuts() throws Exception {
        JsonNode reel = withSquare();
        String still = reel.at("/frames/0/content").toString();
        String draft = "{\"content\":" + still + ",\"canvas\":" + reel.get("canvas") + "}";
        Answer drawn = server.post(path(reel) + "/drawings?width=30", draft);
        assertThat(drawn.status()).isEqualTo(200);
        Raster picture = StillReader.read(drawn.body(), DecodeLimits.USUAL).raster();
        assertThat(picture.pixel(15, 10)).isEqualTo(picture.pixel(0, 0));
        JsonNode bordered = server.edit(
                        reel, "{\"type\":\"setBorder\",\"border\":{\"width\":3,\"color\":\"ff0000\",\"radius\":0}}")
                .json();
        byte[] framed =
                server.post(path(bordered) + "/drawings?width=30", draft).body();
        byte[] alone = server.post(path(bordered) + "/drawings?width=30&alone=true", draft)
                .body();
        assertThat(StillReader.read(framed, DecodeLimits.USUAL).raster().pixel(0, 0))
                .isEqualTo(0xFFFF0000);
        assertThat(alone).isEqualTo(drawn.body());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "{'type':'removeCutouts','cutouts':[9]} | name 1 that are no longer in this reel",
                "{'type':'removeCutouts','cutouts':[]} | must name at least one cut-out",
                "{'type':'removePoses','cells':[{'cutout':4,'frame':1}]} | A cut-out needs at least one pose",
                "{'type':'spanCutouts','cutouts':[4],'firstFrame':3,'lastFrame':1} | must not come before the first frame",
                "{'type':'setBorder','border':{'width':-1,'color':'000000','radius':0}} | width must be from 0 to 2,000",
                "{'type':'tween','frame':3,'count':0,'delayMillis':40,'leaves':'EVEN','crossFade':true} | count must be from 1 to 500",
                "{'type':'addMotion','cutouts':[4],'firstFrame':1,'lastFrame':3,'motion':{'kind':'spin','steps':1}} | steps must be from 2 to 360"
            })
    void badEditsSayWhatIsWrongAndChangeNothing(String edit, String says) {
        JsonNode reel = withSquare();
        Answer refused = server.edit(reel, edit.replace('\'', '"'));
        assertThat(refused.status()).isBetween(400, 422);
        assertThat(refused.detail()).contains(says);
        assertThat(server.get(path(reel)).json()).isEqualTo(reel);
    }
}
