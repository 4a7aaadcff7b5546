package dobbin.server.typefaces;

import dobbin.lettering.OwnTypeface;
import dobbin.lettering.UnusableTypeface;
import dobbin.reel.ContentName;
import dobbin.server.data.DataStore;
import dobbin.server.data.QuotaStore;
import dobbin.server.web.NotFound;
import jakarta.annotation.PreDestroy;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.Optional;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The typeface files that were brought, found by their names when letters are drawn in them. */
@Component
public class TypefaceStore {
    private static final Logger LOG = LoggerFactory.getLogger(TypefaceStore.class);
    private static final String SELECT = "SELECT bytes FROM typeface WHERE id = :id";
    private static final String SELECT_THESE = "SELECT id FROM typeface WHERE id IN (:ids)";
    private static final String TOUCH = "UPDATE typeface SET came = CURRENT_TIMESTAMP WHERE id = :id";
    private static final String DELETE_UNNAMED = """
            DELETE FROM typeface WHERE came < :before
                AND NOT EXISTS (SELECT 1 FROM named WHERE named.name = typeface.id)""";
    private static final String INSERT = "INSERT INTO typeface (id, bytes) VALUES (:id, :bytes)";

    private final JdbcClient jdbc;
    private final DataStore data;
    private final QuotaStore quota;
    private final OwnTypeface.Finding finding;

    TypefaceStore(JdbcClient jdbc, DataStore data, QuotaStore quota) {
        this.jdbc = jdbc;
        this.data = data;
        this.quota = quota;
        this.finding = OwnTypeface.findIn(this::find);
    }

    @PreDestroy
    void stop() {
        finding.close();
    }

    /** @return the file of that name */
    public byte[] file(String id) {
        return find(id).orElseThrow(() -> new NotFound("There is no typeface " + id + "."));
    }

    private Optional<byte[]> find(String id) {
        return jdbc.sql(SELECT).param("id", id).query(byte[].class).optional();
    }

    /** @return those of the names that files have */
    public Set<String> known(Collection<String> ids) {
        return ids.isEmpty()
                ? Set.of()
                : Set.copyOf(jdbc.sql(SELECT_THESE)
                        .param("ids", ids)
                        .query(String.class)
                        .list());
    }

    /** Keeps a file that was tried by a worker process. @throws UnusableTypeface if it cannot be used */
    public OwnTypeface keep(byte[] file) throws UnusableTypeface {
        String id = ContentName.of(file);
        OwnTypeface typeface = OwnTypeface.of(file, id);
        if (jdbc.sql(TOUCH).param("id", id).update() == 0) {
            quota.need(file.length);
            data.needRoom(file.length);
            insert(id, file);
        }
        quota.broughtTypeface(id, file.length);
        data.force();
        return typeface;
    }

    /** Removes the files that came before {@code when} and that no reel names. */
    public void sweep(Instant when) {
        jdbc.sql(DELETE_UNNAMED).param("before", when.atOffset(ZoneOffset.UTC)).update();
    }

    private void insert(String id, byte[] file) {
        try {
            jdbc.sql(INSERT).param("id", id).param("bytes", file).update();
        } catch (DuplicateKeyException e) {
            LOG.debug("The typeface {} came twice at once", id);
        }
    }
}
