package dobbin.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Size;
import dobbin.server.Bench;
import dobbin.skerry.DemoFile;
import dobbin.skerry.SkerryPoint;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/**
 * Twenty people work for long: they edit, look, draw, bring pictures, deliver, and remove reels. Prints what the process has of
 * everything every so often, and after all have left; the lines are also kept in {@code target/long-life.csv}. Not a test of every run: {@code -Dtest=LongLifeBench}, with {@code -Dminutes=120
 * -Dpeople=20}.
 */
@Bench
class LongLifeBench {
    private static final int PEOPLE = Integer.getInteger("people", 20);
    private static final long MINUTES = Long.getLong("minutes", 120);
    private static final long BETWEEN_LOOKS_MINUTES = Long.getLong("every", 10);
    private static final long AFTERWARDS_MINUTES = 10;
    private static final List<DemoFile> STILLS = SkerryPoint.sunrise().files().subList(0, 12);
    private static final Size NOISE = new Size(1200, 900);
    private static final Path SAID = Path.of("target", "long-life.csv");
    private static final String STROKE = """
            {"frames":[%s],"mark":{"type":"stroke","pen":{"color":"b23a24","opacity":100,"softness":0,"hard":false,"erases":false},
             "points":[%d,%d,9,%d,%d,9,300,200,4],"mirroring":"NONE"}}""";

    private final AtomicBoolean over = new AtomicBoolean();
    private final AtomicInteger failures = new AtomicInteger();
    private final AtomicInteger done = new AtomicInteger();
    private Path data;
    private App app;
    private long highestResident;

    @Test
    void nothingGrowsWithTime(@TempDir Path folder) throws Exception {
        data = folder.resolve("data");
        Person.invite(data, PEOPLE);
        app = App.start(data);
        ExecutorService threads = Executors.newFixedThreadPool(PEOPLE);
        try {
            List<Future<?>> all = new ArrayList<>();
            for (int i = 0; i < PEOPLE; i++) {
                Person person = new Person(app, i, failures);
                person.begin(STILLS);
                Random random = new Random(i);
                all.add(threads.submit(() -> work(person, random)));
            }
            say("minute, requests, failures, heap after a collection, RSS, threads, files, data file (MB)");
            for (long minute = 0; minute < MINUTES; minute += BETWEEN_LOOKS_MINUTES) {
                print(minute);
                watch(Duration.ofMinutes(BETWEEN_LOOKS_MINUTES));
            }
            over.set(true);
            for (Future<?> each : all) {
                each.get();
            }
            say("all have left");
            for (long minute = 0; minute <= AFTERWARDS_MINUTES; minute += 2) {
                print(minute);
                watch(Duration.ofMinutes(2));
            }
            say("RSS at most %d MB, %d failures".formatted(highestResident / 1_000_000, failures.get()));
        } finally {
            threads.shutdownNow();
            app.close();
        }
        assertThat(failures.get()).isZero();
        assertThat(highestResident).isLessThan(1_350_000_000);
    }

    private void watch(Duration length) throws Exception {
        long end = System.nanoTime() + length.toNanos();
        while (System.nanoTime() < end) {
            highestResident = Math.max(highestResident, status("VmRSS") * 1024);
            Thread.sleep(1_000);
        }
    }

    private void print(long minute) throws Exception {
        String heap = told("jcmd", String.valueOf(app.pid()), "GC.heap_info")
                .lines()
                .filter(line -> line.contains("used "))
                .findFirst()
                .orElse("")
                .replaceAll(".*used (\\d+)K.*", "$1");
        try (Stream<Path> files = Files.list(Path.of("/proc/" + app.pid() + "/fd"))) {
            say("%d, %d, %d, %d, %d, %d, %d, %d"
                    .formatted(
                            minute,
                            done.get(),
                            failures.get(),
                            Long.parseLong(heap) * 1024 / 1_000_000,
                            status("VmRSS") * 1024 / 1_000_000,
                            status("Threads"),
                            files.count(),
                            Files.size(data.resolve("dobbin.mv.db")) / 1_000_000));
        }
    }

    /** Also in a file, which outlives whatever happens to the run. */
    private static void say(String line) throws IOException {
        System.out.println(line);
        Files.writeString(SAID, line + "\n", StandardOpenOption.CREATE, StandardOpenOption.APPEND);
    }

    private static String told(String... command) throws Exception {
        // A collection first, so that what is told is what is kept.
        new ProcessBuilder(command[0], command[1], "GC.run").start().waitFor();
        Process process = new ProcessBuilder(command).start();
        String said = new String(process.getInputStream().readAllBytes());
        process.waitFor();
        return said;
    }

    private long status(String name) throws IOException {
        return Files.readAllLines(Path.of("/proc/" + app.pid() + "/status")).stream()
                .filter(line -> line.startsWith(name + ":"))
                .mapToLong(line -> Long.parseLong(line.replaceAll("\\D", "")))
                .findFirst()
                .orElseThrow();
    }

    private Void work(Person person, Random random) throws Exception {
        while (!over.get()) {
            Thread.sleep(random.nextInt(500, 3_000));
            JsonNode frame = person.reel().get("frames").get(random.nextInt(STILLS.size()));
            switch (random.nextInt(40)) {
                case 0 -> person.ended(person.answer(person.path() + "/deliveries", "{\"name\":\"Dawn\"}"));
                case 1 -> {
                    person.delete(person.path());
                    person.begin(STILLS);
                }
                case 2, 3 -> person.upload("noise.png", Stills.noise(NOISE, random.nextInt()));
                case 4, 5, 6, 7, 8 -> draw(person, frame, random);
                default ->
                    person.change("{\"type\":\"setDelay\",\"frames\":[%s],\"delayMillis\":%d}"
                            .formatted(frame.get("id"), 10 * random.nextInt(2, 60)));
            }
            person.answer(person.path() + "/weight", null);
            person.bytes(person.path() + "/frames/" + frame(person, 0) + ".png?width=" + random.nextInt(100, 400));
            done.addAndGet(3);
        }
        return null;
    }

    private static String frame(Person person, int place) {
        return person.reel().get("frames").get(place).get("drawn").asString();
    }

    private static void draw(Person person, JsonNode frame, Random random) throws IOException {
        person.now(person.answer(
                person.path() + "/marks",
                STROKE.formatted(
                        frame.get("id"),
                        random.nextInt(400),
                        random.nextInt(300),
                        random.nextInt(400),
                        random.nextInt(300))));
    }
}
