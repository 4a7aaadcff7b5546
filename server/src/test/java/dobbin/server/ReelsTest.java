package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.server.RunningServer.Answer;
import dobbin.still.DecodeLimits;
import dobbin.still.StillReader;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

class ReelsTest {
    private static final String NOWHERE = "{'x':0,'y':0,'width':0,'height':0}";
    private static final String WHOLE = NOWHERE;
    private static final String ENCODING =
            "{'ditherAmount':85,'palette':'AUTO','tolerance':20,'alphaCutoff':128,'keptColors':[],'comment':''}";

    private static final int NIGHT = 0xFF101830;
    private static final int DAWN = 0xFFE06848;
    private static final int DAY = 0xFF9CC3E0;

    @RegisterExtension
    private static final RunningServer server = new RunningServer();

    private static String path(JsonNode reel) {
        return "/api/reels/" + reel.get("id").asString();
    }

    private static String base(JsonNode reel) {
        return "{\"base\":" + reel.get("revision").asInt() + "}";
    }

    @Test
    void aNewReelShowsItsFramesWithWhatTheyNeed() {
        JsonNode reel = server.reelOf(NIGHT, DAWN, DAY);
        assertThat(reel.get("revision").asInt()).isEqualTo(2);
        assertThat(reel.get("undo").asString()).isEqualTo("Add 3 stills");
        assertThat(reel.get("redo").isNull()).isTrue();
        JsonNode frame = reel.get("frames").get(1);
        assertThat(frame.get("name").asString()).isEqualTo("Tide 2.png");
        assertThat(frame.get("delayMillis").asInt()).isEqualTo(100);
        assertThat(frame.get("otherSize").asBoolean()).isFalse();
        assertThat(reel.get("deliveredSize").get("width").asInt()).isEqualTo(30);
    }

    @Test
    void undoAndRedoGiveTheVeryReelsAndSurviveARestart() {
        JsonNode first = server.reelOf(NIGHT, DAWN, DAY);
        JsonNode reversed = server.edit(first, "{\"type\":\"reverseFrames\",\"frames\":[1,2,3]}")
                .json();
        assertThat(reversed.get("frames").get(0).get("id").asInt()).isEqualTo(3);
        server.restart();
        JsonNode undone = server.post(path(first) + "/undo", base(reversed)).json();
        assertThat(undone.get("frames")).isEqualTo(first.get("frames"));
        assertThat(undone.get("redo").asString()).isEqualTo("Reverse 3 frames");
        JsonNode redone = server.post(path(first) + "/redo", base(undone)).json();
        assertThat(redone.get("frames")).isEqualTo(reversed.get("frames"));
        assertThat(redone.get("revision").asInt()).isEqualTo(5);
    }

    @Test
    void anEditAfterUndoReplacesWhatWasUndone() {
        JsonNode reel = server.reelOf(NIGHT, DAWN);
        JsonNode reversed = server.edit(reel, "{\"type\":\"reverseFrames\",\"frames\":[1,2]}")
                .json();
        JsonNode undone = server.post(path(reel) + "/undo", base(reversed)).json();
        JsonNode held = server.edit(undone, "{\"type\":\"setDelay\",\"frames\":[1],\"delayMillis\":700}")
                .json();
        assertThat(held.get("redo").isNull()).isTrue();
        assertThat(held.get("undo").asString()).isEqualTo("Hold frame 1 for 700 ms");
        Answer none = server.post(path(reel) + "/redo", base(held));
        assertThat(none.status()).isEqualTo(422);
        assertThat(none.detail()).isEqualTo("redo has nothing to do again");
    }

    @Test
    void anEditOnAStaleBaseIsRedoneOnTheReelAsItIs() {
        JsonNode old = server.reelOf(NIGHT, DAWN, DAY);
        server.edit(old, "{\"type\":\"moveFrames\",\"frames\":[3],\"after\":0}");
        JsonNode now = server.edit(old, "{\"type\":\"copyFrames\",\"frames\":[2],\"after\":1}")
                .json();
        assertThat(ids(now)).containsExactly(3, 1, 4, 2);
        assertThat(now.get("revision").asInt()).isEqualTo(old.get("revision").asInt() + 2);
    }

