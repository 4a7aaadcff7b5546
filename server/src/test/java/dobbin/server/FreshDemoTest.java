package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;

/** What the demo's data hold is thrown away by {@code demo --fresh}, and never under an instance that runs on them. */
class FreshDemoTest {
    @RegisterExtension
    private static final RunningServer server = new RunningServer();

    @Test
    void ofARunningDemoNothingIsThrownAway() {
        Commands commands = new Commands(
                settings -> {
                    throw new AssertionError("begun");
                },
                server.data());
        assertThat(commands.run("demo", "--fresh")).isEqualTo(1);
        assertThat(server.dataFile()).exists();
        assertThat(server.get("/api/reels").status()).isEqualTo(200);
    }

    @Test
    void whereNoneRunsItBeginsAnew(@TempDir Path folder) throws IOException {
        Path old = Files.createFile(folder.resolve("dobbin.mv.db"));
        Commands commands = new Commands(
                settings -> {
                    assertThat(old).doesNotExist();
                    return "";
                },
                folder);
        assertThat(commands.run("demo", "--fresh")).isEqualTo(Commands.RUNS_ON);
    }
}
