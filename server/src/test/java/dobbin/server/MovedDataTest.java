package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.server.RunningServer.Answer;
import dobbin.server.RunningServer.Stopped;
import dobbin.server.backup.MoveCommand;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** What an instance with a file served, another serves from PostgreSQL once it was moved there. */
class MovedDataTest {
    private static final String DATABASE = Postgres.started().newDatabase();

    @RegisterExtension
    private static final RunningServer before = new RunningServer();

    @RegisterExtension
    private static final RunningServer after = new RunningServer().at(DATABASE);

    private static List<Object> served(RunningServer server, JsonNode reel, String delivery) {
        String path = "/api/reels/" + reel.get("id").asString();
        List<Object> all = new ArrayList<>();
        for (String each : List.of("", "/history", "/deliveries", "/trials")) {
            all.add(server.get(path + each).json());
        }
        for (JsonNode frame : reel.get("frames")) {
            all.add(server.get(path + "/frames/" + frame.get("drawn").asString() + ".png?width=60")
                    .body());
        }
        Answer file = server.get("/api/deliveries/" + delivery + ".gif");
        assertThat(file.status()).isEqualTo(200);
        all.add(file.body());
        return all;
    }

    @Test
    void itIsTheSame() throws IOException {
        JsonNode reel = before.reelOf(0xFF101830, 0xFFE06848, 0xFF9CC3E0);
        JsonNode edited = before.edit(reel, "{\"type\":\"setDelay\",\"frames\":[2],\"delayMillis\":170}")
                .json();
        String path = "/api/reels/" + reel.get("id").asString();
        String delivery = before.ended(
                        before.post(path + "/deliveries", "{\"name\":\"Tide\"}").json())
                .get("result")
                .asString();
        before.ended(before.post(path + "/explorations", "").json());
        List<Object> was = served(before, edited, delivery);
        try (Stopped stopped = before.stopped()) {
            MoveCommand.run(stopped.data(), DATABASE);
        }
        after.restart();
        assertThat(served(after, edited, delivery)).usingRecursiveComparison().isEqualTo(was);
        assertThat(after.edit(edited, "{\"type\":\"rename\",\"name\":\"High tide\"}")
                        .status())
                .isEqualTo(200);
    }
}
