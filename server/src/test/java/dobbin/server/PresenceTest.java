package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.server.jobs.EventHub;
import dobbin.server.local.PeopleCommands;
import java.io.IOException;
import java.io.InputStream;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Whoever listens to a reel and may not any more is let go within 15 seconds, as every other request is refused at once. */
class PresenceTest {
    private static final int PROMISED_SECONDS = 15;

    @RegisterExtension
    private static final RunningServer server = new RunningServer().with("Mara", "Ebbe", "Ines");

    private final HttpClient http = HttpClient.newHttpClient();

    /** @return done once the stream has ended */
    private CompletableFuture<Void> listening(Guest guest) throws Exception {
        String reel = guest.reel("Tide").get("id").asString();
        HttpResponse<InputStream> answer = http.send(
                HttpRequest.newBuilder(server.address("/api/reels/" + reel + "/events"))
                        .header("Cookie", guest.cookie())
                        .timeout(Duration.ofSeconds(10))
                        .build(),
                HttpResponse.BodyHandlers.ofInputStream());
        assertThat(answer.statusCode()).isEqualTo(200);
        return CompletableFuture.runAsync(() -> {
            try (InputStream events = answer.body()) {
                events.readAllBytes();
            } catch (IOException e) {
                // It ended in the middle.
            }
        });
    }

    @Test
    void aChangedPasswordEndsTheStreamsOfOtherSessions() throws Exception {
        Guest mara = Guest.of(server, "Mara");
        Guest elsewhere = Guest.of(server, "Mara");
        CompletableFuture<Void> stream = listening(elsewhere);
        Guest ebbe = Guest.of(server, "Ebbe");
        CompletableFuture<Void> other = listening(ebbe);
        String change =
                "{\"before\":\"%s\",\"password\":\"Fog bell at midnight\"}".formatted(RunningServer.passwordOf("Mara"));
        assertThat(mara.post("/api/session/password", change).status()).isEqualTo(204);
        assertThat(elsewhere.get("/api/reels").status()).isEqualTo(401);
        stream.get(PROMISED_SECONDS, TimeUnit.SECONDS);
        assertThat(other).as("Ebbe goes on listening").isNotDone();
    }

    @Test
    void aRemovedNameEndsItsStreams() throws Exception {
        CompletableFuture<Void> stream = listening(Guest.of(server, "Ines"));
        PeopleCommands.run(Optional.empty(), server.data(), "remove", "Ines");
        stream.get(PROMISED_SECONDS, TimeUnit.SECONDS);
        EventHub hub = server.bean(EventHub.class);
        assertThat(hub.streams()).isLessThanOrEqualTo(1);
        assertThat(hub.listenedTo())
                .as("reels that nobody listens to are forgotten")
                .hasSize(hub.streams());
        assertThat(Guest.signingIn(server, "Ines", RunningServer.passwordOf("Ines"))
                        .status())
                .isEqualTo(403);
    }
}
