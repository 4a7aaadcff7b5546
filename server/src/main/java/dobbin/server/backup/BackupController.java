package dobbin.server.backup;

import dobbin.server.Settings;
import dobbin.server.data.DataFolder;
import dobbin.server.data.DataStore;
import dobbin.server.data.Spool;
import dobbin.server.web.NotFound;
import jakarta.annotation.PreDestroy;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.env.Environment;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** Gives a copy of the data file to whoever can read the data folder anyhow. */
@RestController
class BackupController {
    static final String TOKEN = "X-Dobbin-Token";

    private static final Logger LOG = LoggerFactory.getLogger(BackupController.class);

    private final DataStore data;
    private final Spool spool;
    private final Path folder;
    private final Environment environment;
    private final String token = UUID.randomUUID().toString();

    BackupController(DataStore data, Spool spool, Settings settings, Environment environment) {
        this.data = data;
        this.spool = spool;
        this.folder = Path.of(settings.dataFolder());
        this.environment = environment;
    }

    @EventListener
    void ready(ApplicationReadyEvent event) {
        String port = environment.getProperty("local.server.port");
        if (port == null) {
            return;
        }
        String address = environment.getProperty("server.address", "");
        try {
            new Running(address.isEmpty() ? "127.0.0.1" : address, Integer.parseInt(port), token).write(folder);
        } catch (IOException e) {
            LOG.warn("Copies cannot be made while Dobbin runs: the data folder takes no file that says where it is", e);
        }
    }

    @PreDestroy
    void stop() throws IOException {
        Running.remove(folder);
    }

    /** The copy is whole before any of it is sent. */
    @PostMapping("/api/backup")
    void backup(@RequestHeader(name = TOKEN, defaultValue = "") String told, HttpServletResponse response)
            throws IOException {
        boolean known =
                MessageDigest.isEqual(told.getBytes(StandardCharsets.UTF_8), token.getBytes(StandardCharsets.UTF_8));
        if (!known) {
            throw new NotFound("There is nothing at /api/backup.");
        }
        Path file = folder.resolve(DataFolder.FILE);
        data.needDisk(Files.exists(file) ? Files.size(file) : 0);
        Path copy = spool.begin();
        try {
            data.copyTo(copy);
            response.setContentType(MediaType.APPLICATION_OCTET_STREAM_VALUE);
            response.setContentLengthLong(Files.size(copy));
            Files.copy(copy, response.getOutputStream());
        } finally {
            Spool.remove(copy);
        }
    }
}