    @Test
    void whatDoesNotFitTheReelAsItIsIsRefusedAndTheReelComesAlong() {
        JsonNode old = server.reelOf(NIGHT, DAWN);
        JsonNode now =
                server.edit(old, "{\"type\":\"removeFrames\",\"frames\":[1]}").json();
        Answer gone = server.edit(old, "{\"type\":\"setDelay\",\"frames\":[1],\"delayMillis\":700}");
        assertThat(gone.status()).isEqualTo(409);
        assertThat(gone.detail())
                .contains("changed elsewhere")
                .contains("frames name 1 that are no longer in this reel");
        assertThat(gone.json().get("current")).isEqualTo(now);
        Answer settings = server.edit(
                old,
                ("{'type':'setDelivery','delivery':{'framing':{'crop':" + WHOLE
                                + ",'width':20,'height':0,'enlarge':1,'scaling':'SMOOTH','every':1},'colors':9,'coloring':{'choice':'SEEN','own':[]},'dither':'NONE','matte':'','flat':false,'encoding':"
                                + ENCODING + "}}")
                        .replace('\'', '"'));
        assertThat(settings.status()).as("it states all settings at once").isEqualTo(409);
        assertThat(server.post(path(old) + "/undo", base(old)).status())
                .as("what is undone must be what was seen")
                .isEqualTo(409);
        assertThat(server.get(path(old)).json()).isEqualTo(now);
    }

