package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.server.RunningServer.Answer;
import dobbin.still.PngWriter;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

class ClipsTest {
    @RegisterExtension
    private static final RunningServer server = new RunningServer();

    private static Answer picks(String times, long to, double perSecond, int every) {
        return server.post("/api/clips/picks", """
                {"times": [%s], "fromMicros": 0, "toMicros": %d, "perSecond": %s, "every": %d}
                """.formatted(times, to, perSecond, every));
    }

    @Test
    void saysWhichPicturesBecomeFramesAndForHowLong() {
        JsonNode picks = picks("0, 40000, 120000, 160000", 200_000, 0, 2).json();
        assertThat(picks.get("places").toString()).isEqualTo("[0,2]");
        assertThat(picks.get("delaysMillis").toString()).isEqualTo("[120,80]");
        assertThat(picks.get("totalMillis").asInt()).isEqualTo(200);
    }

    @Test
    void whatCannotBeIsRefusedByName() {
        assertRefused(picks("0", 300_000_001, 10, 0), "The stretch must be more than 0 and at most 300 seconds long");
        assertRefused(picks("0", 0, 10, 0), "The stretch must be more than 0");
        assertRefused(picks("", 1_000, 10, 0), "times must be from 1 to 100,000");
        assertRefused(picks("0, 9, 5", 1_000, 10, 0), "times must ascend");
        assertRefused(picks("0", 1_000, 51, 0), "perSecond must be from 0 to 50");
        assertRefused(picks("0", 1_000, 10, 2), "every or perSecond must be given, one of them");
    }

    private static void assertRefused(Answer answer, String sentence) {
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.json().get("detail").asString()).contains(sentence);
    }

    /** A bar that goes around, on over the right edge and in at the left one, every 16 pictures. */
    @Test
    void findsTheStretchThatLoops() {
        int[] places = IntStream.range(0, 42).map(i -> 3 * i).toArray();
        Answer found = server.post("/api/clips/loop?height=12", strip(48, 12, places));
        int length = found.json().get("to").asInt() - found.json().get("from").asInt();
        assertThat(length).isPositive().matches(frames -> frames % 16 == 0);
    }

    @Test
    void noStretchIsFoundWhereNothingComesBack() {
        Answer found = server.post("/api/clips/loop?height=12", strip(48, 12, 0, 4, 8, 12, 16, 20, 24, 28, 32, 36));
        assertThat(found.json().get("to").asInt()).isZero();
    }

    private static byte[] strip(int width, int height, int... places) {
        int[] argb = new int[width * height * places.length];
        for (int row = 0; row < height * places.length; row++) {
            for (int x = 0; x < width; x++) {
                boolean isBar = Math.floorMod(x - places[row / height], width) < 12;
                argb[row * width + x] = isBar ? 0xFFB23E28 : 0xFFF6F1E7;
            }
        }
        return PngWriter.bytes(Raster.of(new Size(width, height * places.length), argb));
    }
}
