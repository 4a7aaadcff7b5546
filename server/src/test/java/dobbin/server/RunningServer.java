package dobbin.server;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.PngWriter;
import java.io.File;
import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Predicate;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.util.FileSystemUtils;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The real application on a free port, with a real database, spoken to over HTTP; one for all tests of a class. */
final class RunningServer implements BeforeAllCallback, AfterAllCallback {
    private static final JsonMapper JSON = JsonMapper.shared();

    /** The same tests run on another database where {@code -Ddobbin.test-database=postgresql}. */
    private static final boolean ON_POSTGRES = "postgresql".equals(System.getProperty("dobbin.test-database"));

    /** The server tells what routes it has, at /v3/api-docs. */
    static final String DESCRIBED = "--springdoc.api-docs.enabled=true";

    private final List<String> options;
    private final HttpClient http = HttpClient.newHttpClient();
    private List<String> people = List.of();
    private String frozen;
    private Path data;
    private String database;
    private ConfigurableApplicationContext context;

    /** @param options more settings, {@code --name=value} */
    RunningServer(String... options) {
        this.options = List.of(options);
    }

    @Override
    public void beforeAll(ExtensionContext test) throws IOException {
        data = Files.createTempDirectory("dobbin-test");
        if (database == null && ON_POSTGRES) {
            database = Postgres.started().newDatabase();
        }
        if (frozen != null) {
            thaw();
        }
        if (!people.isEmpty()) {
            Files.write(
                    data.resolve("people"),
                    people.stream()
                            .map(name -> name + ":{noop}" + passwordOf(name))
                            .toList());
        }
        start();
    }

    @Override
    public void afterAll(ExtensionContext test) throws IOException {
        context.close();
        FileSystemUtils.deleteRecursively(data);
    }

    /** With a database of that address, whichever the other tests run on. */
    RunningServer at(String address) {
        database = address;
        return this;
    }

    /** With people who have names. */
    RunningServer with(String... names) {
        people = List.of(names);
        return this;
    }

    /** With the data file that a zip among the tests' resources holds. */
    RunningServer on(String resource) {
        frozen = resource;
        return this;
    }

    private void thaw() throws IOException {
        try (ZipInputStream zip = new ZipInputStream(RunningServer.class.getResourceAsStream(frozen))) {
            Files.copy(zip, data.resolve(zip.getNextEntry().getName()));
        }
    }

    static String passwordOf(String name) {
        return "the lamp of " + name;
    }

    Path data() {
        return data;
    }

    /** The server is not there until this is closed. */
    final class Stopped implements AutoCloseable {
        private Stopped() {
            context.close();
        }

        Path data() {
            return data;
        }

        @Override
        public void close() {
            start();
        }
    }

    Stopped stopped() {
        return new Stopped();
    }

    /** As when the machine was switched off and on. */
    void restart() {
        context.close();
        start();
    }

    private void start() {
        List<String> args = new ArrayList<>(options);
        args.add("--server.port=0");
        args.add("--dobbin.data-folder=" + data.toAbsolutePath());
        if (database != null) {
            args.add("--dobbin.database=" + database);
        }
        context = DobbinServer.start(args.toArray(String[]::new));
    }

    /** @param json null where the body is no JSON */
    record Answer(int status, JsonNode json, byte[] body, HttpResponse<byte[]> response) {
        String detail() {
            return json.get("detail").asString();
        }
    }

    /** What the application is made of, for what cannot be done over HTTP: damage, and the passing of days. */
    <T> T bean(Class<T> type) {
        return context.getBean(type);
    }

    File dataFile() {
        return data.resolve("dobbin.mv.db").toFile();
    }

    /** Changes the database behind the application's back. */
    int sql(String statement) {
        return bean(JdbcTemplate.class).update(statement);
    }

    URI address(String path) {
        return URI.create("http://127.0.0.1:" + context.getEnvironment().getProperty("local.server.port") + path);
    }

    Answer get(String path) {
        return send(HttpRequest.newBuilder(address(path)).GET());
    }

    Answer delete(String path) {
        return send(HttpRequest.newBuilder(address(path)).DELETE());
    }

    Answer post(String path, String json) {
        return send(HttpRequest.newBuilder(address(path))
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(json)));
    }

    Answer post(String path, byte[] file) {
        return send(HttpRequest.newBuilder(address(path))
                .header("Content-Type", "application/octet-stream")
                .POST(HttpRequest.BodyPublishers.ofByteArray(file)));
    }

    Answer upload(String name, byte[] file) {
        return post("/api/pictures?name=" + URLEncoder.encode(name, StandardCharsets.UTF_8), file);
    }

    Answer send(HttpRequest.Builder request) {
        try {
            HttpResponse<byte[]> response =
                    http.send(request.timeout(Duration.ofMinutes(1)).build(), HttpResponse.BodyHandlers.ofByteArray());
            boolean isJson =
                    response.headers().firstValue("Content-Type").orElse("").matches("application/(.*\\+)?json.*");
            return new Answer(
                    response.statusCode(), isJson ? JSON.readTree(response.body()) : null, response.body(), response);
        } catch (IOException e) {
            throw new AssertionError("No answer", e);
        } catch (InterruptedException e) {
            throw new AssertionError("Interrupted", e);
        }
    }

    /** A reel with one frame for each color, 30 x 20 pixels, called "Tide 1.png" and so on. */
    JsonNode reelOf(int... colors) {
        StringBuilder stills = new StringBuilder();
        for (int i = 0; i < colors.length; i++) {
            Answer taken = upload("Tide " + (i + 1) + ".png", png(new Size(30, 20), colors[i]));
            stills.append(i == 0 ? "" : ",").append(taken.json.get("stills").get(0));
        }
        JsonNode reel = post("/api/reels", "{\"name\":\"Tide\"}").json;
        return edit(reel, "{\"type\":\"addStills\",\"after\":0,\"stills\":[" + stills + "],\"gathering\":\"\"}").json;
    }

    /** @return what is there once it is as wanted, within 40 seconds */
    JsonNode until(String path, Predicate<JsonNode> wanted) {
        long deadline = System.nanoTime() + Duration.ofSeconds(40).toNanos();
        for (JsonNode now = get(path).json; ; now = get(path).json) {
            // Asked once of each: some try something themselves.
            if (wanted.test(now)) {
                return now;
            }
            assertThat(System.nanoTime())
                    .as("not so after 40 s: %s, %s", path, now)
                    .isLessThan(deadline);
            LockSupport.parkNanos(Duration.ofMillis(10).toNanos());
        }
    }

    /** @return a job once it has ended */
    JsonNode ended(JsonNode job) {
        return until(
                "/api/jobs/" + job.get("id").asString(),
                state -> !state.get("state").asString().equals("RUNNING"));
    }

    Answer edit(JsonNode reel, String edit) {
        return post(
                "/api/reels/" + reel.get("id").asString() + "/edits",
                "{\"base\":" + reel.get("revision").asInt() + ",\"edit\":" + edit + "}");
    }

    static byte[] png(Size size, int color) {
        return PngWriter.bytes(Raster.filled(size, color));
    }
}