    @Test
    void anyPointOfTheHistoryCanBeGoneBackTo() {
        JsonNode first = server.reelOf(NIGHT, DAWN, DAY);
        JsonNode reversed = server.edit(first, "{\"type\":\"reverseFrames\",\"frames\":[1,2,3]}")
                .json();
        JsonNode out = server.edit(reversed, "{\"type\":\"leaveOut\",\"frames\":[2],\"out\":true}")
                .json();
        JsonNode history = server.get(path(first) + "/history").json();
        assertThat(history.get("steps")
                        .valueStream()
                        .map(step -> step.get("title").asString()))
                .containsExactly("Begin", "Add 3 stills", "Reverse 3 frames", "Leave out frame 2");
        assertThat(history.get("current").asInt()).isEqualTo(3);
        JsonNode back = server.post(path(first) + "/step", step(out, 1)).json();
        assertThat(back.get("frames")).isEqualTo(first.get("frames"));
        JsonNode forth = server.post(path(first) + "/step", step(back, 3)).json();
        assertThat(forth.get("frames")).isEqualTo(out.get("frames"));
        assertThat(server.post(path(first) + "/step", step(forth, 4)).detail()).contains("not in the history");
        assertThat(server.post(path(first) + "/step", step(out, 1)).status()).isEqualTo(409);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{'type':'repeatFrames','frames':[1,2],'times':3}",
                "{'type':'thereAndBack','frames':[1,2,3],'endsTwice':false}",
                "{'type':'thinFrames','frames':[1,2,3],'keepEvery':2}",
                "{'type':'mergeFrames','frames':[1,2]}",
                "{'type':'reverseFrames','frames':[3,1,2]}",
                "{'type':'nameRun','frames':[1,2],'name':'Ebb'}",
                "{'type':'setFit','frames':[1],'fit':{'way':'FILL','focusX':0.25,'focusY':1,'background':'f6f1e7','region':"
                        + NOWHERE + "}}",
                "{'type':'setCanvas','width':64,'height':48}",
                "{'type':'addToDelays','frames':[2],'millis':-33}",
                "{'type':'scaleDelays','frames':[1,2,3],'percent':33}",
                "{'type':'fitTotal','frames':[1,2,3],'totalMillis':1001}",
                "{'type':'removeFrames','frames':[1,2,3]}"
            })
    void undoGivesTheVerySameReelAndRedoTheChangedOne(String edit) {
        JsonNode before = server.reelOf(NIGHT, DAWN, DAY);
        JsonNode after = server.edit(before, edit.replace('\'', '"')).json();
        assertThat(content(after)).isNotEqualTo(content(before));
        JsonNode undone = server.post(path(before) + "/undo", base(after)).json();
        assertThat(content(undone)).isEqualTo(content(before));
        JsonNode redone = server.post(path(before) + "/redo", base(undone)).json();
        assertThat(content(redone)).isEqualTo(content(after));
    }

    /** The reel without what counts changes. */
    private static JsonNode content(JsonNode reel) {
        return ((ObjectNode) reel.deepCopy()).remove(List.of("revision", "undo", "redo"));
    }

    private static String step(JsonNode reel, int number) {
        return "{\"base\":" + reel.get("revision").asInt() + ",\"step\":" + number + "}";
    }

    private static List<Integer> ids(JsonNode reel) {
        return reel.get("frames")
                .valueStream()
                .map(frame -> frame.get("id").asInt())
                .toList();
    }

    @Test
    void whatIsLeftOutIsSeenButNotPlayed() {
        JsonNode reel = server.reelOf(NIGHT, DAWN, DAY);
        JsonNode out = server.edit(reel, "{\"type\":\"leaveOut\",\"frames\":[2],\"out\":true}")
                .json();
        assertThat(out.get("loopMillis").asInt()).isEqualTo(200);
        assertThat(out.at("/frames/1/leftOut").asBoolean()).isTrue();
        assertThat(out.at("/frames/1/shownMillis").asInt()).isZero();
        JsonNode rhythm = server.get(path(reel) + "/rhythm").json();
        assertThat(rhythm.get("changes").size()).isEqualTo(3);
        assertThat(rhythm.at("/changes/1").asDouble()).isZero();
        JsonNode none = server.edit(out, "{\"type\":\"leaveOut\",\"frames\":[1,3],\"out\":true}")
                .json();
        assertThat(server.get(path(reel) + "/weight").json().get("bytes").isNull())
                .isTrue();
        assertThat(server.post(path(none) + "/deliveries", "{\"name\":\"Tide\"}")
                        .detail())
                .contains("at least one");
    }

    @Test
    void noticesComeWithAnEditThatHelpsAndStayDismissed() {
        JsonNode reel = server.reelOf(NIGHT, DAWN, DAY, NIGHT);
        JsonNode notice = server.get(path(reel) + "/rhythm").json().at("/notices/0");
        assertThat(notice.get("says").asString()).isEqualTo("Frame 4 repeats frame 1: the loop stops for a beat.");
        JsonNode fixed = server.edit(reel, notice.get("fix").toString()).json();
        assertThat(fixed.at("/frames/3/leftOut").asBoolean()).isTrue();
        assertThat(server.get(path(reel) + "/rhythm").json().at("/notices"))
                .extracting(each -> each.get("kind").asString())
                .containsExactly("LEFT_OUT");
        JsonNode undone = server.post(path(reel) + "/undo", base(fixed)).json();
        String dismiss = "{\"type\":\"dismissNotice\",\"notice\":" + notice.get("key") + "}";
        server.edit(undone, dismiss);
        assertThat(server.get(path(reel) + "/rhythm").json().get("notices").size())
                .isZero();
    }

    @Test
    void whatIsNotInTheReelYetIsDrawnOnTheCanvasItMightHave() throws Exception {
        JsonNode reel = server.reelOf(NIGHT);
        String card = """
                {"kind":"card","background":"9cc3e0","text":"","typeface":"BOOK","own":{"file":"","name":""},"size":8,"color":"101830","align":"LEFT"}""";
        Answer drawn = server.post(
                path(reel) + "/drawings?width=20",
                "{\"content\":" + card + ",\"canvas\":{\"width\":40,\"height\":60}}");
        Raster picture = StillReader.read(drawn.body(), DecodeLimits.USUAL).raster();
        assertThat(picture).isEqualTo(Raster.filled(new Size(20, 30), DAY));
        assertThat(server.get(path(reel)).json()).isEqualTo(reel);
        Answer refused = server.post(
                path(reel) + "/drawings?width=20",
                "{\"content\":" + card + ",\"canvas\":{\"width\":40,\"height\":60000}}");
        assertThat(refused.detail()).contains("height must be from 1 to 10,000");
    }

    @Test
    void whatWasSeenAMomentAgoCanStillBeAskedFor() throws Exception {
        JsonNode reel = server.reelOf(NIGHT);
        String drawn = path(reel) + "/frames/" + reel.at("/frames/0/drawn").asString() + ".png?width=9";
        server.edit(reel, "{\"type\":\"setCanvas\",\"width\":100,\"height\":100}");
        assertThat(StillReader.read(server.get(drawn).body(), DecodeLimits.USUAL)
                        .raster()
                        .size())
                .isEqualTo(reelCanvas(reel).withWidth(9));
    }

    private static Size reelCanvas(JsonNode reel) {
        return new Size(
                reel.at("/canvas/width").asInt(), reel.at("/canvas/height").asInt());
    }

    @Test
    void cardsAreDrawnAndSayWhatTheyAre() {
        JsonNode reel = server.reelOf(NIGHT);
        JsonNode carded = server.edit(reel, """
                {"type":"addCard","after":1,"delayMillis":1500,"card":{"kind":"card","background":"9cc3e0",
                 "text":"Low tide","typeface":"PLAIN","own":{"file":"","name":""},"size":8,"color":"101830","align":"CENTER"}}""").json();
        assertThat(carded.at("/frames/1/name").asString()).isEqualTo("Low tide");
        assertThat(carded.at("/frames/1/content/kind").asString()).isEqualTo("card");
        Answer picture = server.get(
                path(reel) + "/frames/" + carded.at("/frames/1/drawn").asString() + ".png?width=30");
        assertThat(picture.status()).isEqualTo(200);
        assertThat(picture.body()).hasSizeGreaterThan(100);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{'type':'setDelay','frames':[1],'delayMillis':0} | 422 | delayMillis must be from 10 to 600,000, not 0",
                "{'type':'setDelay','frames':[1],'delayMillis':-40} | 422 | delayMillis must be from 10 to 600,000",
                "{'type':'setDelay','frames':[1],'delayMillis':99999999999} | 400 | delayMillis",
                "{'type':'setDelay','frames':[1],'delayMillis':12.5} | 400 | delayMillis must be a whole number",
                "{'type':'setDelay','frames':[1]} | 400 | delayMillis must be a whole number",
                "{'type':'setDelivery','delivery':{'framing':{'crop':" + WHOLE
                        + ",'width':-1,'height':0,'enlarge':1,'scaling':'SMOOTH','every':1},'colors':64,'coloring':{'choice':'SEEN','own':[]},'dither':'NONE','matte':'','flat':false,'encoding':"
                        + ENCODING + "}} | 422 | width must be from 1 to 1,600",
                "{'type':'setDelivery','delivery':{'framing':{'crop':" + WHOLE
                        + ",'width':90,'height':0,'enlarge':1,'scaling':'SMOOTH','every':1},'colors':64,'coloring':{'choice':'SEEN','own':[]},'dither':'SOME','matte':'','flat':false,'encoding':"
                        + ENCODING + "}} | 400 | dither must be one of NONE, FLOYD_STEINBERG, SIERRA_LITE",
                "{'type':'setDelivery','delivery':{'framing':{'crop':" + WHOLE
                        + ",'width':90,'height':0,'enlarge':1,'scaling':'SMOOTH','every':1},'colors':1,'coloring':{'choice':'SEEN','own':[]},'dither':'NONE','matte':'','flat':false,'encoding':"
                        + ENCODING + "}} | 422 | colors must be from 2 to 256",
                "{'type':'setPlays','times':-1} | 422 | times must be from 0 to 1,000",
                "{'type':'moveFrames','frames':[77],'after':0} | 422 | frames name 1 that are no longer in this reel",
                "{'type':'burn'} | 400 | edit must say in “type” what it is",
                "{'type':'setPlays','times':'twice'} | 400 | times must be a whole number",
                "{'type':'setPlays','times':99999999999} | 400 | times must be a whole number",
                "{'type':'setPlays','times':null} | 400 | times must be a whole number",
                "{'type':'setPlays'} | 400 | times must be",
                "{'type':'leaveOut','frames':[1],'out':'yes'} | 400 | out must be true or false",
                "{'type':'leaveOut','frames':1,'out':true} | 400 | frames must be a list",
                "{'type':'rename','name':{}} | 400 | name must be a text",
                "7 | 400 | edit must",
                "{'type':'setPlays','times':1,'more':true} | 400 | more is not known here",
                "{'type' | 400 | edit is not well-formed JSON",
                "{'type':'addStills','after':0,'stills':[{'picture':'zz','name':'a','size':{'width':1,'height':1},'delayMillis':0,'plays':-1,'taken':0}],'gathering':''} | 422 | picture must be 64 hexadecimal digits",
                "{'type':'addCard','after':0,'delayMillis':90,'card':{'kind':'card','background':'red','text':'','typeface':'PLAIN','own':{'file':'','name':''},'size':9,'color':'000000','align':'LEFT'}} | 422 | background must be six hexadecimal digits",
                "{'type':'setFit','frames':[1],'fit':{'way':'FILL','focusX':2,'focusY':0,'background':'','region':"
                        + NOWHERE + "}} | 422 | focusX must be from 0 to 1"
            })
    void badEditsAreRefusedByFieldAndChangeNothing(String edit, int status, String reason) {
        JsonNode reel = server.reelOf(NIGHT, DAWN);
        Answer refused = server.edit(reel, edit.replace('\'', '"'));
        assertThat(refused.status()).isEqualTo(status);
        assertThat(refused.response().headers().firstValue("Content-Type")).hasValue("application/problem+json");
        assertThat(refused.detail())
                .contains(reason)
                .doesNotContain("java", "jackson", "dobbin.", "Json", "serialize", "Feature");
        assertThat(server.get(path(reel)).json()).isEqualTo(reel);
    }

    @Test
    void aBaseThatIsYetToComeIsRefusedAsThat() {
        JsonNode reel = server.reelOf(NIGHT);
        int revision = reel.get("revision").asInt();
        String base = "{\"base\":" + (revision + 1);
        Answer edit = server.post(path(reel) + "/edits", base + ",\"edit\":{\"type\":\"setPlays\",\"times\":2}}");
        assertThat(edit.status()).isEqualTo(422);
        assertThat(edit.detail()).isEqualTo("base is above the revision of this reel, which is " + revision);
        assertThat(server.post(path(reel) + "/undo", base + "}").detail()).isEqualTo(edit.detail());
        assertThat(server.get(path(reel)).json()).isEqualTo(reel);
    }

    @Test
    void whatIsNestedFarTooDeepIsRefusedAsThat() {
        JsonNode reel = server.reelOf(NIGHT);
        Answer refused = server.post(
                path(reel) + "/edits", "{\"base\":1,\"edit\":" + "[".repeat(5_000) + "]".repeat(5_000) + "}");
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.detail()).doesNotContain("java", "jackson", "Stream");
    }

    @Test
    void aRequestThatNamesNoHostIsRefusedAsThat() throws Exception {
        try (Socket socket = new Socket("127.0.0.1", server.address("/").getPort())) {
            socket.getOutputStream()
                    .write("POST /api/reels HTTP/1.0\r\nOrigin: http://elsewhere\r\n\r\n"
                            .getBytes(StandardCharsets.US_ASCII));
            String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertThat(answer).startsWith("HTTP/1.1 400").contains("The request must name its host");
        }
    }

    @Test
    void picturesThatWereNeverUploadedAreRefused() {
        JsonNode reel = server.reelOf(NIGHT);
        String stranger = """
                {"type":"addStills","after":0,"stills":[{"picture":"%s","name":"a","size":{"width":1,"height":1},"delayMillis":0,"plays":-1,"taken":0}],"gathering":""}""".formatted("0".repeat(64));
        Answer refused = server.edit(reel, stranger);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("was not uploaded");
    }

    @Test
    void theShelfListsReelsTheLatestFirstAndTakesThemBack() {
        JsonNode older = server.reelOf(NIGHT);
        JsonNode newer = server.reelOf(DAY);
        JsonNode shelf = server.get("/api/reels").json().get("reels");
        assertThat(shelf.get(0).get("id")).isEqualTo(newer.get("id"));
        assertThat(shelf.get(0).get("frames").asInt()).isEqualTo(1);
        assertThat(server.delete(path(newer)).status()).isEqualTo(204);
        assertThat(server.get(path(newer)).status()).isEqualTo(404);
        assertThat(server.get("/api/reels?count=1").json().at("/reels/0/id")).isEqualTo(older.get("id"));
        assertThat(server.post(path(newer) + "/restore", "{}").json().get("frames"))
                .isEqualTo(newer.get("frames"));
    }

    @Test
    void whatIsNotThereIsSaid() {
        assertThat(server.get("/api/reels/nowhere").detail()).contains("There is no reel nowhere here");
        assertThat(server.get("/api/nothing").detail()).isEqualTo("There is nothing at /api/nothing.");
        assertThat(server.post("/api/reels", "{\"name\":\"  \"}").detail())
                .isEqualTo("name must have 1 to 120 characters");
    }
}
