package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the launcher says before it runs anything. */
class LauncherTest {
    private record Said(int status, String text) {}

    private static Said said(String... arguments) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of("./dobbin"));
        command.addAll(List.of(arguments));
        Process launcher = new ProcessBuilder(command)
                .directory(Path.of("..").toFile())
                .redirectErrorStream(true)
                .start();
        launcher.getOutputStream().close();
        String text = new String(launcher.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        return new Said(launcher.waitFor(), text);
    }

    @ParameterizedTest
    @CsvSource({
        "demo --data /tmp/mine, demo keeps its data in target/demo",
        "start --prot 80, Not an option of start: --prot",
        "backup, backup needs a FILE",
        "move-data --from x, move-data needs --to jdbc:postgresql://...",
        "user, 'user needs add, password, remove, clear or list'",
        "sail, Not a command: sail"
    })
    void whatItDoesNotKnowIsRefusedAndNotPassedOver(String arguments, String sentence) throws Exception {
        Said said = said(arguments.split(" "));
        assertThat(said.text()).contains(sentence);
        assertThat(said.status()).isNotZero();
    }

    @Test
    void helpNamesEveryCommand() throws Exception {
        Said said = said("help");
        assertThat(said.status()).isZero();
        assertThat(said.text())
                .contains(
                        "demo",
                        "start",
                        "make",
                        "unpack",
                        "cut",
                        "bench",
                        "backup",
                        "restore",
                        "move-data",
                        "user",
                        "test");
    }
}
