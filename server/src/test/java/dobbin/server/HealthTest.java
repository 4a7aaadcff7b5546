package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.server.RunningServer.Answer;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpRequest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Health and metrics answer at a port of their own, where that was asked for, and nowhere else. */
class HealthTest {
    private static final int PORT = freePort();

    @RegisterExtension
    private static final RunningServer asked = new RunningServer("--management.server.port=" + PORT);

    @RegisterExtension
    private static final RunningServer usual = new RunningServer();

    private static int freePort() {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        } catch (IOException e) {
            throw new AssertionError(e);
        }
    }

    private static Answer health(String path) {
        return asked.send(HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + PORT + path)));
    }

    @Test
    void atThePortThatWasAskedForItIsTold() {
        assertThat(health("/actuator/health").json().get("status").asString()).isEqualTo("UP");
        assertThat(health("/actuator/health").json().at("/components/db/status").asString())
                .isEqualTo("UP");
        asked.get("/api/reels");
        assertThat(health("/actuator/metrics/http.server.requests?tag=uri:/api/reels")
                        .json()
                        .at("/measurements/0/value")
                        .asInt())
                .isPositive();
        assertThat(health("/actuator/metrics/dobbin.jobs")
                        .json()
                        .at("/measurements/0/value")
                        .asInt())
                .isZero();
        assertThat(health("/actuator/metrics/dobbin.streams").status()).isEqualTo(200);
        assertThat(health("/actuator/env").json())
                .as("what else there is to tell is not told")
                .isNull();
        assertThat(health("/api/reels").status()).isEqualTo(404);
    }

    @Test
    void atThePortThatPeopleUseThereIsNothingOfIt() {
        for (RunningServer server : new RunningServer[] {asked, usual}) {
            assertThat(new String(server.get("/actuator/health").body())).contains("<div id=\"app\">");
        }
        assertThat(usual.get("/actuator/health").response().headers().firstValue("Content-Type"))
                .hasValueSatisfying(type -> assertThat(type).startsWith("text/html"));
    }
}
