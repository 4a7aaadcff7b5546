package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Size;
import dobbin.server.Bench;
import dobbin.server.Postgres;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/**
 * {@code move-data} while somebody works is refused; ended in the middle (SIGKILL), it leaves nothing behind and can be begun again. Not a
 * test of every run: {@code -Dtest=EndedMoveDataBench}, with {@code -Dkills=20}.
 */
@Bench
class EndedMoveDataBench {
    private static final int KILLS = Integer.getInteger("kills", 20);
    private static final int REELS = 20;
    private static final int SEED = 29;
    private static final Size NOISE = new Size(800, 600);

    private Path data;
    private String database;

    @Test
    void itMovesAllOrNothing(@TempDir Path folder) throws Exception {
        data = folder.resolve("data");
        database = Postgres.started().newDatabase();
        List<String> reels = new ArrayList<>();
        List<JsonNode> before = new ArrayList<>();
        try (App app = App.start(data)) {
            Api api = new Api(app.address());
            for (int i = 0; i < REELS; i++) {
                reels.add(begin(api, i));
            }
            Process refused = moveTo(database);
            assertThat(said(refused)).contains("open in another instance of Dobbin");
            assertThat(refused.exitValue()).isNotZero();
            for (String reel : reels) {
                before.add(api.get(reel));
            }
        }
        Random random = new Random(SEED);
        long begun = System.nanoTime();
        Process whole = moveTo(Postgres.started().newDatabase());
        assertThat(said(whole)).contains("compared by hash");
        int length = (int) TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begun);
        for (int i = 0; i < KILLS; i++) {
            Process killed = moveTo(database);
            Thread.sleep(random.nextInt(length * 9 / 10));
            killed.destroyForcibly().waitFor();
        }
        Process moved = moveTo(database);
        String sentence = said(moved);
        assertThat(moved.exitValue()).as(sentence).isZero();
        try (App app = App.start(data, "--dobbin.database=" + database)) {
            Api api = new Api(app.address());
            for (int i = 0; i < REELS; i++) {
                assertThat(api.get(reels.get(i))).isEqualTo(before.get(i));
            }
        }
        System.out.printf("%d kills within %d ms each; then: %s%n", KILLS, length, sentence);
    }

    private static String begin(Api api, int number) throws IOException {
        JsonNode still = api.upload("Tide.png", Stills.noise(NOISE, number));
        String reel = "/api/reels/"
                + api.post("/api/reels", "{\"name\":\"Tide " + number + "\"}")
                        .get("id")
                        .asString();
        api.post(
                reel + "/edits",
                "{\"base\":1,\"edit\":{\"type\":\"addStills\",\"after\":0,\"stills\":[" + still
                        + "],\"gathering\":\"\"}}");
        return reel;
    }

    private Process moveTo(String address) throws IOException {
        return new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-jar",
                        System.getProperty("dobbin.app"),
                        "move-data",
                        "--from",
                        data.toString(),
                        "--to",
                        address)
                .redirectErrorStream(true)
                .start();
    }

    private static String said(Process process) throws IOException, InterruptedException {
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        process.waitFor();
        return said;
    }
}
