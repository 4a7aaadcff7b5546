package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.server.RunningServer.Answer;
import java.net.http.HttpRequest;
import java.util.concurrent.locks.LockSupport;
import tools.jackson.databind.JsonNode;

/** Somebody with a browser that has signed in. */
record Guest(RunningServer server, String cookie) {
    static Answer signingIn(RunningServer server, String name, String password) {
        return server.post("/api/session", "{\"name\":\"%s\",\"password\":\"%s\"}".formatted(name, password));
    }

    static Guest of(RunningServer server, String name) {
        return signedIn(server, name, RunningServer.passwordOf(name));
    }

    static Guest signedIn(RunningServer server, String name, String password) {
        Answer answer = signingIn(server, name, password);
        assertThat(answer.status()).as(name).isEqualTo(204);
        String cookie = answer.response().headers().firstValue("Set-Cookie").orElseThrow();
        return new Guest(server, cookie.replaceAll(";.*", ""));
    }

    Answer ask(String verb, String path, String json) {
        return server.send(HttpRequest.newBuilder(server.address(path))
                .header("Cookie", cookie)
                .header("Content-Type", "application/json")
                .method(verb, HttpRequest.BodyPublishers.ofString(json)));
    }

    Answer get(String path) {
        return ask("GET", path, "");
    }

    /** @return a job once it has ended, within half a minute */
    JsonNode ended(JsonNode job) {
        for (int look = 0; look < 1_500; look++) {
            JsonNode now = get("/api/jobs/" + job.get("id").asString()).json();
            if (!now.get("state").asString().equals("RUNNING")) {
                return now;
            }
            LockSupport.parkNanos(20_000_000);
        }
        throw new AssertionError("The job goes on and on");
    }

    Answer post(String path, String json) {
        return ask("POST", path, json);
    }

    Answer upload(String name, byte[] file) {
        return server.send(HttpRequest.newBuilder(server.address("/api/pictures?name=" + name))
                .header("Cookie", cookie)
                .header("Content-Type", "application/octet-stream")
                .POST(HttpRequest.BodyPublishers.ofByteArray(file)));
    }

    /** A reel with one empty frame. */
    JsonNode reel(String name) {
        return post("/api/reels/empty", "{\"name\":\"" + name + "\",\"width\":30,\"height\":20}")
                .json();
    }

    Answer rename(JsonNode reel, String name) {
        return edit(reel, "{\"type\":\"rename\",\"name\":\"%s\"}".formatted(name));
    }

    /** On the reel as it is now. */
    Answer edit(JsonNode reel, String edit) {
        JsonNode now = get("/api/reels/" + reel.get("id").asString()).json();
        return post(
                "/api/reels/" + reel.get("id").asString() + "/edits",
                "{\"base\":%d,\"edit\":%s}".formatted(now.get("revision").asInt(), edit));
    }

    Answer give(JsonNode reel, String everyone, String people) {
        return ask(
                "PUT",
                "/api/reels/" + reel.get("id").asString() + "/access",
                "{\"everyone\":%s,\"people\":[%s]}".formatted(everyone, people));
    }
}
