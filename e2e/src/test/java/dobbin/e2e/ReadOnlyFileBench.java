package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assumptions.assumeThat;

import dobbin.server.Bench;
import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/**
 * The data file may not be written any more, in the middle of work and at a start. Needs to be root, on ext4. Not a test of every run:
 * {@code -Dtest=ReadOnlyFileBench}.
 */
@Bench
class ReadOnlyFileBench {
    private Api api;
    private String reel;
    private int revision;

    @Test
    void whatWasAnsweredStaysAndWhenItMayBeWrittenAllGoesOn(@TempDir Path data) throws Exception {
        Path file = data.resolve("dobbin.mv.db");
        try (App app = App.start(data)) {
            api = new Api(app.address());
            JsonNode made = api.post("/api/reels/empty", "{\"name\":\"Tide\",\"width\":60,\"height\":40}");
            reel = "/api/reels/" + made.get("id").asString();
            revision = made.get("revision").asInt();
            edit();
            assumeThat(run("chattr", "+i", file.toString()))
                    .as("the file could be made read-only")
                    .isZero();
            try {
                assertThatThrownBy(this::edit).isInstanceOfSatisfying(Api.Refused.class, refused -> {
                    System.out.println("an edit: " + refused.getMessage());
                    assertThat(refused.status).isIn(503, 507);
                });
                app.kill();
                assertThatThrownBy(app::startAgain).satisfies(failure -> {
                    System.out.println("a start: " + failure.getMessage());
                    assertThat(failure.getMessage()).contains("is read-only");
                });
            } finally {
                run("chattr", "-i", file.toString());
            }
            app.startAgain();
            look();
            edit();
            look();
        }
    }

    private void edit() throws IOException {
        revision = api.post(
                        reel + "/edits",
                        "{\"base\":%d,\"edit\":{\"type\":\"rename\",\"name\":\"Tide %d\"}}"
                                .formatted(revision, revision + 1))
                .get("revision")
                .asInt();
    }

    private void look() throws IOException {
        JsonNode now = api.get(reel);
        assertThat(now.get("revision").asInt()).isEqualTo(revision);
        assertThat(now.get("name").asString()).isEqualTo("Tide " + revision);
    }

    private static int run(String... command) throws IOException, InterruptedException {
        return new ProcessBuilder(command).inheritIO().start().waitFor();
    }
}
