package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.server.RunningServer.Answer;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.http.HttpRequest;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A server with a password lets nobody at the data who does not know it. */
@TestMethodOrder(MethodOrderer.MethodName.class)
class SignInTest {
    private static final String PASSWORD = "Six lamps, one beam";

    @RegisterExtension
    private static final RunningServer server = new RunningServer("--dobbin.password-file=" + file());

    @RegisterExtension
    private static final RunningServer open = new RunningServer();

    @RegisterExtension
    private static final RunningServer behindAProxy = new RunningServer(
            "--dobbin.password-file=" + file(),
            "--server.forward-headers-strategy=native",
            "--server.servlet.session.cookie.name=__Host-dobbin");

    private static Path file() {
        try {
            Path file = Files.createTempFile("dobbin", "password");
            file.toFile().deleteOnExit();
            return Files.writeString(file, PASSWORD + "\n");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Answer signIn(String password) {
        return server.post("/api/session", "{\"name\":\"\",\"password\":\"" + password + "\"}");
    }

    private static Optional<String> cookie(Answer answer) {
        return answer.response().headers().firstValue("Set-Cookie");
    }

    private static Answer get(String path, String cookie) {
        return server.send(HttpRequest.newBuilder(server.address(path))
                .header("Cookie", cookie)
                .GET());
    }

    /** As a proxy passes it on that spoke TLS with the browser. */
    private static Answer signInOverTls(RunningServer to) {
        return to.send(HttpRequest.newBuilder(to.address("/api/session"))
                .header("Content-Type", "application/json")
                .header("X-Forwarded-Proto", "https")
                .POST(HttpRequest.BodyPublishers.ofString("{\"name\":\"\",\"password\":\"" + PASSWORD + "\"}")));
    }

    private static String session() {
        return cookie(signIn(PASSWORD)).orElseThrow().replaceAll(";.*", "");
    }

    /** A page of the same host that came without TLS is another site to one that came with it. */
    @Test
    void theSchemeOfAnOriginCounts() {
        String host = "127.0.0.1:" + behindAProxy.address("/").getPort();
        for (String origin : List.of("http://" + host, "https://" + host)) {
            Answer answer = behindAProxy.send(HttpRequest.newBuilder(behindAProxy.address("/api/session"))
                    .header("Content-Type", "application/json")
                    .header("X-Forwarded-Proto", "https")
                    .header(
                            "X-Forwarded-Port",
                            String.valueOf(behindAProxy.address("/").getPort()))
                    .header("Origin", origin)
                    .POST(HttpRequest.BodyPublishers.ofString("{\"name\":\"\",\"password\":\"" + PASSWORD + "\"}")));
            assertThat(answer.status()).as(origin).isEqualTo(origin.startsWith("https") ? 204 : 403);
        }
    }

    @Test
    void anythingOfTheDataIsRefusedWithoutThePassword() {
        for (String path :
                List.of("/api/reels", "/api/reels/x", "/api/deliveries/x.gif", "/api/limits", "/api/removed")) {
            Answer answer = server.get(path);
            assertThat(answer.status()).as(path).isEqualTo(401);
            assertThat(answer.detail()).isEqualTo("Sign in first.");
            assertThat(answer.response().headers().firstValue("Content-Security-Policy"))
                    .isPresent();
        }
        assertThat(server.post("/api/reels", "{\"name\":\"Tide\"}").status()).isEqualTo(401);
        assertThat(server.post("/api/reels/file?name=x", new byte[10]).status()).isEqualTo(401);
        assertThat(server.delete("/api/removed").status()).isEqualTo(401);
        assertThat(server.get("/api/session").json().toString())
                .isEqualTo("{\"needed\":true,\"named\":false,\"signedIn\":false,\"name\":null}");
    }

    @Test
    void thePasswordOpensItUntilOneSignsOut() {
        Answer answer = signIn(PASSWORD);
        assertThat(answer.status()).isEqualTo(204);
        assertThat(cookie(answer))
                .hasValueSatisfying(
                        cookie -> assertThat(cookie).startsWith("dobbin=").contains("HttpOnly", "SameSite=Strict"));
        String session = session();
        assertThat(get("/api/reels", session).status()).isEqualTo(200);
        assertThat(get("/api/session", session).json().get("signedIn").asBoolean())
                .isTrue();
        server.send(HttpRequest.newBuilder(server.address("/api/session"))
                .header("Cookie", session)
                .DELETE());
        assertThat(get("/api/reels", session).status()).isEqualTo(401);
    }

    @Test
    void theCookieGoesOverTlsAloneWhereThereIsTls() {
        Answer overTls = signInOverTls(behindAProxy);
        assertThat(cookie(overTls).orElseThrow())
                .startsWith("__Host-dobbin=")
                .contains("; Secure", "; Path=/;")
                .doesNotContain("Domain");
        assertThat(overTls.response().headers().firstValue("Strict-Transport-Security"))
                .contains("max-age=31536000");
        assertThat(signIn(PASSWORD).response().headers().firstValue("Strict-Transport-Security"))
                .isEmpty();
        // A header that no proxy was announced to send is not believed.
        assertThat(cookie(signInOverTls(server)).orElseThrow()).doesNotContain("Secure");
    }

    @Test
    void theSessionGetsANewIdWhenOneSignsIn() {
        String before = session();
        Answer again = server.send(HttpRequest.newBuilder(server.address("/api/session"))
                .header("Cookie", before)
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString("{\"name\":\"\",\"password\":\"" + PASSWORD + "\"}")));
        String after = cookie(again).orElseThrow().replaceAll(";.*", "");
        assertThat(after).isNotEqualTo(before);
        assertThat(get("/api/reels", before).status()).isEqualTo(401);
        assertThat(get("/api/reels", after).status()).isEqualTo(200);
    }

    /** Runs last: the address has to wait from then on. */
    @Test
    void wrongPasswordsAreRefusedAndSlowedDown() {
        for (int i = 0; i < 5; i++) {
            Answer wrong = signIn("Seven lamps");
            assertThat(wrong.status()).isEqualTo(403);
            assertThat(wrong.detail()).isEqualTo("That is not the password.");
            assertThat(cookie(wrong)).isEmpty();
        }
        Answer slowed = signIn(PASSWORD);
        assertThat(slowed.status()).isEqualTo(429);
        assertThat(slowed.detail()).startsWith("That was wrong too often. Wait ");
        assertThat(slowed.response().headers().firstValueAsLong("Retry-After").orElse(0))
                .isEqualTo(Long.parseLong(slowed.detail().replaceAll("\\D+", "")));
    }

    @Test
    void withoutAPasswordEverybodyIsIn() {
        assertThat(open.get("/api/session").json().toString())
                .isEqualTo("{\"needed\":false,\"named\":false,\"signedIn\":true,\"name\":null}");
        Answer answer = open.get("/api/reels");
        assertThat(answer.status()).isEqualTo(200);
        assertThat(cookie(answer)).isEmpty();
    }

    @Test
    void answersStayInNoCacheUnlessTheyNeverChange() {
        assertThat(open.get("/api/reels").response().headers().allValues("Cache-Control"))
                .containsExactly("no-cache, no-store, max-age=0, must-revalidate");
        String id = open.reelOf(0xFF123456).get("id").asString();
        String drawn = open.get("/api/reels/" + id).json().at("/frames/0/drawn").asString();
        assertThat(open.get("/api/reels/" + id + "/frames/" + drawn + ".png?width=30")
                        .response()
                        .headers()
                        .allValues("Cache-Control"))
                .containsExactly("max-age=31536000, private, immutable");
    }
}
