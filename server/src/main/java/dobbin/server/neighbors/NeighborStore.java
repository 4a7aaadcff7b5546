package dobbin.server.neighbors;

import jakarta.annotation.PreDestroy;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** A channel of notifications in a PostgreSQL database, heard of over a connection of its own. */
@Repository
class NeighborStore {
    private static final Logger LOG = LoggerFactory.getLogger(NeighborStore.class);
    private static final String ADDRESS = "jdbc:postgresql:";
    private static final String LISTEN = "LISTEN dobbin";
    private static final String TELL = "SELECT pg_notify('dobbin', :message)";
    private static final int PATIENCE_MILLIS = 2_000;
    private static final long BEFORE_TRYING_AGAIN_NANOS = TimeUnit.SECONDS.toNanos(1);

    private final JdbcClient jdbc;
    private final String address;
    private final String user;
    private final String password;
    private volatile Thread listening;
    private volatile boolean stopped;

    NeighborStore(
            JdbcClient jdbc,
            @Value("${spring.datasource.url}") String address,
            @Value("${spring.datasource.username}") String user,
            @Value("${spring.datasource.password}") String password) {
        this.jdbc = jdbc;
        this.address = address;
        this.user = user;
        this.password = password;
    }

    /** @return whether others can work with the same database */
    boolean isThere() {
        return address.startsWith(ADDRESS);
    }

    void tell(String message) {
        jdbc.sql(TELL).param("message", message).query((row, n) -> 1).list();
    }

    /**
     * Listens from now on.
     *
     * @param heard called with each message, one's own too
     * @param missed called when the connection is there again after it was lost
     */
    void listen(Consumer<String> heard, Runnable missed) {
        listening = new Thread(() -> listenAgainAndAgain(heard, missed), "neighbors");
        listening.setDaemon(true);
        listening.start();
    }

    @PreDestroy
    void stop() {
        stopped = true;
        if (listening != null) {
            listening.interrupt();
        }
    }

    private void listenAgainAndAgain(Consumer<String> heard, Runnable missed) {
        for (boolean again = false; !stopped; again = true) {
            try (Connection connection = DriverManager.getConnection(address, user, password)) {
                listen(connection, heard, again ? missed : () -> {});
            } catch (SQLException e) {
                if (!stopped) {
                    LOG.warn("Other Dobbins are not heard of until the database answers again: {}", e.getMessage());
                    LockSupport.parkNanos(BEFORE_TRYING_AGAIN_NANOS);
                }
            }
        }
    }

    private void listen(Connection connection, Consumer<String> heard, Runnable begun) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            statement.execute(LISTEN);
        }
        begun.run();
        PGConnection notifications = connection.unwrap(PGConnection.class);
        while (!stopped) {
            for (PGNotification each : notifications.getNotifications(PATIENCE_MILLIS)) {
                heard.accept(each.getParameter());
            }
        }
    }
}
