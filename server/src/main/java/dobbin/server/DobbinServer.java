package dobbin.server;

import dobbin.server.backup.BackupCommands;
import dobbin.server.backup.MoveCommand;
import dobbin.server.data.DataFolder;
import dobbin.server.data.DataStore;
import dobbin.server.entry.Password;
import dobbin.server.local.PeopleCommands;
import dobbin.server.people.People;
import dobbin.server.web.Refused;
import java.io.IOException;
import java.net.BindException;
import java.nio.file.Path;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.event.ApplicationEnvironmentPreparedEvent;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.boot.logging.LogLevel;
import org.springframework.boot.logging.LoggingSystem;
import org.springframework.boot.web.server.PortInUseException;
import org.springframework.context.ApplicationListener;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.event.EventListener;

/** The server. See README.md for its settings. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class DobbinServer {
    private static final Logger LOG = LoggerFactory.getLogger(DobbinServer.class);
    private static final int CANNOT_START = 1;

    public static void main(String[] args) {
        Optional<Command> command = command(args);
        if (command.isPresent()) {
            System.exit(run(command.get(), args));
        }
        try {
            Password.problemWith(args).ifPresent(DobbinServer::refuse);
            start(args);
        } catch (SpringApplication.AbandonedRunException e) {
            // Thrown to end a run on purpose, as at build time.
            throw e;
        } catch (RuntimeException e) {
            System.err.println(sentence(e));
            System.exit(CANNOT_START);
        }
    }

    private static void refuse(String problem) {
        throw new CannotStart(problem);
    }

    /** Something to do other than serve. */
    private interface Command {
        /** @return a sentence on what was done. @throws IOException whose message is a sentence on what was not */
        String run(String... args) throws IOException;
    }

    private static Optional<Command> command(String... args) {
        if (BackupCommands.isOne(args)) {
            return Optional.of(BackupCommands::run);
        }
        if (PeopleCommands.isOne(args)) {
            return Optional.of(PeopleCommands::run);
        }
        return MoveCommand.isOne(args) ? Optional.of(MoveCommand::run) : Optional.empty();
    }

    private static int run(Command command, String... args) {
        // A command speaks for itself; what the libraries under it say is for the server's log.
        LoggingSystem.get(DobbinServer.class.getClassLoader())
                .setLogLevel(LoggingSystem.ROOT_LOGGER_NAME, LogLevel.ERROR);
        try {
            System.out.println(command.run(args));
            return 0;
        } catch (IOException e) {
            System.err.println(e.getMessage());
            return CANNOT_START;
        }
    }

    /** @throws RuntimeException where it cannot start */
    static ConfigurableApplicationContext start(String... args) {
        System.setProperty("java.awt.headless", "true");
        // A connection is looked at each time it is taken, and another is taken where it was cut: nothing was sent by
        // then.
        System.setProperty("com.zaxxer.hikari.aliveBypassWindowMs", "0");
        SpringApplication application = new SpringApplication(DobbinServer.class);
        application.addListeners((ApplicationListener<ApplicationEnvironmentPreparedEvent>) event -> {
            var settings = event.getEnvironment();
            Password.problemWith(settings).ifPresent(DobbinServer::refuse);
            Path folder = Path.of(settings.getRequiredProperty("dobbin.data-folder"));
            People.problemWith(settings).ifPresent(DobbinServer::refuse);
            DataFolder.problemWith(folder).ifPresent(DobbinServer::refuse);
        });
        return application.run(args);
    }

    /** One sentence that says what to do. */
    private static String sentence(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            Optional<String> known = known(cause);
            if (known.isPresent()) {
                return known.get();
            }
        }
        LOG.error("Dobbin cannot start", failure);
        return "Dobbin cannot start: " + failure.getMessage();
    }

    private static Optional<String> known(Throwable cause) {
        if (cause instanceof CannotStart || cause instanceof Refused) {
            return Optional.of(cause.getMessage());
        }
        if (cause instanceof PortInUseException taken) {
            return Optional.of(
                    "Port " + taken.getPort()
                            + " is taken, perhaps by another instance of Dobbin. Stop that one, or choose another with --port.");
        }
        if (cause instanceof BindException) {
            return Optional.of("Dobbin cannot listen at that address: " + cause.getMessage()
                    + ". Choose another with --address or --port.");
        }
        return DataStore.whyItCannotBeOpened(cause);
    }

    /** Says where it is once all is there, the demo too. */
    @EventListener
    void ready(ApplicationReadyEvent event) {
        var environment = event.getApplicationContext().getEnvironment();
        LOG.info(
                "Dobbin is ready: http://{}:{}/",
                environment.getProperty("server.address"),
                environment.getProperty("local.server.port"));
    }
}
