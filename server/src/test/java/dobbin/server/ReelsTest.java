package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.server.RunningServer.Answer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

class ReelsTest {
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
    void aStaleBaseIsAnsweredWithTheReelAsItIs() {
        JsonNode old = server.reelOf(NIGHT, DAWN);
        JsonNode now = server.edit(old, "{\"type\":\"setPlays\",\"times\":3}").json();
        Answer refused = server.edit(old, "{\"type\":\"removeFrames\",\"frames\":[1]}");
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.json().get("current")).isEqualTo(now);
        JsonNode undone = server.post(path(old) + "/undo", base(now)).json();
        assertThat(server.edit(old, "{\"type\":\"setPlays\",\"times\":5}").status())
                .as("an undone state is not the base it looks like")
                .isEqualTo(409);
        assertThat(server.get(path(old)).json()).isEqualTo(undone);
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
                "{'type':'setDelivery','width':0,'colors':64,'dither':'NONE','matte':''} | 422 | width must be from 1 to 1,600",
                "{'type':'setDelivery','width':90,'colors':64,'dither':'SOME','matte':''} | 400 | dither cannot be read",
                "{'type':'setDelivery','width':90,'colors':1,'dither':'NONE','matte':''} | 422 | colors must be from 2 to 256",
                "{'type':'setPlays','times':-1} | 422 | plays must be from 0 to 1,000",
                "{'type':'moveFrames','frames':[77],'to':0} | 422 | frames name 1 that are no longer in this reel",
                "{'type':'burn'} | 400 | edit cannot be read",
                "{'type':'setPlays','times':1,'more':true} | 400 | more cannot be read",
                "{'type' | 400 | edit is not well-formed JSON",
                "{'type':'addStills','at':0,'stills':[{'still':{'picture':'zz','name':'a','size':{'width':1,'height':1}},'delayMillis':0}]} | 422 | picture must be 64 hexadecimal digits"
            })
    void badEditsAreRefusedByFieldAndChangeNothing(String edit, int status, String reason) {
        JsonNode reel = server.reelOf(NIGHT, DAWN);
        Answer refused = server.edit(reel, edit.replace('\'', '"'));
        assertThat(refused.status()).isEqualTo(status);
        assertThat(refused.response().headers().firstValue("Content-Type")).hasValue("application/problem+json");
        assertThat(refused.detail()).contains(reason);
        assertThat(server.get(path(reel)).json()).isEqualTo(reel);
    }

    @Test
    void picturesThatWereNeverUploadedAreRefused() {
        JsonNode reel = server.reelOf(NIGHT);
        String stranger = """
                {"type":"addStills","at":0,"stills":[{"still":{"picture":"%s","name":"a","size":{"width":1,"height":1}},"delayMillis":0}]}""".formatted("0".repeat(64));
        Answer refused = server.edit(reel, stranger);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("was not uploaded");
    }

    @Test
    void theShelfListsReelsTheLatestFirstAndTakesThemBack() {
        JsonNode older = server.reelOf(NIGHT);
        JsonNode newer = server.reelOf(DAY);
        JsonNode shelf = server.get("/api/reels").json();
        assertThat(shelf.get(0).get("id")).isEqualTo(newer.get("id"));
        assertThat(shelf.get(0).get("frames").asInt()).isEqualTo(1);
        assertThat(server.delete(path(newer)).status()).isEqualTo(204);
        assertThat(server.get(path(newer)).status()).isEqualTo(404);
        assertThat(server.get("/api/reels").json().get(0).get("id")).isEqualTo(older.get("id"));
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
