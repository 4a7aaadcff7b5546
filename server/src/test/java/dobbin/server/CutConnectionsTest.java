package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.server.RunningServer.Answer;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** PostgreSQL cuts all connections, as at its restart, while somebody edits. */
class CutConnectionsTest {
    private static final String DATABASE = Postgres.started().newDatabase();
    private static final String CUT = """
            SELECT pg_terminate_backend(pid) FROM pg_stat_activity
            WHERE datname = current_database() AND pid <> pg_backend_pid()""";

    @RegisterExtension
    private static final RunningServer server = new RunningServer().at(DATABASE);

    private static void cut() throws SQLException {
        try (Connection own = DriverManager.getConnection(DATABASE, "dobbin", "");
                Statement statement = own.createStatement()) {
            statement.execute(CUT);
        }
    }

    /** A moment ago each connection worked, so that nobody would look at it again. */
    @Test
    void whereNothingWasSentAnotherConnectionIsTaken() throws SQLException {
        JsonNode reel = server.reelOf(0xFF101830, 0xFFE06848);
        String path = "/api/reels/" + reel.get("id").asString();
        for (int i = 1; i <= 20; i++) {
            JsonNode before = server.get(path).json();
            cut();
            Answer edited = server.edit(before, "{\"type\":\"addToDelays\",\"frames\":[1],\"millis\":1}");
            assertThat(edited.status()).as("edit %d", i).isEqualTo(200);
            assertThat(server.get(path).json().at("/frames/0/delayMillis").asInt())
                    .isEqualTo(100 + i);
        }
    }
}
