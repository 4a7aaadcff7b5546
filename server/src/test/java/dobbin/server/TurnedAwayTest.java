package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.server.RunningServer.Answer;
import java.io.IOException;
import java.net.Socket;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Requests that no controller ever sees get a sentence in a problem document, and the headers that all answers have. */
class TurnedAwayTest {
    @RegisterExtension
    private static final RunningServer server = new RunningServer();

    /** @param line the first line of the request, as no well-behaved client writes it */
    private static String answerTo(String line, String... headers) throws IOException {
        try (Socket socket = new Socket("127.0.0.1", server.address("/").getPort())) {
            String request =
                    line + "\r\nHost: 127.0.0.1\r\nConnection: close\r\n" + String.join("\r\n", headers) + "\r\n\r\n";
            socket.getOutputStream().write(request.getBytes(StandardCharsets.ISO_8859_1));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "GET /%zz HTTP/1.1",
                "GET /a|b HTTP/1.1",
                "GET /..%2f..%2fetc/passwd HTTP/1.1",
                "GET /api/reels/x;a=b HTTP/1.1",
                "GET //api/reels HTTP/1.1",
            })
    void malformedAddresses(String line) throws IOException {
        String answer = answerTo(line);
        assertThat(answer)
                .startsWith("HTTP/1.1 400")
                .contains("Content-Security-Policy: default-src 'self'", "X-Content-Type-Options: nosniff", "no-store")
                .contains("Content-Type: application/problem+json", "The request is not well formed")
                .doesNotContain("Tomcat", "Tahoma", "timestamp", "Exception");
    }

    @Test
    void headersThatAreTooLong() throws IOException {
        assertThat(answerTo("GET / HTTP/1.1", "X: " + "a".repeat(20_000)))
                .startsWith("HTTP/1.1 400")
                .contains("application/problem+json")
                .doesNotContain("Tahoma");
    }

    @Test
    void parametersAreRefusedByName() {
        Answer number = server.get("/api/reels?from=abc");
        assertThat(number.status()).isEqualTo(400);
        assertThat(number.detail()).isEqualTo("from must be a whole number");
        assertThat(server.get("/api/reels?from=-1").detail()).startsWith("from must be from 0");
        Answer flag = server.get("/api/reels/x/weight?again=perhaps");
        assertThat(flag.detail()).isEqualTo("again must be true or false");
    }

    @Test
    void nothingInAList() {
        JsonNode reel = server.reelOf(0xFF102030);
        for (Answer answer : List.of(
                server.post("/api/counting-order", "{\"names\":[null,\"a\"]}"),
                server.edit(reel, "{\"type\":\"setDelay\",\"frames\":[null],\"delayMillis\":50}"),
                server.edit(reel, "{\"type\":\"batch\",\"edits\":[null],\"title\":\"\"}"))) {
            assertThat(answer.status()).as(answer.detail()).isEqualTo(400);
        }
    }

    @Test
    void anEmptyStripOfAClip() {
        Answer empty = server.post("/api/clips/loop?height=4", new byte[0]);
        assertThat(empty.status()).isEqualTo(422);
        assertThat(empty.detail()).isEqualTo("The strip of pictures is empty");
    }

    @Test
    void theIdOfARequestStandsInItsProblemAndItsAnswer() {
        for (Answer answer : List.of(
                server.get("/api/reels/none"),
                server.get("/api/nothing"),
                server.post("/api/reels", "{"),
                server.send(HttpRequest.newBuilder(server.address("/api/removed"))
                        .header("Origin", "http://elsewhere.example")
                        .DELETE()))) {
            String id = answer.response().headers().firstValue("X-Request-Id").orElseThrow();
            assertThat(id).matches("[0-9a-f]{12}");
            assertThat(answer.json().get("request").asString()).isEqualTo(id);
        }
        assertThat(server.get("/api/reels").response().headers().firstValue("X-Request-Id"))
                .isNotEqualTo(server.get("/api/reels").response().headers().firstValue("X-Request-Id"));
    }
}
