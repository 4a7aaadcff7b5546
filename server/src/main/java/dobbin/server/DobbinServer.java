package dobbin.server;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.event.EventListener;

/** The server. See README.md for its settings. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class DobbinServer {
    private static final Logger LOG = LoggerFactory.getLogger(DobbinServer.class);

    public static void main(String[] args) {
        System.setProperty("java.awt.headless", "true");
        SpringApplication.run(DobbinServer.class, args);
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
