package dobbin.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.concurrent.atomic.AtomicInteger;
import org.h2.tools.Server;
import org.springframework.util.FileSystemUtils;

/** A server of H2 on a free port, started once for all tests that ask for it. */
final class H2Server {
    private static H2Server started;

    private final AtomicInteger databases = new AtomicInteger();
    private final Path folder;
    private final Server server;

    private H2Server() throws IOException, SQLException {
        this.folder = Files.createTempDirectory("dobbin-h2");
        this.server = Server.createTcpServer("-tcpPort", "0", "-ifNotExists", "-baseDir", folder.toString())
                .start();
        Runtime.getRuntime().addShutdownHook(new Thread(this::stop));
    }

    static synchronized H2Server started() {
        try {
            started = started == null ? new H2Server() : started;
            return started;
        } catch (IOException | SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    /** @return the address of a database of its own */
    String newDatabase() {
        return "jdbc:h2:tcp://127.0.0.1:" + server.getPort() + "/./dobbin" + databases.incrementAndGet();
    }

    private void stop() {
        server.stop();
        try {
            FileSystemUtils.deleteRecursively(folder);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
