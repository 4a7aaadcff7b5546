package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import dobbin.raster.Size;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/**
 * A disk of 60 MB that becomes full: with the usual reserve, where Dobbin refuses in time, and with none, where the database meets the
 * edge in the middle of a write. Needs to be root, for the disk. Not a test of every run: {@code -Dtest=FullDiskBench}.
 */
class FullDiskBench {
    private static final int BALLAST_BYTES = 12_000_000;
    private static final Size NOISE = new Size(600, 400);
    private static final int MOST_UPLOADS = 1_000;

    @TempDir
    private Path disk;

    private Api api;
    private String reel;
    private int revision;

    @BeforeEach
    void mount() throws Exception {
        int ended = new ProcessBuilder("mount", "-t", "tmpfs", "-o", "size=60m", "tmpfs", disk.toString())
                .inheritIO()
                .start()
                .waitFor();
        assumeThat(ended).as("a disk of its own could be made").isZero();
    }

    @AfterEach
    void unmount() throws Exception {
        new ProcessBuilder("umount", disk.toString()).start().waitFor();
    }

    @ParameterizedTest
    @ValueSource(strings = {"32MB", "0B"})
    void whatWasAnsweredStaysAndAfterRoomWasMadeAllGoesOn(String reserve) throws Exception {
        Path ballast = Files.write(disk.resolve("ballast"), new byte[BALLAST_BYTES]);
        App app = App.start(disk.resolve("data"), "--dobbin.disk-reserve=" + reserve);
        try {
            api = new Api(app.address());
            JsonNode made = api.post("/api/reels/empty", "{\"name\":\"Tide\",\"width\":60,\"height\":40}");
            reel = "/api/reels/" + made.get("id").asString();
            revision = made.get("revision").asInt();
            String refusal = fill();
            System.out.println("with a reserve of " + reserve + ": " + refusal);
            assertThat(refusal).contains("The disk is full").contains("do this again");
            edit();
            look();
            app.kill();
            app.startAgain();
            look();
            Files.delete(ballast);
            edit();
            api.upload("After.png", Stills.noise(NOISE, -1));
            look();
            System.out.println("revision " + revision + " after room was made");
        } finally {
            app.close();
        }
    }

    /** @return the sentence of the first refusal */
    private String fill() throws IOException {
        for (int i = 0; i < MOST_UPLOADS; i++) {
            try {
                api.upload("Tide " + i + ".png", Stills.noise(NOISE, i));
                edit();
            } catch (Api.Refused e) {
                return e.getMessage();
            }
        }
        throw new AssertionError("The disk never became full");
    }

    /** Where it is refused, nothing has changed. */
    private void edit() throws IOException {
        try {
            revision = api.post(
                            reel + "/edits",
                            "{\"base\":%d,\"edit\":{\"type\":\"rename\",\"name\":\"Tide %d\"}}"
                                    .formatted(revision, revision + 1))
                    .get("revision")
                    .asInt();
        } catch (Api.Refused e) {
            System.out.println("an edit: " + e.getMessage());
            assertThat(e.status).isEqualTo(507);
        }
    }

    private void look() throws IOException {
        JsonNode now = api.get(reel);
        assertThat(now.get("revision").asInt()).isEqualTo(revision);
        assertThat(now.get("name").asString()).isEqualTo("Tide " + revision);
        assertThat(api.get("/api/reels").get("reels")).hasSize(1);
    }
}
