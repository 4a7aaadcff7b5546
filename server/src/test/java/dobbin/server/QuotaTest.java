package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.server.RunningServer.Answer;
import dobbin.still.PngWriter;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** One person may have so many bytes here, and is told where the edge is; others are not held up by it. */
class QuotaTest {
    @RegisterExtension
    private static final RunningServer server = new RunningServer("--dobbin.quota=1MB").with("Mara", "Ebbe");

    private final Guest mara = Guest.of(server, "Mara");

    /** Noise, which no packing makes smaller: about 360 KB. */
    private static byte[] noise(int seed) {
        Random random = new Random(seed);
        int[] pixels =
                random.ints(400 * 300, 0, 1 << 24).map(rgb -> rgb | 0xFF000000).toArray();
        return PngWriter.bytes(Raster.of(new Size(400, 300), pixels));
    }

    private static String problem(Answer taken) {
        return taken.json().get("problem").isNull()
                ? ""
                : taken.json().get("problem").asString();
    }

    @Test
    void atTheEdgeASentenceSaysWhatToDoAndNothingIsHalfKept() {
        assertThat(problem(mara.upload("1.png", noise(1)))).isEmpty();
        assertThat(problem(mara.upload("1.png", noise(1))))
                .as("the same once more takes no room")
                .isEmpty();
        assertThat(problem(mara.upload("2.png", noise(2)))).isEmpty();
        Answer refused = mara.upload("3.png", noise(3));
        assertThat(problem(refused))
                .startsWith(
                        "“3.png” was not read. Your shelf is full: it holds 0.7 of the 1.0 MB you may have, and this needs 0.4 MB.")
                .contains("Remove reels for good");
        JsonNode reel = mara.reel("Tide");
        assertThat(mara.rename(reel, "Edits need no room").status()).isEqualTo(200);
        Guest ebbe = Guest.of(server, "Ebbe");
        assertThat(problem(ebbe.upload("3.png", noise(3)))).isEmpty();
        assertThat(problem(ebbe.upload("1.png", noise(1))))
                .as("counts for both")
                .isEmpty();
        assertThat(problem(ebbe.upload("4.png", noise(4)))).contains("Your shelf is full");
    }
}
