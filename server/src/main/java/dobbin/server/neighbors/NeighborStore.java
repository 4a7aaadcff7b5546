package dobbin.server.neighbors;

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
import org.springframework.jdbc.core.simple.JdbcClient;

/** A channel of notifications in a PostgreSQL database, heard of over a connection of its own. */
final class NeighborStore {
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
    private final Consumer<String> heard;
    private final Runnable missed;
    private final Thread listening = new Thread(this::listenAgainAndAgain, "neighbors");
    private volatile boolean stopped;

    /** @param missed called when the connection is there again after it was lost */
    NeighborStore(
            JdbcClient jdbc, String address, String user, String password, Consumer<String> heard, Runnable missed) {
        this.jdbc = jdbc;
        this.address = address;
        this.user = user;
        this.password = password;
        this.heard = heard;
        this.missed = missed;
        listening.setDaemon(true);
    }

    static boolean isPossibleAt(String address) {
        return address.startsWith(ADDRESS);
    }

    void tell(String message) {
        jdbc.sql(TELL).param("message", message).query((row, n) -> 1).list();
    }

    void listen() {
        listening.start();
    }

    void stop() {
        stopped = true;
        listening.interrupt();
    }

    private void listenAgainAndAgain() {
        for (boolean again = false; !stopped; again = true) {
            try (Connection connection = DriverManager.getConnection(address, user, password)) {
                listen(connection, again);
            } catch (SQLException e) {
                if (!stopped) {
                    LOG.warn("Other Dobbins are not heard of until the database answers again: {}", e.getMessage());
                    LockSupport.parkNanos(BEFORE_TRYING_AGAIN_NANOS);
                }
            }
        }
    }

    private void listen(Connection connection, boolean again) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            statement.execute(LISTEN);
        }
        if (again) {
            missed.run();
        }
        PGConnection notifications = connection.unwrap(PGConnection.class);
        while (!stopped) {
            for (PGNotification each : notifications.getNotifications(PATIENCE_MILLIS)) {
                heard.accept(each.getParameter());
            }
        }
    }
}
