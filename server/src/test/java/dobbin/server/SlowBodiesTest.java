package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.locks.LockSupport;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Requests whose bodies drip in, a byte at a time. */
class SlowBodiesTest {
    private static final int BETWEEN_BYTES_NANOS = 50_000_000;
    private static final int LONG_ENOUGH_MILLIS = 20_000;

    @RegisterExtension
    private static final RunningServer server = new RunningServer("--dobbin.patience=1s");

    @RegisterExtension
    private static final RunningServer named = new RunningServer().with("Mara", "Ebbe");

    @Test
    void whoeverSendsTooMuchAtOnceWaitsAndNobodyElseDoes() throws IOException {
        Guest mara = Guest.of(named, "Mara");
        Guest ebbe = Guest.of(named, "Ebbe");
        String head = "POST /api/reels HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nCookie: "
                + mara.cookie() + "\r\nContent-Length: 1000\r\n\r\n";
        List<Socket> sending = new ArrayList<>();
        RunningServer.Answer refused = mara.post("/api/reels", "{\"name\":\"Tide\"}");
        while (refused.status() == 201 && sending.size() < 30) {
            Socket socket = new Socket("127.0.0.1", named.address("/").getPort());
            socket.getOutputStream().write(head.getBytes(StandardCharsets.US_ASCII));
            sending.add(socket);
            refused = mara.post("/api/reels", "{\"name\":\"Tide\"}");
        }
        assertThat(sending).hasSizeGreaterThanOrEqualTo(16);
        assertThat(refused.status()).isEqualTo(429);
        assertThat(refused.detail()).isEqualTo("You are sending too much at once. Wait until some of it has arrived.");
        assertThat(mara.get("/api/reels").status()).isEqualTo(200);
        assertThat(ebbe.post("/api/reels", "{\"name\":\"Tide\"}").status()).isEqualTo(201);
        for (Socket socket : sending) {
            socket.close();
        }
    }

    private static Socket begun(String path, String type) throws IOException {
        Socket socket = new Socket("127.0.0.1", server.address("/").getPort());
        String head = "POST " + path + " HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: " + type
                + "\r\nContent-Length: 100000\r\n\r\n";
        socket.getOutputStream().write(head.getBytes(StandardCharsets.US_ASCII));
        return socket;
    }

    /** @return what the server answered, once it has ended the connection */
    private static String dripped(Socket socket) throws IOException {
        CompletableFuture<Void> dripping = CompletableFuture.runAsync(() -> {
            try {
                while (true) {
                    socket.getOutputStream().write(' ');
                    LockSupport.parkNanos(BETWEEN_BYTES_NANOS);
                }
            } catch (IOException e) {
                // The connection was ended, as it should be.
            }
        });
        socket.setSoTimeout(LONG_ENOUGH_MILLIS);
        StringBuilder answer = new StringBuilder();
        try (socket) {
            InputStream in = socket.getInputStream();
            for (int read = in.read(); read >= 0; read = in.read()) {
                answer.append((char) read);
            }
        } catch (SocketTimeoutException e) {
            throw new AssertionError("Still waited for: " + answer, e);
        } catch (IOException e) {
            // It was ended while a byte was under way.
        }
        dripping.join();
        return answer.toString();
    }

    @ParameterizedTest
    @ValueSource(strings = {"application/json", "application/octet-stream"})
    void oneThatDripsIsGivenUp(String type) throws IOException {
        String path = type.equals("application/json") ? "/api/reels" : "/api/pictures?name=Tide.png";
        String answer = dripped(begun(path, type));
        assertThat(answer).startsWith("HTTP/1.1 408").contains("This came too slowly");
        assertThat(server.data().resolve("incoming")).as("what had come of it").isEmptyDirectory();
    }

