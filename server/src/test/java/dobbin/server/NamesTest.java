package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.raster.Size;
import dobbin.server.RunningServer.Answer;
import dobbin.server.local.PeopleCommands;
import java.io.IOException;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Who has a name here: by commands while the application runs, and from the file of an earlier version. */
class NamesTest {
    @RegisterExtension
    private static final RunningServer server = new RunningServer().with("Mara", "Ebbe", "Ines");

    private final Guest mara = Guest.of(server, "Mara");

    private static String user(String action, String name) throws IOException {
        return PeopleCommands.run(Optional.empty(), server.data(), action, name);
    }

    @Test
    void commandsReachTheInstanceThatRuns() throws IOException {
        assertThat(PeopleCommands.run(Optional.empty(), server.data(), "list", ""))
                .isEqualTo("Ebbe\nInes\nMara");
        assertThatThrownBy(() -> user("add", "Mara"))
                .hasMessage("Mara is there already. ./dobbin user password changes the password.");
        assertThatThrownBy(() -> user("password", "Piet"))
                .hasMessage("Nobody is called “Piet”. ./dobbin user list tells who there is.");
        assertThatThrownBy(() -> user("add", "<Piet>")).hasMessageStartingWith("A name has 1 to 40 letters");
        assertThatThrownBy(() -> user("sack", "Mara"))
                .hasMessage("Say add, password, remove, clear or list, and not sack.");
        assertThat(server.post("/api/people", "{\"action\":\"CLEAR\",\"name\":\"\",\"hash\":\"\"}")
                        .status())
                .as("without the token")
                .isEqualTo(404);
    }

    /** The file that earlier versions kept them in, which this server began with. */
    @Test
    void theFileOfPeopleIsTakenOver() {
        assertThat(server.data().resolve("people")).doesNotExist();
        assertThat(server.data().resolve("people.taken-over")).content().startsWith("Mara:{noop}");
    }

    @Test
    void withoutAnybodyNoDoorOpensUntilTheNextStart() throws IOException {
        List<Map<String, Object>> users = server.bean(JdbcTemplate.class).queryForList("SELECT * FROM users");
        user("remove", "Ines");
        user("remove", "Ebbe");
        assertThatThrownBy(() -> user("remove", "Mara")).hasMessageStartingWith("Mara is the only one with a name.");
        PeopleCommands.run(Optional.empty(), server.data(), "clear", "");
        assertThat(server.get("/api/reels").status()).isEqualTo(401);
        assertThat(mara.get("/api/reels").status()).isEqualTo(401);
        for (Map<String, Object> user : users) {
            JdbcTemplate jdbc = server.bean(JdbcTemplate.class);
            jdbc.update("INSERT INTO users VALUES (?, ?, TRUE)", user.get("username"), user.get("password"));
            jdbc.update("INSERT INTO authorities VALUES (?, 'PERSON')", user.get("username"));
        }
        assertThat(mara.get("/api/reels").status()).isEqualTo(200);
    }

    /** Pictures that are made here are of whoever they are made for, so that one may use them. */
    @Test
    void whoHasANameDrawsCutsAndOpensWhatWasSaved() throws IOException {
        JsonNode reel = mara.reel("Tide");
        String path = "/api/reels/" + reel.get("id").asString();
        for (int i = 1; i <= 3; i++) {
            String stroke =
                    "{\"type\":\"stroke\",\"pen\":{\"color\":\"b23e28\",\"opacity\":90,\"softness\":0,\"hard\":false,"
                            + "\"erases\":false},\"points\":[" + 5 * i + ",5,4],\"mirroring\":\"NONE\"}";
            assertThat(mara.post(path + "/marks", "{\"frames\":[1],\"mark\":" + stroke + "}")
                            .status())
                    .as("stroke %d", i)
                    .isEqualTo(200);
        }
        JsonNode plate = mara.upload("Plate.png", RunningServer.png(new Size(40, 30), 0xFF203040))
                .json()
                .at("/stills/0");
        JsonNode cut = mara.post(
                        "/api/plates/" + plate.get("picture").asString() + "/cut",
                        "{\"name\":\"Part\",\"parts\":[{\"x\":0,\"y\":0,\"width\":10,\"height\":10}],\"tolerancePercent\":5,"
                                + "\"clears\":false,\"enclosed\":false,\"centering\":\"NONE\"}")
                .json();
        assertThat(mara.edit(
                                reel,
                                "{\"type\":\"addStills\",\"after\":1,\"stills\":" + cut.get("stills")
                                        + ",\"gathering\":\"\"}")
                        .status())
                .isEqualTo(200);
        byte[] saved = mara.get(path + "/file").body();
        Guest ebbe = Guest.of(server, "Ebbe");
        Answer opened = server.send(HttpRequest.newBuilder(server.address("/api/reels/file?name=Tide.dobbin"))
                .header("Cookie", ebbe.cookie())
                .header("Content-Type", "application/octet-stream")
                .POST(HttpRequest.BodyPublishers.ofByteArray(saved)));
        List<JsonNode> lines = new String(opened.body(), StandardCharsets.UTF_8)
                .lines()
                .map(JsonMapper.shared()::readTree)
                .toList();
        JsonNode his = ebbe.get(
                        "/api/reels/" + lines.get(lines.size() - 1).get("reel").asString())
                .json();
        String added = "{\"type\":\"addStills\",\"after\":1,\"stills\":" + cut.get("stills") + ",\"gathering\":\"\"}";
        assertThat(ebbe.edit(his, added).status()).as("what came with the file").isEqualTo(200);
    }
}
