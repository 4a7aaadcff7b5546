package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Several Dobbins on one database have the same people, from one file in a folder that both reach. */
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
        String cookie = Guest.signingIn(other, "Mara", "Fog bell at midnight")
                .response()
                .headers()
                .firstValue("Set-Cookie")
                .orElseThrow()
                .replaceAll(";.*", "");
        assertThat(new Guest(other, cookie).get("/api/reels").json().at("/reels/0/id"))
                .isEqualTo(reel.get("id"));
        assertThat(mara.get("/api/reels").status())
                .as("the session from before")
                .isEqualTo(401);
    }
}
