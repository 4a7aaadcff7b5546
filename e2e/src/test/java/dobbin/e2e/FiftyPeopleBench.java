package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.options.FilePayload;
import dobbin.skerry.DemoFile;
import dobbin.skerry.SkerryPoint;
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
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Fifty people edit, each a reel of their own, with pauses as people make them; one of them has a reel of 2,000 frames encoded all
 * the time. Prints how long answers took. Not a test of every run: {@code -Dtest=FiftyPeopleBench}, with {@code -Dpeople=50
 * -Dseconds=60}.
 */
class FiftyPeopleBench {
    private static final int PEOPLE = Integer.getInteger("people", 50);
    private static final int SECONDS = Integer.getInteger("seconds", 60);
    private static final int FRAMES = 12;
    private static final List<DemoFile> STILLS = SkerryPoint.sunrise().files().subList(0, FRAMES);
    private static final int SHORTEST_PAUSE_MILLIS = 500;
    private static final int LONGEST_PAUSE_MILLIS = 3_000;

    private final AtomicBoolean over = new AtomicBoolean();
    private final AtomicInteger failures = new AtomicInteger();
    private final List<Long> edits = Collections.synchronizedList(new ArrayList<>());
    private final List<Long> pictures = Collections.synchronizedList(new ArrayList<>());
    private final AtomicInteger explored = new AtomicInteger();
    private App app;

    @Test
    void editsAreAnsweredAtOnceWhoeverEncodes(@TempDir Path folder) throws Exception {
        Path data = Files.createDirectories(folder.resolve("data"));
        Files.write(
                data.resolve("people"),
                IntStream.range(0, PEOPLE)
                        .mapToObj(i -> "P" + i + ":{noop}" + "the lamp of P" + i)
                        .toList());
        app = App.start(data);
        ExecutorService threads = Executors.newFixedThreadPool(PEOPLE);
        try {
            List<Person> people = new ArrayList<>();
            for (int i = 0; i < PEOPLE; i++) {
                people.add(new Person(i));
            }
            people.get(0).repeat();
            List<Callable<Void>> work = new ArrayList<>();
            work.add(people.get(0)::encode);
            people.stream().skip(1).forEach(person -> work.add(person::edit));
            List<Future<Void>> all = work.stream().map(threads::submit).toList();
            Thread.sleep(Duration.ofSeconds(SECONDS).toMillis());
            over.set(true);
            for (Future<Void> each : all) {
                each.get();
            }
        } finally {
            threads.shutdownNow();
            app.close();
        }
        print("edits", edits);
        print("pictures", pictures);
        System.out.println("explorations begun meanwhile: " + explored + ", failures: " + failures);
        assertThat(failures.get()).isZero();
    }

    private static void print(String what, List<Long> nanos) {
        long[] sorted = nanos.stream().mapToLong(Long::longValue).sorted().toArray();
        System.out.printf(
                "%s: %d, median %.0f ms, 95 %% within %.0f ms, 99 %% within %.0f ms, longest %.0f ms%n",
                what, sorted.length, at(sorted, 0.5), at(sorted, 0.95), at(sorted, 0.99), at(sorted, 1));
    }

    private static double at(long[] sorted, double share) {
        return sorted[(int) Math.min(sorted.length - 1, share * sorted.length)] / 1e6;
    }

    private final class Person {
        private final HttpClient http = HttpClient.newHttpClient();
        private final Random random;
        private final String cookie;
        private JsonNode reel;

