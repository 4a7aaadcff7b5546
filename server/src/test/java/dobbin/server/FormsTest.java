package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.gather.SeriesFile;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.server.RunningServer.Answer;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.PngWriter;
import dobbin.still.Series;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

class FormsTest {
    private static final int[] COLORS = {0xFF101830, 0xFFE06848, 0xFF9CC3E0};

    @RegisterExtension
    private static final RunningServer server = new RunningServer();

    private static Answer form(JsonNode reel, String form, String name, String frames, String sheet) {
        return server.post(
                "/api/reels/" + reel.get("id").asString() + "/forms/" + form,
                "{\"name\":\"" + name + "\",\"frames\":[" + frames + "],\"sheet\":" + sheet + "}");
    }

    private static Answer form(JsonNode reel, String form) {
        return form(reel, form, "Tide: six / seven?", "", "{\"columns\":0,\"padding\":0}");
    }

    private static String file(Answer answer) {
        assertThat(answer.status()).isEqualTo(200);
        String disposition =
                answer.response().headers().firstValue("Content-Disposition").orElseThrow();
        assertThat(disposition).startsWith("attachment");
        return disposition.replaceAll(".*filename\\*=UTF-8''", "");
    }

    private static Map<String, byte[]> unzipped(byte[] file) throws IOException {
        Map<String, byte[]> files = new LinkedHashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                files.put(entry.getName(), zip.readAllBytes());
            }
        }
        return files;
    }

    /** What is read slowly lies on the disk meanwhile, and is removed once it is read. */
    @Test
    void aFormIsMadeWholeBeforeItIsRead() throws Exception {
        int[] noise =
                new Random(1).ints(900 * 900).map(argb -> argb | 0xFF000000).toArray();
        JsonNode still = server.upload("Fog.png", PngWriter.bytes(Raster.of(new Size(900, 900), noise)))
                .json()
                .get("stills")
                .get(0);
        JsonNode reel = server.post("/api/reels", "{\"name\":\"Fog\"}").json();
        String stills = String.join(",", Collections.nCopies(20, still.toString()));
        reel = server.edit(reel, "{\"type\":\"addStills\",\"after\":0,\"stills\":[" + stills + "],\"gathering\":\"\"}")
                .json();
        Path incoming = server.data().resolve("incoming");
        String body = "{\"name\":\"Fog\",\"frames\":[],\"sheet\":{\"columns\":0,\"padding\":0}}";
        URI address = server.address("/api/reels/" + reel.get("id").asString() + "/forms/stills");
        try (Socket socket = new Socket("127.0.0.1", address.getPort())) {
            socket.getOutputStream()
                    .write(("POST " + address.getPath()
                                    + " HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\n"
                                    + "Connection: close\r\nContent-Length: " + body.length() + "\r\n\r\n" + body)
                            .getBytes(StandardCharsets.US_ASCII));
            assertThat(socket.getInputStream().readNBytes(12)).asString().isEqualTo("HTTP/1.1 200");
            assertThat(incoming).isNotEmptyDirectory();
            assertThat(socket.getInputStream().readAllBytes().length).isGreaterThan(10_000_000);
        }
        long deadline = System.nanoTime() + TimeUnit.SECONDS.toNanos(20);
        while (Files.list(incoming).count() > 0 && System.nanoTime() < deadline) {
            Thread.onSpinWait();
        }
        assertThat(incoming).isEmptyDirectory();
    }

    @Test
    void onlyTheChosenFramesAreDelivered() throws Exception {
        JsonNode reel = server.reelOf(COLORS);
        Answer answer = form(reel, "apng", "Tide", "1,3", "{\"columns\":0,\"padding\":0}");
        assertThat(file(answer)).isEqualTo("Tide.png");
        assertThat(answer.response().headers().firstValue("Content-Type")).contains("image/png");
        Series frames = SeriesFile.open(answer.body(), false, DecodeLimits.USUAL, Checkpoint.NONE);
        assertThat(frames.next().orElseThrow().picture()).isEqualTo(Raster.filled(new Size(30, 20), COLORS[0]));
        assertThat(frames.next().orElseThrow().picture()).isEqualTo(Raster.filled(new Size(30, 20), COLORS[2]));
        assertThat(frames.next()).isEmpty();
    }

    @Test
    void aFormOfSeveralFilesIsAZipOfThem() throws Exception {
        JsonNode reel = server.reelOf(COLORS);
        Answer answer = form(reel, "sheet");
        assertThat(file(answer)).isEqualTo("Tide-%20six%20-%20seven-.zip");
        Map<String, byte[]> files = unzipped(answer.body());
        assertThat(files.keySet()).containsExactly("Tide- six - seven-.sheet.png", "Tide- six - seven-.sheet.json");
        var sheet = ImageIO.read(new ByteArrayInputStream(files.get("Tide- six - seven-.sheet.png")));
        assertThat(sheet.getRGB(5, 25)).isEqualTo(COLORS[2]);
    }

    @Test
    void thePageHasTheVeryFileThatIsDelivered() throws Exception {
        JsonNode described = server.edit(server.reelOf(COLORS), "{\"type\":\"setAlt\",\"alt\":\"The tide\"}")
                .json();
        JsonNode reel =
                server.edit(described, "{\"type\":\"setStill\",\"frame\":2}").json();
        Map<String, byte[]> files = unzipped(form(reel, "page").body());
        assertThat(new String(files.get("Tide- six - seven-.html"), StandardCharsets.UTF_8))
                .contains("alt=\"The tide\"");
        assertThat(files.get("Tide- six - seven-.gif"))
                .isEqualTo(form(reel, "gif").body());
        var still = ImageIO.read(new ByteArrayInputStream(files.get("Tide- six - seven-.still.png")));
        assertThat(still.getRGB(0, 0)).isEqualTo(COLORS[1]);
        String html = server.get("/api/reels/" + reel.get("id").asString() + "/html?name=Tide%20%26%20spray")
                .json()
                .get("html")
                .asString();
        assertThat(html).contains("src=\"Tide%20%26%20spray.gif\" width=\"30\" height=\"20\" alt=\"The tide\"");
    }

    @Test
    void aFrameThatStandsForTheLoopAndIsRemovedIsFollowedByTheFirst() {
        JsonNode reel = server.edit(server.reelOf(COLORS), "{\"type\":\"setStill\",\"frame\":2}")
                .json();
        JsonNode after =
                server.edit(reel, "{\"type\":\"removeFrames\",\"frames\":[2]}").json();
        assertThat(after.get("sharing").toString()).isEqualTo("{\"alt\":\"\",\"still\":0}");
        assertThat(server.edit(after, "{\"type\":\"setStill\",\"frame\":2}").detail())
                .contains("frame must be one of this reel");
    }

    @Test
    void whatCannotBeDeliveredIsRefusedByName() {
        JsonNode reel = server.reelOf(COLORS);
        assertThat(form(reel, "webp").status()).isEqualTo(404);
        assertThat(form(reel, "apng", "Tide", "99", "{\"columns\":0,\"padding\":0}")
                        .detail())
                .contains("frames must name frames of this reel");
        assertThat(form(reel, "sheet", "Tide", "", "{\"columns\":2001,\"padding\":0}")
                        .detail())
                .contains("columns must be from 0 to 2,000");
        assertThat(form(reel, "apng", "", "", "{\"columns\":0,\"padding\":0}").detail())
                .contains("name");
        JsonNode empty = server.post("/api/reels", "{\"name\":\"Nothing\"}").json();
        assertThat(form(empty, "still").detail()).contains("frames are missing");
    }
}
