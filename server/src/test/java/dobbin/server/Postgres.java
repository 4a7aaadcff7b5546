package dobbin.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import org.springframework.util.FileSystemUtils;

/**
 * A real PostgreSQL (Debian's package) on a free port with nothing in it, started once for all tests that ask for it. It refuses to be
 * root; where the tests are, it is the package's own user.
 */
public final class Postgres {
    private static final String PACKAGES = "/usr/lib/postgresql";
    private static final String USER = "dobbin";
    private static final String OWN_USER = "postgres";

    private static Postgres started;

    private final AtomicInteger databases = new AtomicInteger();
    private final Path folder;
    private final Path programs;
    private final int port;

    private Postgres(Path folder) throws IOException {
        this.programs = programs();
        this.folder = folder;
        this.port = freePort();
        if (isRoot()) {
            run("chown", OWN_USER, folder.toString());
        }
        run(asOwnUser(
                program("initdb"),
                "-D",
                data(),
                "-U",
                USER,
                "--auth=trust",
                "-E",
                "UTF8",
                "--locale=C.UTF-8",
                "--no-sync"));
        String settings = "-p %d -c listen_addresses=127.0.0.1 -c unix_socket_directories=%s -c fsync=off"
                .formatted(port, folder);
        run(asOwnUser(
                program("pg_ctl"),
                "-D",
                data(),
                "-l",
                folder.resolve("log").toString(),
                "-o",
                settings,
                "-w",
                "start"));
        Runtime.getRuntime().addShutdownHook(new Thread(this::stop));
    }

    public static synchronized Postgres started() {
        try {
            started = started == null ? in(Files.createTempDirectory("dobbin-postgres")) : started;
            return started;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @return one of its own, whose data lie in the folder */
    public static Postgres in(Path folder) throws IOException {
        return new Postgres(folder);
    }

    /** @return the address of a database of its own */
    public String newDatabase() {
        String name = "dobbin" + databases.incrementAndGet();
        try {
            run(program("createdb"), "-h", "127.0.0.1", "-p", String.valueOf(port), "-U", USER, name);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return "jdbc:postgresql://127.0.0.1:" + port + "/" + name;
    }

    /** Ends it and starts it anew, as for an upgrade: all connections are cut. */
    public void restart() {
        try {
            run(asOwnUser(program("pg_ctl"), "-D", data(), "-m", "fast", "-w", "restart"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** At once, as if the machine went down. */
    public void stop() {
        if (!Files.exists(folder)) {
            return;
        }
        try {
            run(asOwnUser(program("pg_ctl"), "-D", data(), "-m", "immediate", "stop"));
            FileSystemUtils.deleteRecursively(folder);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private String data() {
        return folder.resolve("data").toString();
    }

    private String program(String name) {
        return programs.resolve(name).toString();
    }

    private static Path programs() throws IOException {
        try (Stream<Path> versions = Files.list(Path.of(PACKAGES))) {
            return versions.map(version -> version.resolve("bin"))
                    .filter(bin -> Files.isExecutable(bin.resolve("initdb")))
                    .findFirst()
                    .orElseThrow(
                            () -> new IOException("There is no initdb under " + PACKAGES + ": install postgresql"));
        }
    }

    private static boolean isRoot() {
        return System.getProperty("user.name").equals("root");
    }

    private static String[] asOwnUser(String... command) {
        List<String> all = new ArrayList<>(isRoot() ? List.of("runuser", "-u", OWN_USER, "--") : List.of());
        all.addAll(List.of(command));
        return all.toArray(String[]::new);
    }

    private void run(String... command) throws IOException {
        Path said = Files.createTempFile("dobbin-postgres", "said");
        try {
            Process process = new ProcessBuilder(command)
                    .directory(folder.toFile())
                    .redirectErrorStream(true)
                    .redirectOutput(said.toFile())
                    .start();
            if (process.waitFor() != 0) {
                throw new IOException(
                        String.join(" ", command) + ": " + Files.readString(said, StandardCharsets.UTF_8));
            }
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        } finally {
            Files.delete(said);
        }
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }
}
