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
