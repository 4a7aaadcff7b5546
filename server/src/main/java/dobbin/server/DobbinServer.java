package dobbin.server;

import dobbin.server.data.DataFolder;
import dobbin.server.data.DataStore;
import dobbin.server.entry.Password;
import dobbin.server.people.People;
import dobbin.server.web.Refused;
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
        if (Commands.isOne(args)) {
            int status = new Commands(DobbinServer::serve).run(args);
            if (status != Commands.RUNS_ON) {
                System.exit(status);
            }
            return;
        }
        try {
            serve(args);
        } catch (SpringApplication.AbandonedRunException e) {
            // Thrown to end a run on purpose, as at build time.
            throw e;
        } catch (RuntimeException e) {
            System.err.println(sentence(e));
            System.exit(CANNOT_START);
        }
    }

    private static String serve(String... settings) {
        Password.problemWith(settings).ifPresent(DobbinServer::refuse);
        return address(start(settings));
    }

    private static void refuse(String problem) {
        throw new CannotStart(problem);
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
    static String sentence(Throwable failure) {
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
        LOG.info("Dobbin is ready: {}", address(event.getApplicationContext()));
    }

    private static String address(ConfigurableApplicationContext context) {
        var environment = context.getEnvironment();
        return "http://" + environment.getProperty("server.address") + ":"
                + environment.getProperty("local.server.port") + "/";
    }
}
