package dobbin.e2e;

import dobbin.server.Bench;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeUnit;

/**
 * The packaged application as its own process. A bench runs it as the launcher does; a test leaves the second compiler out, since most
 * of what it would make better has ended before that pays.
 */
final class App implements AutoCloseable {
    private static final String HEAP = "1g";
    private static final List<String> AS_LAUNCHED =
            List.of("-XX:Tier3DelayOn=0", "-XX:Tier4InvocationThreshold=30000", "-XX:Tier4CompileThreshold=30000");
    private static final List<String> QUICK = List.of("-XX:TieredStopAtLevel=1");

    private final Path data;
    private final int port;
    private final List<String> options;
    private final String heap;
    private final Map<String, String> environment;
    private final List<String> failures = new CopyOnWriteArrayList<>();
    private Process process;

    private App(Path data, String heap, Map<String, String> environment, List<String> options) {
        this.data = data;
        this.port = freePort();
        this.heap = heap;
        this.environment = environment;
        this.options = options;
    }

    static App start(Path data, String... options) {
        return withHeap(HEAP, data, options);
    }

    static App withHeap(String heap, Path data, String... options) {
        return started(new App(data, heap, Map.of(), List.of(options)));
    }

    static App withEnvironment(Map<String, String> environment, Path data, String... options) {
        return started(new App(data, HEAP, environment, List.of(options)));
    }

    private static App started(App app) {
        app.start();
        return app;
    }

    long pid() {
        return process.pid();
    }

    /** @return what it said of failures that it had not foreseen */
    List<String> failures() {
        return failures;
    }

    /** Does not wait until it is ready. */
    static App begin(Path data) {
        App app = new App(data, HEAP, Map.of(), List.of());
        app.launch();
        return app;
    }

    String address() {
        return "http://127.0.0.1:" + port;
    }

    /** SIGKILL: no goodbye, no flushing. */
    void kill() {
        process.destroyForcibly();
        try {
            process.waitFor(20, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            throw new AssertionError(e);
        }
    }

    void startAgain() {
        start();
    }

    private void start() {
        launch();
        try {
            awaitReady();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void launch() {
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx" + heap,
                "-XX:G1HeapRegionSize=8m",
                "-Djdk.nio.maxCachedBufferSize=262144",
                "-XX:+IgnoreUnrecognizedVMOptions",
                "-XX:TrimNativeHeapInterval=60000"));
        command.addAll(Bench.Measured.isUnderWay() ? AS_LAUNCHED : QUICK);
        command.addAll(List.of(
                "-Dspring.aot.enabled=true",
                "-jar",
                System.getProperty("dobbin.app"),
                "--server.port=" + port,
                "--dobbin.data-folder=" + data.toAbsolutePath()));
        command.addAll(options);
        try {
            ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
            builder.environment().putAll(environment);
            process = builder.start();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void awaitReady() throws IOException {
        BufferedReader said =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        StringBuilder all = new StringBuilder();
        for (String line = said.readLine(); line != null; line = said.readLine()) {
            all.append(line).append('\n');
            if (line.contains("Dobbin is ready")) {
                drain(said);
                return;
            }
        }
        throw new AssertionError("The application did not start:\n" + all);
    }

    /** Nobody reads on, and a full pipe would stop the server. */
    private void drain(BufferedReader said) {
        Thread reader = new Thread(() -> {
            try {
                for (String line = said.readLine(); line != null; line = said.readLine()) {
                    System.out.println("app: " + line);
                    if (line.contains("ERROR") || line.contains("Exception") || line.contains("OutOfMemory")) {
                        failures.add(line);
                    }
                }
            } catch (IOException e) {
                // The process ended, and its output with it.
            }
        });
        reader.setDaemon(true);
        reader.start();
    }

    private static int freePort() {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void close() {
        process.destroy();
        try {
            if (!process.waitFor(15, TimeUnit.SECONDS)) {
                process.destroyForcibly();
            }
        } catch (InterruptedException e) {
            process.destroyForcibly();
        }
    }
}
