package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.lettering.Typeface;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.ContentName;
import dobbin.server.RunningServer.Answer;
import dobbin.skerry.SkerryPoint;
import dobbin.still.PngWriter;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Reels as files: saved here and opened on another machine. */
class WorkingFilesTest {
    private static final JsonMapper JSON = JsonMapper.shared();
    private static final String STROKE = """
            {"type":"stroke","pen":{"color":"b23a24","opacity":100,"softness":0,"hard":false,"erases":false},
             "points":[%s],"mirroring":"NONE"}""";

    @RegisterExtension
    private static final RunningServer server = new RunningServer();

    @RegisterExtension
    private static final RunningServer elsewhere = new RunningServer("--dobbin.max-working-file-size=5000000B");

    private static String path(JsonNode reel) {
        return "/api/reels/" + reel.get("id").asString();
    }

    private static byte[] saved(RunningServer from, JsonNode reel, boolean history) {
        Answer answer = from.get(path(reel) + "/file?history=" + history);
        assertThat(answer.status()).isEqualTo(200);
        return answer.body();
    }

    private static List<JsonNode> opening(byte[] file) {
        Answer answer = elsewhere.post("/api/reels/file?name=Tide.dobbin", file);
        assertThat(answer.status()).isEqualTo(200);
        return new String(answer.body(), StandardCharsets.UTF_8)
                .lines()
                .map(JSON::readTree)
                .toList();
    }

    private static JsonNode last(byte[] file) {
        List<JsonNode> lines = opening(file);
        return lines.get(lines.size() - 1);
    }

    private static JsonNode opened(byte[] file) {
        JsonNode last = last(file);
        assertThat(last.get("problem").isNull()).as("%s", last).isTrue();
        return elsewhere.get("/api/reels/" + last.get("reel").asString()).json();
    }

    private static byte[] gif(RunningServer from, JsonNode reel) {
        return from.post(
                        path(reel) + "/forms/gif",
                        "{\"name\":\"Tide\",\"frames\":[],\"sheet\":{\"columns\":0,\"padding\":0}}")
                .body();
    }

    /** Stills of one color, a large photo, ink of two strokes, and letters in a typeface that was brought. */
    private static JsonNode rich() throws IOException {
        JsonNode reel = server.reelOf(0xFF101830, 0xFFE06848);
        Raster photo = SkerryPoint.sunrise(1, new Size(2_000, 500)).get(0);
        JsonNode still =
                server.upload("Sunrise.png", PngWriter.bytes(photo)).json().get("stills");
        reel = server.edit(reel, "{\"type\":\"addStills\",\"after\":2,\"stills\":" + still + ",\"gathering\":\"\"}")
                .json();
        for (String points : new String[] {"3,3,4, 20,12,4", "9,14,3"}) {
            Answer marked =
                    server.post(path(reel) + "/marks", "{\"frames\":[1],\"mark\":" + STROKE.formatted(points) + "}");
            assertThat(marked.status())
                    .as(new String(marked.body(), StandardCharsets.UTF_8))
                    .isEqualTo(200);
        }
        JsonNode own = server.post("/api/typefaces?name=Lora.ttf", lora()).json();
        JsonNode titled =
                server.edit(server.get(path(reel)).json(), """
                {"type":"addCard","after":0,"delayMillis":90,"card":{"kind":"card","background":"9cc3e0","text":"Ferry",
                 "typeface":"PLAIN","own":%s,"size":12,"color":"101830","align":"CENTER"}}""".formatted(own)).json();
        JsonNode slow = server.edit(titled, "{\"type\":\"setDelay\",\"frames\":[1],\"delayMillis\":400}")
                .json();
        return server.post(path(reel) + "/undo", "{\"base\":" + slow.get("revision") + "}")
                .json();
    }

    private static byte[] lora() throws IOException {
        try (InputStream file = Typeface.class.getResourceAsStream("Lora-Regular.ttf")) {
            return file.readAllBytes();
        }
    }

    @Test
    void whatIsSavedIsOpenedElsewhereAndSavedAgainAsTheSameBytes() throws Exception {
        JsonNode reel = rich();
        for (boolean history : new boolean[] {false, true}) {
            byte[] file = saved(server, reel, history);
            JsonNode there = opened(file);
            assertThat(saved(elsewhere, there, history)).isEqualTo(file);
            assertThat(gif(elsewhere, there)).isEqualTo(gif(server, reel));
            assertThat(there.get("name")).isEqualTo(reel.get("name"));
            assertThat(there.get("id")).isNotEqualTo(reel.get("id"));
        }
    }

    @Test
    void whatWasDoneCanBeUndoneElsewhere() throws Exception {
        JsonNode reel = rich();
        JsonNode there = opened(saved(server, reel, true));
        assertThat(there.get("undo")).isEqualTo(reel.get("undo"));
        assertThat(there.get("redo")).isEqualTo(reel.get("redo"));
        assertThat(elsewhere.get(path(there) + "/history").json())
                .isEqualTo(server.get(path(reel) + "/history").json());
        JsonNode back = elsewhere
                .post(path(there) + "/step", "{\"base\":" + there.get("revision") + ",\"step\":1}")
                .json();
        assertThat(back.get("frames")).hasSize(2);
        JsonNode alone = opened(saved(server, reel, false));
        assertThat(alone.get("undo").isNull()).isTrue();
    }

