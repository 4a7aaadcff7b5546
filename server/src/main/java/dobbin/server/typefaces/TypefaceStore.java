package dobbin.server.typefaces;

import dobbin.lettering.OwnTypeface;
import dobbin.lettering.UnusableTypeface;
import dobbin.reel.ContentName;
import dobbin.server.data.DataStore;
import dobbin.server.web.NotFound;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The typeface files that were brought. Whoever reads documents needs this first: words name these files. */
@Component
public class TypefaceStore {
    private static final Logger LOG = LoggerFactory.getLogger(TypefaceStore.class);
    private static final String SELECT_IDS = "SELECT id FROM typeface";
    private static final String SELECT = "SELECT bytes FROM typeface WHERE id = :id";
    private static final String INSERT = "INSERT INTO typeface (id, bytes) VALUES (:id, :bytes)";

    private final JdbcClient jdbc;
    private final DataStore data;

    TypefaceStore(JdbcClient jdbc, DataStore data) {
        this.jdbc = jdbc;
        this.data = data;
        jdbc.sql(SELECT_IDS).query(String.class).list().forEach(this::know);
    }

    /** @return the file of that name */
    public byte[] file(String id) {
        return jdbc.sql(SELECT)
                .param("id", id)
                .query(byte[].class)
                .optional()
                .orElseThrow(() -> new NotFound("There is no typeface " + id + "."));
    }

    /** Keeps a file. @throws UnusableTypeface if it cannot be used */
    public OwnTypeface keep(byte[] file) throws UnusableTypeface {
        String id = ContentName.of(file);
        OwnTypeface typeface = OwnTypeface.of(file, id);
        data.needRoom(file.length);
        if (jdbc.sql(SELECT).param("id", id).query(byte[].class).optional().isEmpty()) {
            insert(id, file);
        }
        data.force();
        return typeface;
    }

    private void insert(String id, byte[] file) {
        try {
            jdbc.sql(INSERT).param("id", id).param("bytes", file).update();
        } catch (DuplicateKeyException e) {
            LOG.debug("The typeface {} came twice at once", id);
        }
    }

    private void know(String id) {
        List<byte[]> files =
                jdbc.sql(SELECT).param("id", id).query(byte[].class).list();
        for (byte[] file : files) {
            try {
                OwnTypeface.of(file, id);
            } catch (UnusableTypeface e) {
                LOG.warn("The typeface file {} {}", id, e.getMessage());
            }
        }
    }
}
