package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import tools.jackson.databind.JsonNode;

/** A reel whose name counts its edits, so that one that was lost, or made twice, shows. */
final class RenamedReel {
    private final Api api;
    private final String path;
    private int revision;

    RenamedReel(Api api) throws IOException {
        this.api = api;
        JsonNode made = api.post("/api/reels/empty", "{\"name\":\"Tide\",\"width\":60,\"height\":40}");
        this.path = "/api/reels/" + made.get("id").asString();
        this.revision = made.get("revision").asInt();
    }

    int revision() {
        return revision;
    }

    /** @throws Api.Refused where the edit is not made */
    void edit() throws IOException {
        revision = api.post(
                        path + "/edits",
                        "{\"base\":%d,\"edit\":{\"type\":\"rename\",\"name\":\"Tide %d\"}}"
                                .formatted(revision, revision + 1))
                .get("revision")
                .asInt();
    }

    void assertAllIsThere() throws IOException {
        JsonNode now = api.get(path);
        assertThat(now.get("revision").asInt()).isEqualTo(revision);
        assertThat(now.get("name").asString()).isEqualTo("Tide " + revision);
    }
}
