package dobbin.server.instances;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Properties;
import java.util.function.Consumer;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.postgresql.PGProperty;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Notifications of a PostgreSQL database, heard of over a connection of its own. */
final class NotificationStore implements Channel {
    private static final String LISTEN = "LISTEN dobbin";
    private static final String TELL = "SELECT pg_notify('dobbin', :message)";
    private static final int PATIENCE_MILLIS = 2_000;
    private static final int QUIET_UNTIL_ASKED = 5;
    private static final int SECONDS_TO_ANSWER = 5;

    private final JdbcClient jdbc;
    private final String address;
    private final String user;
    private final String password;
    private final Listening listening = new Listening();

    NotificationStore(JdbcClient jdbc, String address, String user, String password) {
        this.jdbc = jdbc;
        this.address = address;
        this.user = user;
        this.password = password;
    }

    @Override
    public void tell(String message) {
        jdbc.sql(TELL).param("message", message).query((row, n) -> 1).list();
    }

    @Override
    public void listen(Consumer<String> heard, Runnable missed) {
        listening.begin(
                begun -> {
                    try (Connection connection = DriverManager.getConnection(address, properties())) {
                        listen(connection, heard, begun);
                    }
                },
                missed);
    }

    @Override
    public void stop() {
        listening.stop();
    }

    private Properties properties() {
        Properties properties = new Properties();
        PGProperty.USER.set(properties, user);
        PGProperty.PASSWORD.set(properties, password);
        PGProperty.TCP_KEEP_ALIVE.set(properties, true);
        return properties;
    }

    /** A connection that was cut on the way says nothing, as one does on which nothing is told: so it is asked now and then. */
    private void listen(Connection connection, Consumer<String> heard, Runnable begun) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            statement.execute(LISTEN);
        }
        begun.run();
        PGConnection notifications = connection.unwrap(PGConnection.class);
        for (int quiet = 0; listening.goesOn(); quiet++) {
            for (PGNotification each : notifications.getNotifications(PATIENCE_MILLIS)) {
                heard.accept(each.getParameter());
                quiet = 0;
            }
            if (quiet == QUIET_UNTIL_ASKED) {
                quiet = 0;
                if (!connection.isValid(SECONDS_TO_ANSWER)) {
                    throw new SQLException("The connection that notifications come over is cut");
                }
            }
        }
    }
}
