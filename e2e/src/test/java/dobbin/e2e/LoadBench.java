package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Size;
import dobbin.server.Bench;
import dobbin.skerry.DemoFile;
import dobbin.skerry.SkerryPoint;
import java.io.IOException;
import java.io.InputStream;
import java.net.http.HttpClient;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * What one person feels while others ask for much: uploads of 12 megapixels, readers that hardly read, event streams by the hundred.
 * Prints how long answers took. Not a test of every run: {@code -Dtest=LoadBench}, on an idle machine.
 */
@Bench
class LoadBench {
    private static final int UPLOADS = 20;
    private static final Size PHOTO = new Size(4_000, 3_000);
    /** As many as the page sends. */
    private static final int AT_A_TIME = 4;

    private static final int READERS = 64;
    private static final int STREAMS = Integer.getInteger("streams", 500);
    private static final int LOOKS = 200;
    private static final int WARM_UP = 40;
    private static final List<DemoFile> STILLS = SkerryPoint.sunrise().files().subList(0, 12);
    private static final String STROKE = """
            {"frames":[%s],"mark":{"type":"stroke","pen":{"color":"b23a24","opacity":100,"softness":0,"hard":false,"erases":false},
             "points":[20,20,9,%d,200,9,300,20,4],"mirroring":"NONE"}}""";

    @TempDir
    private Path folder;

    private final AtomicInteger failures = new AtomicInteger();
    private final ExecutorService threads = Executors.newCachedThreadPool();
    private App app;

    @BeforeEach
    void start() throws IOException {
        Person.invite(folder.resolve("data"), STREAMS + 2);
        app = App.start(folder.resolve("data"));
    }

    @AfterEach
    void stop() {
        threads.shutdownNow();
        app.close();
    }

    private Person person(int number) throws Exception {
        Person person = new Person(app, number, failures);
        person.begin(STILLS);
        // What was never done before takes longer.
        for (int i = 0; i < WARM_UP; i++) {
            work(person, i, new ArrayList<>(), new ArrayList<>());
        }
        return person;
    }

    /** Edits and draws until the others have done, and prints how long that took. */
    private void workBeside(Person person, List<Future<?>> others) throws Exception {
        List<Long> edits = Collections.synchronizedList(new ArrayList<>());
        List<Long> marks = Collections.synchronizedList(new ArrayList<>());
        for (int i = 0; i < LOOKS && (i < 20 || others.stream().anyMatch(other -> !other.isDone())); i++) {
            work(person, i, edits, marks);
        }
        FiftyPeopleBench.print("edits", edits);
        FiftyPeopleBench.print("strokes", marks);
    }

    private static void work(Person person, int round, List<Long> edits, List<Long> marks) throws Exception {
        String frame = person.reel().at("/frames/" + round % 12 + "/id").toString();
        long begun = System.nanoTime();
        person.change("{\"type\":\"setDelay\",\"frames\":[%s],\"delayMillis\":%d}".formatted(frame, 20 + round));
        edits.add(System.nanoTime() - begun);
        begun = System.nanoTime();
        person.now(person.answer(person.path() + "/marks", STROKE.formatted(frame, 30 + round)));
        marks.add(System.nanoTime() - begun);
        Thread.sleep(100);
    }

    @Test
    void oneBringsTwentyPhotosOfTwelveMegapixelsWhileAnotherWorks() throws Exception {
        Person works = person(0);
        Person brings = person(1);
        List<Future<?>> uploads = new ArrayList<>();
        byte[] photo = Photos.jpeg(PHOTO);
        ExecutorService few = Executors.newFixedThreadPool(AT_A_TIME);
        for (int i = 0; i < UPLOADS; i++) {
            byte[] file = Photos.another(photo, i);
            String name = i + ".jpg";
            uploads.add(few.submit(() -> brings.upload(name, file)));
        }
        long begun = System.nanoTime();
        workBeside(works, uploads);
        for (Future<?> each : uploads) {
            each.get();
        }
        System.out.printf("%d uploads in %d ms%n", UPLOADS, (System.nanoTime() - begun) / 1_000_000);
        few.shutdown();
        assertThat(failures.get()).isZero();
    }

    @Test
    void manyReadALargeDeliverySlowlyWhileOneWorks() throws Exception {
        Person works = person(0);
        String id = works.ended(works.answer(works.path() + "/deliveries", "{\"name\":\"Dawn\"}"))
                .get("result")
                .asString();
        List<InputStream> readers = new ArrayList<>();
        HttpClient http = HttpClient.newHttpClient();
        for (int i = 0; i < READERS; i++) {
            readers.add(http.send(
                            works.asMe("/api/deliveries/" + id + ".gif").build(),
                            HttpResponse.BodyHandlers.ofInputStream())
                    .body());
        }
        Future<?> slowly = threads.submit(() -> {
            for (int i = 0; i < LOOKS; i++) {
                for (InputStream reader : readers) {
                    reader.read();
                }
                Thread.sleep(50);
            }
            return null;
        });
        workBeside(works, List.of(slowly));
        slowly.get();
        assertThat(failures.get()).isZero();
    }

    @Test
    void hundredsListenWhileOneWorks() throws Exception {
        Person works = person(0);
        List<InputStream> streams = new ArrayList<>();
        for (int i = 1; i <= STREAMS; i++) {
            Person listens = new Person(app, i, failures);
            String reel = listens.answer("/api/reels", "{\"name\":\"Tide\"}")
                    .get("id")
                    .asString();
            HttpResponse<InputStream> stream = HttpClient.newHttpClient()
                    .send(
                            listens.asMe("/api/reels/" + reel + "/events").build(),
                            HttpResponse.BodyHandlers.ofInputStream());
            assertThat(stream.statusCode()).isEqualTo(200);
            streams.add(stream.body());
        }
        System.out.println(streams.size() + " streams");
        Future<?> never = threads.submit(() -> {
            Thread.sleep(20_000);
            return null;
        });
        workBeside(works, List.of(never));
        for (InputStream stream : streams) {
            stream.close();
        }
        assertThat(failures.get()).isZero();
    }
}
