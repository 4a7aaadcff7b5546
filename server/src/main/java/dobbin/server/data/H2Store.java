package dobbin.server.data;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import javax.sql.DataSource;
import org.h2.engine.SessionLocal;
import org.h2.jdbc.JdbcConnection;
import org.h2.mvstore.MVStore;
import org.springframework.jdbc.core.ConnectionCallback;
import org.springframework.jdbc.core.JdbcTemplate;

/** One file in the data folder, for one instance. */
final class H2Store implements Engine {
    private static final String FORCE = "CHECKPOINT SYNC";
    private static final String ADDRESS = "jdbc:h2:.*";
    private static final String SERVER = "jdbc:h2:(tcp|ssl):.*";

    private final JdbcTemplate jdbc;

    H2Store(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    static H2Store of(DataSource source) {
        return new H2Store(new JdbcTemplate(source));
    }

    static boolean isAt(String address) {
        return address.matches(ADDRESS) && !isServerAt(address);
    }

    /** @return whether that is a server of H2, and not a file that is opened here */
    static boolean isServerAt(String address) {
        return address.matches(SERVER);
    }

    @Override
    public void force() {
        force(jdbc);
    }

    static void force(JdbcTemplate jdbc) {
        jdbc.update(FORCE);
    }

    @Override
    public boolean isInTheFolder() {
        return true;
    }

    @Override
    public void copyTo(Path zip) {
        jdbc.update(copying(zip));
    }

    /** @return the statement for that */
    static String copying(Path zip) {
        return "BACKUP TO '" + zip.toAbsolutePath().toString().replace("'", "''") + "'";
    }

    @Override
    public boolean compact(int millis) {
        return Boolean.TRUE.equals(
                jdbc.execute((ConnectionCallback<Boolean>) connection -> compact(connection, millis)));
    }

    private static boolean compact(Connection connection, int millis) throws SQLException {
        SessionLocal session =
                (SessionLocal) connection.unwrap(JdbcConnection.class).getSession();
        MVStore store = session.getDatabase().getStore().getMvStore();
        long before = store.getFileStore().size();
        store.compactFile(millis);
        // What was freed leaves the file with the next thing that is written: this writes one that changes nothing.
        store.setStoreVersion(store.getStoreVersion());
        store.commit();
        return store.getFileStore().size() < before;
    }
}
