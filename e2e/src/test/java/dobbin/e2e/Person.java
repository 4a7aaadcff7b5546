package dobbin.e2e;

import dobbin.skerry.DemoFile;
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
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Somebody with a name who has signed in and has a reel, for benches of many. */
final class Person {
    private final HttpClient http = HttpClient.newHttpClient();
    private final App app;
    private final String cookie;
    private final AtomicInteger failures;
    private JsonNode reel;

    /** Makes {@code count} people known to an application that begins with this folder. */
    static void invite(Path data, int count) throws IOException {
        Files.createDirectories(data);
        Files.write(
                data.resolve("people"),
                IntStream.range(0, count)
                        .mapToObj(i -> "P" + i + ":{noop}" + "the lamp of P" + i)
                        .toList());
    }

    /** @param failures counts requests that are refused or fail */
    Person(App app, int number, AtomicInteger failures) throws IOException {
        this.app = app;
        this.failures = failures;
        HttpResponse<byte[]> in = send(HttpRequest.newBuilder(URI.create(app.address() + "/api/session"))
                .header("Content-Type", "application/json")
                .POST(json("{\"name\":\"P%d\",\"password\":\"the lamp of P%d\"}".formatted(number, number))));
        cookie = in.headers().firstValue("Set-Cookie").orElseThrow().replaceAll(";.*", "");
    }

    /** Begins a new reel of the files. */
    void begin(List<DemoFile> files) throws IOException {
        reel = answer("/api/reels", "{\"name\":\"Sunrise\"}");
        List<String> stills = new ArrayList<>();
        for (DemoFile file : files) {
            stills.add(upload(file.name(), file.bytes()).get("stills").get(0).toString());
        }
        change("{\"type\":\"addStills\",\"after\":0,\"stills\":[" + String.join(",", stills) + "],\"gathering\":\"\"}");
    }

    JsonNode upload(String name, byte[] file) throws IOException {
        return JsonMapper.shared()
                .readTree(send(asMe("/api/pictures?name=" + URLEncoder.encode(name, StandardCharsets.UTF_8))
                                .header("Content-Type", "application/octet-stream")
                                .POST(HttpRequest.BodyPublishers.ofByteArray(file)))
                        .body());
    }

    /** Has the frames of the reel {@code times} times. */
    void repeat(int times) throws IOException {
        String frames = IntStream.range(0, reel.get("frames").size())
                .mapToObj(i -> reel.get("frames").get(i).get("id").toString())
                .collect(Collectors.joining(","));
        change("{\"type\":\"repeatFrames\",\"frames\":[" + frames + "],\"times\":" + times + "}");
    }

    /** @param answered the reel, as it was told last */
    void now(JsonNode answered) {
        reel = answered;
    }

    JsonNode reel() {
        return reel;
    }

    String path() {
        return "/api/reels/" + reel.get("id").asString();
    }

    void change(String edit) throws IOException {
        reel = answer(path() + "/edits", "{\"base\":" + reel.get("revision") + ",\"edit\":" + edit + "}");
    }

    /** @param body null to get; @return the answer */
    JsonNode answer(String path, String body) throws IOException {
        HttpRequest.Builder request = asMe(path);
        if (body != null) {
            request.header("Content-Type", "application/json").POST(json(body));
        }
        return JsonMapper.shared().readTree(send(request).body());
    }

    byte[] bytes(String path) throws IOException {
        return send(asMe(path)).body();
    }

    void delete(String path) throws IOException {
        send(asMe(path).DELETE());
    }

    /** @return a job once it has ended */
    JsonNode ended(JsonNode job) throws IOException, InterruptedException {
        JsonNode now = job;
        while (now.get("state").asString().equals("RUNNING")) {
            Thread.sleep(200);
            now = answer("/api/jobs/" + job.get("id").asString(), null);
        }
        return now;
    }

    HttpRequest.Builder asMe(String path) {
        return HttpRequest.newBuilder(URI.create(app.address() + path)).header("Cookie", cookie);
    }

    private static HttpRequest.BodyPublisher json(String body) {
        return HttpRequest.BodyPublishers.ofString(body);
    }

    private HttpResponse<byte[]> send(HttpRequest.Builder request) throws IOException {
        try {
            HttpResponse<byte[]> response =
                    http.send(request.timeout(Duration.ofMinutes(1)).build(), HttpResponse.BodyHandlers.ofByteArray());
            if (response.statusCode() >= 400) {
                failures.incrementAndGet();
                System.out.println(response.statusCode() + " " + response.uri() + " "
                        + new String(response.body(), StandardCharsets.UTF_8));
            }
            return response;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        }
    }
}