    @Test
    void aPictureThatIsHereIsNotReadAgain() {
        JsonNode reel = server.reelOf(0xFF334455);
        byte[] file = saved(server, reel, false);
        JsonNode first = opened(file);
        JsonNode second = opened(file);
        assertThat(second.get("id")).isNotEqualTo(first.get("id"));
        assertThat(gif(elsewhere, second)).isEqualTo(gif(elsewhere, first));
    }

    @Test
    void theFileIsCalledAfterTheReel() {
        JsonNode reel = server.edit(server.reelOf(0xFF000000), "{\"type\":\"rename\",\"name\":\"Tide: six / seven\"}")
                .json();
        Answer answer = server.get(path(reel) + "/file");
        assertThat(answer.response().headers().firstValue("Content-Disposition"))
                .hasValueSatisfying(it -> assertThat(it).endsWith("filename*=UTF-8''Tide-%20six%20-%20seven.dobbin"));
        assertThat(answer.response().headers().firstValue("Content-Length"))
                .contains(String.valueOf(answer.body().length));
    }

    @Test
    void itSaysHowFarItIs() {
        List<JsonNode> lines = opening(saved(server, server.reelOf(0xFF400000, 0xFF004000, 0xFF000040), false));
        assertThat(lines.subList(0, 3))
                .extracting(line ->
                        line.get("read").asInt() + " of " + line.get("of").asInt())
                .containsExactly("0 of 3", "1 of 3", "2 of 3");
        assertThat(lines).hasSize(4);
    }

    @Test
    void nothingIsHalfOpened() throws Exception {
        byte[] file = saved(server, server.reelOf(0xFF123456, 0xFF654321), true);
        int before = elsewhere.get("/api/reels").json().get("total").asInt();
        refused(changed(file, parts -> parts.remove("history/1.json")), "“Tide.dobbin” tells of 2 steps");
        String second = pictures(file).get(1);
        refused(changed(file, parts -> parts.get(second)[60] ^= 1), "“" + second.replace(".png", "") + "” that is not");
        refused(
                changed(file, parts -> exchange(parts, second, "No picture".getBytes(StandardCharsets.UTF_8))),
                "that is not a picture that can be read here");
        refused(
                changed(file, parts -> exchange(parts, second, RunningServer.png(new Size(31, 20), 0xFF000000))),
                "is 31 x 20 pixels, not 30 x 20 as the reel says");
        assertThat(elsewhere.get("/api/reels").json().get("total").asInt()).isEqualTo(before);
    }

    @Test
    void aFileThatIsTooLargeIsRefusedByName() {
        Answer answer = elsewhere.post("/api/reels/file?name=Tide.dobbin", new byte[5_000_001]);
        assertThat(answer.status()).isEqualTo(413);
        assertThat(answer.detail()).startsWith("“Tide.dobbin” is larger than 5 MB");
    }

    /** As a status where it is refused at once, and as the last line where pictures were read before. */
    private static void refused(byte[] file, String clause) {
        Answer answer = elsewhere.post("/api/reels/file?name=Tide.dobbin", file);
        if (answer.status() == 200) {
            JsonNode last = last(file);
            assertThat(last.get("problem").asString()).contains(clause).endsWith(" Nothing was opened.");
            assertThat(last.get("reel").isNull()).isTrue();
            return;
        }
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.detail())
                .startsWith("“Tide.dobbin” ")
                .contains(clause)
                .endsWith(" Nothing was opened.");
    }

    @Test
    void whatIsNoWorkingFileIsRefusedBeforeAnythingIsSent() {
        Answer answer =
                elsewhere.post("/api/reels/file?name=Tide.dobbin", "no zip at all".getBytes(StandardCharsets.UTF_8));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.response().headers().firstValue("Content-Type")).hasValue("application/problem+json");
    }

    /** Puts another file in the place of a picture, under its right name, wherever it is named. */
    private static void exchange(Map<String, byte[]> parts, String picture, byte[] file) {
        String before = picture.replaceAll("pictures/|\\.png", "");
        parts.remove(picture);
        parts.replaceAll((name, part) -> name.endsWith(".json")
                ? new String(part, StandardCharsets.UTF_8)
                        .replace(before, ContentName.of(file))
                        .getBytes(StandardCharsets.UTF_8)
                : part);
        parts.put("pictures/" + ContentName.of(file) + ".png", file);
    }

    private static List<String> pictures(byte[] file) throws IOException {
        return parts(file).keySet().stream()
                .filter(name -> name.startsWith("pictures/"))
                .toList();
    }

    private static Map<String, byte[]> parts(byte[] file) throws IOException {
        Map<String, byte[]> parts = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(file))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                parts.put(entry.getName(), in.readAllBytes());
            }
        }
        return parts;
    }

    private static byte[] changed(byte[] file, Consumer<Map<String, byte[]>> change) throws IOException {
        Map<String, byte[]> parts = parts(file);
        change.accept(parts);
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream out = new ZipOutputStream(bytes)) {
            for (Map.Entry<String, byte[]> part : parts.entrySet()) {
                out.putNextEntry(new ZipEntry(part.getKey()));
                out.write(part.getValue());
            }
        }
        return bytes.toByteArray();
    }
}
