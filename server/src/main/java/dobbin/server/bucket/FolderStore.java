package dobbin.server.bucket;

import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The bucket_folder table. */
@Repository
class FolderStore {
    private static final Logger LOG = LoggerFactory.getLogger(FolderStore.class);
    private static final String SELECT = "SELECT name FROM bucket_folder";
    private static final String INSERT = "INSERT INTO bucket_folder (name) VALUES (:name)";

    private final JdbcClient jdbc;

    FolderStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @return the folder of a bucket that this database has to itself, for good */
    String name() {
        return found().or(() -> {
                    make();
                    return found();
                })
                .orElseThrow();
    }

    private Optional<String> found() {
        return jdbc.sql(SELECT).query(String.class).optional();
    }

    private void make() {
        try {
            jdbc.sql(INSERT).param("name", UUID.randomUUID().toString()).update();
        } catch (DuplicateKeyException e) {
            LOG.debug("Another instance was faster", e);
        }
    }
}