        Person(int number) throws Exception {
            random = new Random(number);
            HttpResponse<byte[]> in = send(request("/api/session")
                    .POST(json("{\"name\":\"P%d\",\"password\":\"the lamp of P%d\"}".formatted(number, number))));
            cookie = in.headers().firstValue("Set-Cookie").orElseThrow().replaceAll(";.*", "");
            reel = answer("/api/reels", "{\"name\":\"Sunrise\"}");
            List<String> stills = new ArrayList<>();
            for (DemoFile file : STILLS) {
                FilePayload payload = new FilePayload(file.name(), "image/png", file.bytes());
                HttpResponse<byte[]> taken =
                        send(asMe("/api/pictures?name=" + URLEncoder.encode(payload.name, StandardCharsets.UTF_8))
                                .header("Content-Type", "application/octet-stream")
                                .POST(HttpRequest.BodyPublishers.ofByteArray(payload.buffer)));
                stills.add(JsonMapper.shared()
                        .readTree(taken.body())
                        .get("stills")
                        .get(0)
                        .toString());
            }
            change("{\"type\":\"addStills\",\"after\":0,\"stills\":[" + String.join(",", stills)
                    + "],\"gathering\":\"\"}");
        }

        private void repeat() throws Exception {
            for (int times : new int[] {12, 13}) {
                String frames = IntStream.range(0, reel.get("frames").size())
                        .mapToObj(i -> reel.get("frames").get(i).get("id").toString())
                        .collect(Collectors.joining(","));
                change("{\"type\":\"repeatFrames\",\"frames\":[" + frames + "],\"times\":" + times + "}");
            }
        }

        /** Begins an exploration as soon as the one before has ended. */
        Void encode() throws Exception {
            while (!over.get()) {
                JsonNode job = answer(path() + "/explorations", "{}");
                explored.incrementAndGet();
                while (!over.get() && job.get("state").asString().equals("RUNNING")) {
                    Thread.sleep(200);
                    job = answer("/api/jobs/" + job.get("id").asString(), null);
                }
            }
            return null;
        }

        /** Holds a frame for another time, then looks at it, as the page does. */
        Void edit() throws Exception {
            while (!over.get()) {
                Thread.sleep(random.nextInt(SHORTEST_PAUSE_MILLIS, LONGEST_PAUSE_MILLIS));
                JsonNode frame = reel.get("frames").get(random.nextInt(FRAMES));
                long begun = System.nanoTime();
                change("{\"type\":\"setDelay\",\"frames\":[%s],\"delayMillis\":%d}"
                        .formatted(frame.get("id"), 10 * random.nextInt(2, 60)));
                edits.add(System.nanoTime() - begun);
                answer(path() + "/rhythm", null);
                answer(path() + "/weight", null);
                begun = System.nanoTime();
                send(asMe(path() + "/frames/" + frame.get("drawn").asString() + ".png?width="
                        + random.nextInt(100, 400)));
                pictures.add(System.nanoTime() - begun);
            }
            return null;
        }

        private String path() {
            return "/api/reels/" + reel.get("id").asString();
        }

        private void change(String edit) throws Exception {
            reel = answer(path() + "/edits", "{\"base\":" + reel.get("revision") + ",\"edit\":" + edit + "}");
        }

        private JsonNode answer(String path, String body) throws Exception {
            HttpRequest.Builder request = asMe(path);
            if (body != null) {
                request.header("Content-Type", "application/json").POST(json(body));
            }
            return JsonMapper.shared().readTree(send(request).body());
        }

        private HttpRequest.Builder asMe(String path) {
            return HttpRequest.newBuilder(URI.create(app.address() + path)).header("Cookie", cookie);
        }

        private HttpRequest.Builder request(String path) {
            return HttpRequest.newBuilder(URI.create(app.address() + path)).header("Content-Type", "application/json");
        }

        private static HttpRequest.BodyPublisher json(String body) {
            return HttpRequest.BodyPublishers.ofString(body);
        }

        private HttpResponse<byte[]> send(HttpRequest.Builder request) throws Exception {
            HttpResponse<byte[]> response =
                    http.send(request.timeout(Duration.ofMinutes(1)).build(), HttpResponse.BodyHandlers.ofByteArray());
            if (response.statusCode() >= 400) {
                failures.incrementAndGet();
                System.out.println(response.statusCode() + " " + response.uri() + " "
                        + new String(response.body(), StandardCharsets.UTF_8));
            }
            return response;
        }
    }
}
