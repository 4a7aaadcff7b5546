package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Size;
import dobbin.server.Bench;
import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpTimeoutException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Sends files of every kind that is accepted, changed at random, and JSON to every route, right and wrong, to the packaged application
 * with a heap of 300 MB. Tells each request that took more than 10 s (but for those ended at their time), was answered by 5xx, or made the server say that it failed, and
 * keeps it under {@code target/fuzz}. Not a test of every run: {@code -Dtest=FuzzBench}, with {@code -Dminutes=60} and, to go on where a
 * run was stopped, {@code -Dfrom=12345}.
 */
@Bench
class FuzzBench {
    private static final long MINUTES = Long.getLong("minutes", 60);
    private static final int FROM = Integer.getInteger("from", 0);
    private static final Duration LONGEST = Duration.ofSeconds(10);
    private static final Duration GIVEN_UP = Duration.ofSeconds(60);
    private static final int OUTLINE = 90;
    private static final int MOST_SAID = 30;
    private static final Path KEPT = Path.of("target", "fuzz");

    private final HttpClient http = HttpClient.newHttpClient();
    private final List<FuzzFiles.Example> examples = new ArrayList<>();
    private final Map<Integer, Integer> statuses = new TreeMap<>();
    private final Map<String, Integer> said = new TreeMap<>();
    private final List<String> found = new ArrayList<>();
    private JsonNode description;
    private App app;
    private JsonNode reel;
    private String picture;

    @Test
    void nothingChangedOrMadeUpHangsOrBreaksTheServer(@TempDir Path folder) throws Exception {
        app = App.withHeap("300m", folder.resolve("data"), "--springdoc.api-docs.enabled=true");
        try {
            Api api = new Api(app.address());
            description =
                    JsonMapper.shared().readTree(Path.of("../ui/openapi.json").toFile());
            begin(api);
            examples.addAll(
                    FuzzFiles.examples(api, "/api/reels/" + reel.get("id").asString()));
            long end = System.nanoTime() + Duration.ofMinutes(MINUTES).toNanos();
            int number = FROM;
            while (System.nanoTime() < end) {
                attempt(number++);
                if (number % 500 == 0) {
                    System.out.printf("%d requests, answered %s, found %d%n", number - FROM, statuses, found.size());
                    begin(api);
                }
            }
            System.out.printf("%d requests, answered %s%n", number - FROM, statuses);
        } finally {
            app.close();
        }
        printSaid();
        found.forEach(System.out::println);
        assertThat(found).isEmpty();
    }

    /** A reel to work on; it becomes worn. */
    private void begin(Api api) throws IOException {
        JsonNode still = api.upload("Tide.png", Stills.png("", new Size(60, 40), 0xFF2B6F86).buffer);
        picture = still.get("picture").asString();
        reel = api.post("/api/reels", "{\"name\":\"Tide\"}");
        reel = api.post(
                "/api/reels/" + reel.get("id").asString() + "/edits",
                "{\"base\":1,\"edit\":{\"type\":\"addStills\",\"after\":0,\"stills\":[" + still + "," + still + ","
                        + still + "],\"gathering\":\"\"}}");
    }

    private void attempt(int number) throws Exception {
        // Seeds that follow one another begin alike.
        Random random = new Random(number * 0x9E3779B97F4A7C15L);
        if (random.nextBoolean()) {
            FuzzFiles.Example example = examples.get(random.nextInt(examples.size()));
            byte[] file = new Mutation(random).of(example.bytes());
            String route = example.route() + (example.name().isEmpty() ? "" : "?name=" + encoded(example.name()));
            send(number, "POST", route, "application/octet-stream", file);
        } else {
            json(number, random);
        }
    }