    /** Four bytes of a request or of its body, and then nothing. */
    @ParameterizedTest
    @ValueSource(strings = {"", "application/json", "application/octet-stream"})
    void oneThatFallsSilentIsGivenUp(String type) throws IOException {
        try (Socket socket = type.isEmpty()
                ? new Socket("127.0.0.1", server.address("/").getPort())
                : begun(type.endsWith("json") ? "/api/reels" : "/api/pictures?name=Tide.png", type)) {
            socket.getOutputStream().write("POST".getBytes(StandardCharsets.US_ASCII));
            socket.setSoTimeout(5_000);
            String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertThat(answer.lines().findFirst().orElse("").strip()).isEqualTo(type.isEmpty() ? "" : "HTTP/1.1 408");
        }
        assertThat(server.data().resolve("incoming")).as("what had come of it").isEmptyDirectory();
    }

    /** A browser sends its next request on the same connection. */
    @Test
    void aConnectionStaysOpenAfterABodyThatWasReadOrRefused() throws IOException {
        try (Socket socket = new Socket("127.0.0.1", server.address("/").getPort())) {
            socket.setSoTimeout(LONG_ENOUGH_MILLIS);
            for (String path : new String[] {"/api/reels", "/api/nothing", "/api/counting-order", "/api/reels"}) {
                String body = path.endsWith("order") ? "{\"names\":[]}" : "{\"name\":\"Tide\"}";
                String request = "POST " + path
                        + " HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nContent-Length: "
                        + body.length() + "\r\n\r\n" + body;
                socket.getOutputStream().write(request.getBytes(StandardCharsets.US_ASCII));
                assertThat(answer(socket.getInputStream()))
                        .as(path)
                        .startsWith("HTTP/1.1 ")
                        .doesNotContain("Connection: close");
            }
        }
    }

    private static String answer(InputStream in) throws IOException {
        String head = upTo("\r\n\r\n", in);
        Matcher length = Pattern.compile("Content-Length: (\\d+)").matcher(head);
        return head
                + (length.find()
                        ? new String(in.readNBytes(Integer.parseInt(length.group(1))), StandardCharsets.UTF_8)
                        : upTo("0\r\n\r\n", in));
    }

    private static String upTo(String end, InputStream in) throws IOException {
        StringBuilder text = new StringBuilder();
        while (text.indexOf(end) < 0) {
            int read = in.read();
            assertThat(read).as("after %s", text).isNotNegative();
            text.append((char) read);
        }
        return text.toString();
    }

    @Test
    void oneThatIsRefusedIsNotReadForEver() throws IOException {
        assertThat(dripped(begun("/api/nothing", "application/json"))).startsWith("HTTP/1.1 4");
    }

    @Test
    void manyOfOneAddressKeepNobodyOut() throws IOException {
        List<Socket> sockets = new ArrayList<>();
        try {
            for (int i = 0; i < 60; i++) {
                sockets.add(begun("/api/pictures?name=Tide.png", "application/octet-stream"));
            }
            assertThat(server.get("/api/reels").status()).isEqualTo(200);
            List<Socket> refused = new ArrayList<>();
            long deadline = System.nanoTime() + 1_000_000L * LONG_ENOUGH_MILLIS;
            while (refused.size() < 60 - 32 && System.nanoTime() < deadline) {
                refused.clear();
                for (Socket socket : sockets) {
                    if (socket.getInputStream().available() > 0) {
                        refused.add(socket);
                    }
                }
                LockSupport.parkNanos(BETWEEN_BYTES_NANOS);
            }
            assertThat(refused).hasSize(60 - 32);
            byte[] answer = refused.get(0).getInputStream().readNBytes(12);
            assertThat(new String(answer, StandardCharsets.US_ASCII)).isEqualTo("HTTP/1.1 429");
        } finally {
            sockets.forEach(SlowBodiesTest::close);
        }
        // Once the connections are gone the address may send again.
        assertThat(server.until(
                        "/api/reels",
                        reels ->
                                server.post("/api/reels", "{\"name\":\"Tide\"}").status() == 201))
                .isNotNull();
    }

    private static void close(Socket socket) {
        try {
            socket.close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
