package dobbin.server.entry;

import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.support.TransactionTemplate;

/** The door table: one row, or none where there never was a password for all. */
@Repository
class PasswordHashStore {
    private static final String SELECT = "SELECT hash FROM door";
    private static final String DELETE = "DELETE FROM door";
    private static final String INSERT = "INSERT INTO door (hash) VALUES (:hash)";

    private final JdbcClient jdbc;
    private final TransactionTemplate transaction;

    PasswordHashStore(JdbcClient jdbc, TransactionTemplate transaction) {
        this.jdbc = jdbc;
        this.transaction = transaction;
    }

    Optional<String> hash() {
        return jdbc.sql(SELECT).query(String.class).list().stream().findFirst();
    }

    /** @return the same hash */
    String replaceHash(String hash) {
        transaction.executeWithoutResult(status -> {
            jdbc.sql(DELETE).update();
            jdbc.sql(INSERT).param("hash", hash).update();
        });
        return hash;
    }
}
