package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.server.RunningServer.Answer;
import dobbin.skerry.DemoFile;
import dobbin.skerry.SkerryPoint;
import dobbin.still.DecodeLimits;
import dobbin.still.StillReader;
import java.io.IOException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

class PlatesTest {
    private static final String USUAL = "{\"tolerancePercent\":8,\"join\":0,\"columnsFirst\":false}";

    @RegisterExtension
    private static final RunningServer server = new RunningServer();

    private static String plate() {
        DemoFile plate = SkerryPoint.gullPlate();
        return server.upload(plate.name(), plate.bytes())
                .json()
                .at("/stills/0/picture")
                .asString();
    }

    private static Answer cut(String picture, String parts) {
        return server.post("/api/plates/" + picture + "/cut", """
                {"name": "Gull plate.png", "parts": %s, "tolerancePercent": 8, "clears": true, "enclosed": false,
                 "centering": "FOOT"}""".formatted(parts));
    }

    @Test
    void theGridIsFoundAndEachDrawingOnItBecomesAStill() throws Exception {
        String picture = plate();
        JsonNode found = server.post("/api/plates/" + picture + "/grid", USUAL).json();
        assertThat(found.get("ground").asString()).isEqualTo("f6f1e7");
        assertThat(found.at("/grid/rows").asInt()).isEqualTo(3);
        assertThat(found.at("/grid/columns").asInt()).isEqualTo(4);
        assertThat(found.get("parts").size()).isEqualTo(10);

        JsonNode stills = cut(picture, found.get("parts").toString()).json().get("stills");
        assertThat(stills.size()).isEqualTo(10);
        JsonNode first = stills.get(0);
        stills.forEach(still -> assertThat(still.get("size")).isEqualTo(first.get("size")));
        Answer shown = server.get("/api/plates/" + first.get("picture").asString() + ".png");
        var raster = StillReader.read(shown.body(), DecodeLimits.USUAL).raster();
        assertThat(raster.width()).isEqualTo(first.at("/size/width").asInt());
        assertThat(raster.pixel(0, 0)).isZero();
    }

    @Test
    void piecesAreJoinedAndTakenColumnByColumn() {
        String picture = plate();
        JsonNode byRows =
                server.post("/api/plates/" + picture + "/pieces", USUAL).json();
        assertThat(byRows.get("parts").size()).isEqualTo(10);
        JsonNode byColumns = server.post("/api/plates/" + picture + "/pieces", USUAL.replace("false", "true"))
                .json();
        assertThat(byColumns.get("parts").get(1)).isEqualTo(byRows.get("parts").get(4));
        JsonNode joined = server.post("/api/plates/" + picture + "/pieces", USUAL.replace("\"join\":0", "\"join\":300"))
                .json();
        assertThat(joined.get("parts").size()).isEqualTo(1);
    }

    @Test
    void whatCannotBeIsRefusedByName() throws IOException {
        String picture = plate();
        String grid = "{\"rows\":3,\"columns\":4,\"marginX\":700,\"marginY\":0,\"gutterX\":0,\"gutterY\":0}";
        assertRefused(
                server.post("/api/plates/" + picture + "/cells", "{\"grid\":" + grid + ",\"finding\":" + USUAL + "}"),
                "The grid leaves no room for its cells on a plate of 1200 × 750");
        assertRefused(cut(picture, "[{\"x\":0,\"y\":700,\"width\":60,\"height\":60}]"), "parts must lie on the plate");
        assertRefused(cut(picture, "[]"), "parts must be from 1 to 500");
        assertThat(server.get("/api/plates/" + "0".repeat(64) + ".png").status())
                .isEqualTo(404);
    }

    private static void assertRefused(Answer answer, String sentence) {
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.json().get("detail").asString()).contains(sentence);
    }
}
