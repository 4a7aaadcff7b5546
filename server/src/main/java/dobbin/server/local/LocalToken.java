package dobbin.server.local;

import dobbin.server.Settings;
import dobbin.server.web.NotFound;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.web.server.servlet.context.ServletWebServerInitializedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** A token in the data folder while this instance runs: a request that carries it comes from somebody who can read the folder. */
@Component
public class LocalToken {
    public static final String HEADER = "X-Dobbin-Token";

    private static final Logger LOG = LoggerFactory.getLogger(LocalToken.class);

    private final Path folder;
    private final String address;
    private final String token = UUID.randomUUID().toString();

    LocalToken(Settings settings, @Value("${server.address:}") String address) {
        this.folder = Path.of(settings.dataFolder());
        this.address = address;
    }

    /** From the first moment that requests are answered: what an instance left that was killed has another token. */
    @EventListener
    void listening(ServletWebServerInitializedEvent event) {
        if (event.getApplicationContext().getServerNamespace() != null) {
            // Health and metrics, on a port of their own.
            return;
        }
        try {
            new Running(
                            address.isEmpty() ? "127.0.0.1" : address,
                            event.getWebServer().getPort(),
                            token)
                    .write(folder);
        } catch (IOException e) {
            LOG.warn(
                    "Commands on this machine do not reach Dobbin while it runs: the data folder takes no file that says where it is",
                    e);
        }
    }

    @PreDestroy
    void stop() throws IOException {
        Running.remove(folder);
    }

    /** @throws NotFound where that is not the token: then there is nothing at that path */
    public void check(String told, String path) {
        if (!MessageDigest.isEqual(told.getBytes(StandardCharsets.UTF_8), token.getBytes(StandardCharsets.UTF_8))) {
            throw new NotFound("There is nothing at " + path + ".");
        }
    }
}
