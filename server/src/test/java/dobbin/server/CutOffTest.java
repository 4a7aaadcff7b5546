package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Size;
import java.io.File;
import java.io.IOException;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Arrays;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Requests whose connection ends at any byte of their body leave nothing behind. */
class CutOffTest {
    /** Many of those that were cut off may be noticed at once, when the one that is whole comes. */
    @RegisterExtension
    private static final RunningServer server = new RunningServer("--dobbin.bodies-at-once=1000");

    /** Sends the head of a request and so much of its body, then ends the connection. */
    private static void cutOff(String path, String type, byte[] body, int sent) throws IOException {
        try (Socket socket = new Socket("127.0.0.1", server.address("/").getPort())) {
            String head = "POST " + path + " HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: " + type
                    + "\r\nContent-Length: " + body.length + "\r\n\r\n";
            socket.getOutputStream().write(head.getBytes(StandardCharsets.US_ASCII));
            socket.getOutputStream().write(Arrays.copyOf(body, sent));
        }
    }

    private static void awaitNothingOnItsWay() {
        File incoming = server.data().resolve("incoming").toFile();
        long deadline = System.nanoTime() + Duration.ofSeconds(20).toNanos();
        while (incoming.list().length > 0 && System.nanoTime() < deadline) {
            LockSupport.parkNanos(Duration.ofMillis(10).toNanos());
        }
        assertThat(incoming.list()).isEmpty();
    }

    private static int count(String table) {
        return server.bean(org.springframework.jdbc.core.JdbcTemplate.class)
                .queryForObject("SELECT COUNT(*) FROM " + table, Integer.class);
    }

    @Test
    void uploads() throws IOException {
        byte[] png = RunningServer.png(new Size(31, 17), 0xFF204060);
        int before = count("picture");
        for (int sent = 0; sent < png.length; sent++) {
            cutOff("/api/pictures?name=Tide.png", "application/octet-stream", png, sent);
        }
        awaitNothingOnItsWay();
        assertThat(count("picture")).isEqualTo(before);
        assertThat(server.upload("Tide.png", png).json().get("stills")).hasSize(1);
        assertThat(count("picture")).isEqualTo(before + 1);
    }

    @Test
    void edits() throws IOException {
        JsonNode reel = server.reelOf(0xFF123456);
        String path = "/api/reels/" + reel.get("id").asString();
        byte[] edit = "{\"base\":%d,\"edit\":{\"type\":\"rename\",\"name\":\"High tide\"}}"
                .formatted(reel.get("revision").asInt())
                .getBytes(StandardCharsets.UTF_8);
        for (int sent = 0; sent < edit.length; sent++) {
            cutOff(path + "/edits", "application/json", edit, sent);
        }
        assertThat(server.get(path).json()).isEqualTo(reel);
        assertThat(server.post(path + "/edits", new String(edit, StandardCharsets.UTF_8))
                        .status())
                .isEqualTo(200);
    }
}
