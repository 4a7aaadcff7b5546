package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What the launcher and the commands say before they do anything. */
@Tag("alone")
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
        "demo --data /tmp/mine, Unknown options: '--data'",
        "start --prot=80, Unknown option: '--prot=80'",
        "start --port eighty, Invalid value for option '--port'",
        "backup, Missing required parameter: 'FILE'",
        "backup one.zip two.zip, Unmatched argument at index 2: 'two.zip'",
        "move-data --from x, Missing required option: '--to=jdbc:postgresql://...'",
        "user, Missing required parameter: 'add|password|remove|clear|list'",
        "package --now, Not an option of package: --now",
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
                        "dev",
                        "test",
                        "package");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"start", "demo", "backup", "restore", "move-data", "user", "make", "unpack", "cut", "bench"})
    void eachCommandExplainsItsOptions(String command) throws Exception {
        Said said = said(command, "--help");
        assertThat(said.status()).isZero();
        assertThat(said.text()).contains("Usage: dobbin " + command);
    }
}