    private void json(int number, Random random) throws Exception {
        List<Map.Entry<String, JsonNode>> paths =
                List.copyOf(description.get("paths").properties());
        Map.Entry<String, JsonNode> path = paths.get(random.nextInt(paths.size()));
        List<Map.Entry<String, JsonNode>> verbs = List.copyOf(path.getValue().properties());
        Map.Entry<String, JsonNode> verb = verbs.get(random.nextInt(verbs.size()));
        JsonNode schema = verb.getValue().at("/requestBody/content/application~1json/schema");
        if (schema.isMissingNode()
                || path.getKey().startsWith("/api/session")
                || path.getKey().equals("/api/people")) {
            // Most change by their JSON alone.
            path = Map.entry("/api/reels/{id}/edits", description.at("/paths/~1api~1reels~1{id}~1edits"));
            verb = Map.entry("post", path.getValue().get("post"));
            schema = verb.getValue().at("/requestBody/content/application~1json/schema");
        }
        JsonNode body = new RandomBodies(description, picture, random).of(schema);
        String text = body.toString().replaceFirst("\"base\":-?\\d+", "\"base\":" + revision());
        String route = path.getKey()
                .replace("{id}", reel.get("id").asString())
                .replace("{picture}", picture)
                .replace("{form}", List.of("gif", "apng", "sheet", "html").get(random.nextInt(4)))
                .replaceAll("\\{drawn}", reel.at("/frames/0/drawn").asString())
                .replaceAll("\\{\\w+}", "1");
        for (JsonNode parameter : verb.getValue().path("parameters")) {
            if (parameter.get("in").asString().equals("query")) {
                route += (route.contains("?") ? "&" : "?")
                        + parameter.get("name").asString() + "="
                        + List.of("100", "0", "-1", "true", "x").get(random.nextInt(5));
            }
        }
        send(
                number,
                verb.getKey().toUpperCase(java.util.Locale.ROOT),
                route,
                "application/json",
                text.getBytes(StandardCharsets.UTF_8));
    }

    private int revision() throws IOException {
        return new Api(app.address())
                .get("/api/reels/" + reel.get("id").asString())
                .get("revision")
                .asInt();
    }

    private void send(int number, String verb, String route, String type, byte[] body) throws Exception {
        int before = app.failures().size();
        long begun = System.nanoTime();
        String problem = "";
        String answer = "";
        try {
            HttpResponse<byte[]> response = http.send(
                    HttpRequest.newBuilder(URI.create(app.address() + route))
                            .header("Content-Type", type)
                            .timeout(GIVEN_UP)
                            .method(verb, HttpRequest.BodyPublishers.ofByteArray(body))
                            .build(),
                    HttpResponse.BodyHandlers.ofByteArray());
            statuses.merge(response.statusCode(), 1, Integer::sum);
            said.merge(outline(response), 1, Integer::sum);
            answer = new String(response.body(), StandardCharsets.UTF_8);
            if (response.statusCode() >= 500 && response.statusCode() != 503) {
                problem = response.statusCode() + " " + answer;
            }
        } catch (HttpTimeoutException e) {
            problem = "no answer";
        }
        Duration took = Duration.ofNanos(System.nanoTime() - begun);
        if (took.compareTo(LONGEST) > 0 && !answer.contains("of a processor")) {
            problem += " " + took.toMillis() + " ms";
        }
        if (app.failures().size() > before) {
            problem += " said " + app.failures().get(before);
        }
        if (!problem.isEmpty()) {
            Files.createDirectories(KEPT);
            Files.write(KEPT.resolve(String.valueOf(number)), body);
            found.add(number + " " + verb + " " + route + ": " + problem);
            System.out.println("FOUND " + found.get(found.size() - 1));
        }
    }

    /** @return what was answered, without what is different each time */
    private static String outline(HttpResponse<byte[]> response) {
        if (response.statusCode() < 400) {
            return String.valueOf(response.statusCode());
        }
        String told = new String(response.body(), StandardCharsets.UTF_8).replaceAll("\\d+", "n");
        return response.statusCode() + " " + told.substring(0, Math.min(OUTLINE, told.length()));
    }

    private void printSaid() {
        said.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue().reversed())
                .limit(MOST_SAID)
                .forEach(each -> System.out.println(each.getValue() + " x " + each.getKey()));
    }

    private static String encoded(String name) {
        return URLEncoder.encode(name, StandardCharsets.UTF_8);
    }
}
