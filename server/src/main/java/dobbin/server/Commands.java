package dobbin.server;

import dobbin.server.backup.BackupCommands;
import dobbin.server.backup.MoveCommand;
import dobbin.server.local.PeopleCommands;
import dobbin.server.local.Running;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.boot.logging.LogLevel;
import org.springframework.boot.logging.LoggingSystem;
import org.springframework.util.FileSystemUtils;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.ScopeType;

/** The commands of {@code dobbin} that need the server's code, and their options. */
@Command(name = "dobbin")
final class Commands {
    /** The exit status of a command that has not ended: the server runs on. */
    static final int RUNS_ON = -1;

    private static final int FAILED = 1;
    private static final String USUAL_DATA = "${env:DOBBIN_DATA_FOLDER:-dobbin-data}";
    private static final String DEMO_DATA = "DOBBIN_DEMO_FOLDER";

    /** Starts the server; returns the address of its page once it is ready. */
    interface Server {
        String start(String... settings);
    }

    private static final Pattern SETTING = Pattern.compile("--[^=]*\\.[^=]*=.*");

    @Option(
            names = {"-h", "--help"},
            usageHelp = true,
            scope = ScopeType.INHERIT,
            description = "this text")
    private boolean help;

    private final Server server;
    private final Path demoFolder;
    private List<String> settings = List.of();

    Commands(Server server) {
        this(server, Path.of(Optional.ofNullable(System.getenv(DEMO_DATA)).orElse("dobbin-demo")));
    }

    Commands(Server server, Path demoFolder) {
        this.server = server;
        this.demoFolder = demoFolder;
    }

    static boolean isOne(String... arguments) {
        return arguments.length > 0 && !arguments[0].startsWith("-");
    }

    /**
     * @param arguments the command and its options; any setting of the server may be among them, as {@code --its.name=value}
     * @return the exit status: 0 done, 1 not done, 2 the call is wrong; or {@link #RUNS_ON}
     */
    int run(String... arguments) {
        Map<Boolean, List<String>> words = Arrays.stream(arguments)
                .collect(Collectors.partitioningBy(word -> SETTING.matcher(word).matches()));
        settings = words.get(true);
        return new CommandLine(this)
                .setExecutionExceptionHandler((failure, command, parsed) -> {
                    command.getErr()
                            .println(
                                    failure instanceof IOException
                                            ? failure.getMessage()
                                            : DobbinServer.sentence(failure));
                    return FAILED;
                })
                .execute(words.get(false).toArray(String[]::new));
    }

    /** The options of what serves. */
    static final class Serving {
        @Option(names = "--port", paramLabel = "N", description = "the port of the page (8090)")
        private Integer port;

        @Option(names = "--address", paramLabel = "A", description = "the address to listen at (this machine's own)")
        private String address;

        @Option(names = "--database", paramLabel = "JDBC-ADDRESS", description = "a PostgreSQL database for the data")
        private String database;

        @Option(names = "--health", paramLabel = "PORT", description = "a port for /actuator/health and /metrics")
        private Integer health;

        @Option(names = "--browser", description = "opens the page in the browser once it is ready")
        private boolean browser;

        private List<String> in(Path folder) {
            List<String> all = new ArrayList<>();
            all.add("--dobbin.data-folder=" + folder.toAbsolutePath().normalize());
            add(all, "server.port", port);
            add(all, "server.address", address);
            add(all, "dobbin.database", database);
            add(all, "management.server.port", health);
            if (health != null) {
                // Parts of it were left out at build time.
                System.setProperty("spring.aot.enabled", "false");
            }
            return all;
        }

        private static void add(List<String> all, String name, Object value) {
            if (value != null) {
                all.add("--" + name + "=" + value);
            }
        }
    }

    /** Where the data lie. */
    static final class Data {
        @Option(
                names = "--data",
                paramLabel = "FOLDER",
                description = "the folder that keeps everything",
                defaultValue = USUAL_DATA)
        private Path folder;
    }

    @Command(description = "Starts Dobbin.")
    int start(@Mixin Data data, @Mixin Serving serving) throws IOException {
        return serve(serving, data.folder, false);
    }

    @Command(description = "Starts Dobbin with demo reels, in data that can be thrown away.")
    int demo(
            @Mixin Serving serving,
            @Option(names = "--fresh", description = "throws away what was there") boolean fresh)
            throws IOException {
        if (fresh) {
            Optional<Running> running = runningOn(demoFolder);
            if (running.isPresent()) {
                throw new IOException("Dobbin runs on the demo's data, at "
                        + running.get().page() + ". End it first, then --fresh can throw them away.");
            }
            FileSystemUtils.deleteRecursively(demoFolder);
        }
        return serve(serving, demoFolder, true);
    }

    private static Optional<Running> runningOn(Path folder) throws IOException {
        return Running.read(folder).filter(Running::listens);
    }

    private int serve(Serving serving, Path folder, boolean demo) throws IOException {
        Optional<Running> running = runningOn(folder);
        if (serving.browser && running.isPresent()) {
            Page.open(running.get().page());
            return 0;
        }
        List<String> all = serving.in(folder);
        all.add("--dobbin.demo=" + demo);
        all.addAll(settings);
        String page = server.start(all.toArray(String[]::new));
        if (serving.browser) {
            Page.open(page);
        }
        return RUNS_ON;
    }

    @Command(description = "Copies everything to FILE, also while Dobbin runs.")
    int backup(@Parameters(paramLabel = "FILE") Path file, @Mixin Data data) throws IOException {
        return said(() -> BackupCommands.backup(file, data.folder));
    }

    @Command(description = "Puts such a copy back.")
    int restore(@Parameters(paramLabel = "FILE") Path file, @Mixin Data data) throws IOException {
        return said(() -> BackupCommands.restore(file, data.folder));
    }

    @Command(name = "move-data", description = "Carries everything over to a PostgreSQL database.")
    int moveData(
            @Option(names = "--from", paramLabel = "FOLDER", description = "the data folder", defaultValue = USUAL_DATA)
                    Path from,
            @Option(names = "--to", required = true, paramLabel = "jdbc:postgresql://...") String to)
            throws IOException {
        return said(() -> MoveCommand.run(from, to));
    }

    @Command(description = "People with names, each with a shelf of their own.")
    int user(
            @Parameters(paramLabel = "add|password|remove|clear|list") String action,
            @Parameters(paramLabel = "NAME", arity = "0..1", defaultValue = "") String name,
            @Mixin Data data,
            @Option(names = "--database", paramLabel = "JDBC-ADDRESS") String database)
            throws IOException {
        return said(() -> PeopleCommands.run(Optional.ofNullable(database), data.folder, action, name));
    }

    /** Something to do other than serve. */
    private interface Work {
        /** @return a sentence on what was done. @throws IOException whose message is a sentence on what was not */
        String done() throws IOException;
    }

    private static int said(Work work) throws IOException {
        // A command speaks for itself; what the libraries under it say is for the server's log.
        LoggingSystem.get(Commands.class.getClassLoader()).setLogLevel(LoggingSystem.ROOT_LOGGER_NAME, LogLevel.ERROR);
        System.out.println(work.done());
        return 0;
    }
}
