package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.server.RunningServer.Answer;
import dobbin.still.PngWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/**
 * The disk of the bucket's server becomes full: what was answered stays, and after room was made all goes on. Needs to be root, for the
 * disk. Not a test of every run: {@code -Dtest=FullBucketBench}.
 */
@Bench
class FullBucketBench {
    private static final int DISK_MB = 40;
    private static final int MOST_UPLOADS = 200;
    private static final Size LARGE = new Size(900, 700);

    private RunningServer server;

    @Test
    void whatWasAnsweredStaysAndAfterRoomWasMadeAllGoesOn(@TempDir Path folder) throws Exception {
        try (SmallDisk disk = SmallDisk.at(folder, DISK_MB)) {
            BucketServer buckets = BucketServer.in(folder);
            try {
                server = new RunningServer(buckets.settings());
                server.beforeAll(null);
                List<String> pictures = new ArrayList<>();
                Answer refused = fill(pictures);
                System.out.println("after " + pictures.size() + ": " + refused.status() + " " + refused.json());
                assertThat(pictures).isNotEmpty();
                assertAllAreThere(pictures);
                disk.makeRoom();
                pictures.add(picture(upload(MOST_UPLOADS)));
                assertAllAreThere(pictures);
            } finally {
                server.afterAll(null);
                buckets.stop();
            }
        }
    }

    /** @return the first answer that is a refusal */
    private Answer fill(List<String> pictures) {
        for (int i = 0; i < MOST_UPLOADS; i++) {
            Answer answer = upload(i);
            if (answer.status() >= 400 || !answer.json().get("problem").isNull()) {
                return answer;
            }
            pictures.add(picture(answer));
        }
        throw new AssertionError("The bucket never became full");
    }

    private Answer upload(int seed) {
        int[] argb = new Random(seed)
                .ints(LARGE.area())
                .map(color -> color | 0xFF000000)
                .toArray();
        return server.upload("Storm.png", PngWriter.bytes(Raster.of(LARGE, argb)));
    }

    private static String picture(Answer answer) {
        JsonNode told = answer.json();
        assertThat(told.get("problem").isNull()).as(told.toString()).isTrue();
        return told.at("/stills/0/picture").asString();
    }

    private void assertAllAreThere(List<String> pictures) {
        for (String each : pictures) {
            assertThat(server.get("/api/plates/" + each + ".png").status())
                    .as(each)
                    .isEqualTo(200);
        }
    }
}
