package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.server.local.PeopleCommands;
import dobbin.server.local.Running;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Instances on one database have the same people, taken over from the file that earlier versions shared. */
class SharedPeopleTest {
    private static final String DATABASE = Postgres.started().newDatabase();
    private static final String FOLDER = "--dobbin.people-folder=" + folderWithMara();

    @RegisterExtension
    private static final RunningServer one = new RunningServer(FOLDER).at(DATABASE);

    @RegisterExtension
    private static final RunningServer other = new RunningServer(FOLDER).at(DATABASE);

    private static Path folderWithMara() {
        try {
            Path folder = Files.createTempDirectory("dobbin-people");
            Path file = Files.writeString(folder.resolve("people"), "Mara:{noop}" + RunningServer.passwordOf("Mara"));
            folder.toFile().deleteOnExit();
            file.toFile().deleteOnExit();
            return folder;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void aPasswordThatIsChangedAtOneIsTheOneAtTheOther() {
        Guest mara = Guest.of(one, "Mara");
        JsonNode reel = mara.reel("Tide");
        String before = RunningServer.passwordOf("Mara");
        assertThat(mara.post(
                                "/api/session/password",
                                "{\"before\":\"%s\",\"password\":\"Fog bell at midnight\"}".formatted(before))
                        .status())
                .isEqualTo(204);
        assertThat(Guest.signingIn(other, "Mara", before).status()).isEqualTo(403);
        assertThat(Guest.signedIn(other, "Mara", "Fog bell at midnight")
                        .get("/api/reels")
                        .json()
                        .at("/reels/0/id"))
                .isEqualTo(reel.get("id"));
        assertThat(mara.get("/api/reels").status())
                .as("the session from before")
                .isEqualTo(401);
    }

    /** Where all stood in one file, the one that wrote last undid what the other had changed. */
    @Test
    void ofManyThatAreAddedAtBothAtOnceNoneIsLost() throws Exception {
        List<CompletableFuture<Void>> adding = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            RunningServer at = i % 2 == 0 ? one : other;
            String name = "Keeper " + i;
            adding.add(CompletableFuture.runAsync(() -> add(at, name)));
        }
        for (CompletableFuture<Void> each : adding) {
            each.get(30, TimeUnit.SECONDS);
        }
        String all = PeopleCommands.run(Optional.empty(), other.data(), "list", "");
        assertThat(all.lines().filter(name -> name.startsWith("Keeper"))).hasSize(20);
    }

    private static void add(RunningServer at, String name) {
        try (InputStream answer = Running.read(at.data())
                .orElseThrow()
                .ask("/api/people", "{\"action\":\"ADD\",\"name\":\"" + name + "\",\"hash\":\"{noop}never signs in\"}")
                .orElseThrow()) {
            assertThat(answer.readAllBytes()).isNotEmpty();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
