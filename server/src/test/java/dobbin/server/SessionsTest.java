package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.http.HttpRequest;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.JdbcTemplate;

/** Who signed in at one instance has signed in at all that work with its database, before and after a restart. */
class SessionsTest {
    private static final String PASSWORD = "Six lamps, one beam";
    private static final String OTHER_PASSWORD = "Fog bell at midnight";
    private static final String DATABASE = Postgres.started().newDatabase();
    private static final Path FILE = file();

    @RegisterExtension
    private static final RunningServer one = new RunningServer("--dobbin.password-file=" + FILE).at(DATABASE);

    @RegisterExtension
    private static final RunningServer other = new RunningServer("--dobbin.password-file=" + FILE).at(DATABASE);

    private String session;

    private static Path file() {
        try {
            Path file = Files.createTempFile("dobbin", "password");
            file.toFile().deleteOnExit();
            return Files.writeString(file, PASSWORD);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @BeforeEach
    void signIn() {
        session = signedIn(PASSWORD);
    }

    private static String signedIn(String password) {
        return one.post("/api/session", "{\"name\":\"\",\"password\":\"" + password + "\"}")
                .response()
                .headers()
                .firstValue("Set-Cookie")
                .orElseThrow()
                .replaceAll(";.*", "");
    }

    private int reelsAt(RunningServer server) {
        return server.send(HttpRequest.newBuilder(server.address("/api/reels")).header("Cookie", session))
                .status();
    }

    @Test
    void whoSignedInAtOneHasAtTheOther() {
        assertThat(reelsAt(one)).isEqualTo(200);
        assertThat(reelsAt(other)).isEqualTo(200);
        other.send(HttpRequest.newBuilder(other.address("/api/session"))
                .header("Cookie", session)
                .DELETE());
        assertThat(reelsAt(one)).as("signed out at the other").isEqualTo(401);
    }

    @Test
    void aRestartEndsNoSession() {
        one.restart();
        assertThat(reelsAt(one)).isEqualTo(200);
    }

    @Test
    void anotherPasswordEndsThemAll() throws IOException {
        Files.writeString(FILE, OTHER_PASSWORD);
        try {
            one.restart();
            assertThat(reelsAt(one)).isEqualTo(401);
            session = signedIn(OTHER_PASSWORD);
            assertThat(reelsAt(one)).isEqualTo(200);
        } finally {
            Files.writeString(FILE, PASSWORD);
            one.restart();
        }
    }

    /** A page asks for hundreds of pictures: each would write the same row. */
    @Test
    void whenItWasUsedIsWrittenOnceAMinute() {
        JdbcTemplate database = one.bean(JdbcTemplate.class);
        String used = "SELECT MAX(last_access_time) FROM browser_session";
        Long before = database.queryForObject(used, Long.class);
        assertThat(reelsAt(one)).isEqualTo(200);
        assertThat(database.queryForObject(used, Long.class)).isEqualTo(before);
        database.update("UPDATE browser_session SET last_access_time = last_access_time - 61000");
        assertThat(reelsAt(one)).isEqualTo(200);
        assertThat(database.queryForObject(used, Long.class)).isGreaterThanOrEqualTo(before);
    }
}
