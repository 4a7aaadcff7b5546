package dobbin.server.pictures;

import dobbin.render.Level;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The picture table. */
@Repository
class PictureStore {
    private static final Logger LOG = LoggerFactory.getLogger(PictureStore.class);
    private static final String INSERT = """
            INSERT INTO picture (id, media_type, width, height, bytes, working, medium, small)
            VALUES (:id, :mediaType, :width, :height, :bytes, :working, :medium, :small)""";
    private static final String SELECT_INFO = "SELECT id, width, height FROM picture WHERE id IN (:ids)";
    private static final Map<Level, String> SELECT_COPY = Map.of(
            Level.SMALL, "SELECT COALESCE(small, medium, working, bytes) FROM picture WHERE id = :id",
            Level.MEDIUM, "SELECT COALESCE(medium, working, bytes) FROM picture WHERE id = :id",
            Level.FULL, "SELECT COALESCE(working, bytes) FROM picture WHERE id = :id");

    private final JdbcClient jdbc;

    PictureStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param working a reduced copy as PNG, or null where the next larger one serves; {@code medium}, {@code small} likewise */
    record Row(PictureInfo info, String mediaType, byte[] bytes, byte[] working, byte[] medium, byte[] small) {}

    /** Whoever comes second with the same content finds it kept already, which is all that was wanted. */
    void insert(Row row) {
        try {
            jdbc.sql(INSERT)
                    .param("id", row.info().id())
                    .param("mediaType", row.mediaType())
                    .param("width", row.info().width())
                    .param("height", row.info().height())
                    .param("bytes", row.bytes())
                    .param("working", row.working())
                    .param("medium", row.medium())
                    .param("small", row.small())
                    .update();
        } catch (DuplicateKeyException e) {
            LOG.debug("Picture {} came twice at once", row.info().id());
        }
    }

    Map<String, PictureInfo> infos(Collection<String> ids) {
        Map<String, PictureInfo> infos = new HashMap<>();
        if (ids.isEmpty()) {
            return infos;
        }
        jdbc.sql(SELECT_INFO)
                .param("ids", List.copyOf(ids))
                .query((row, n) -> new PictureInfo(row.getString("id"), row.getInt("width"), row.getInt("height")))
                .list()
                .forEach(info -> infos.put(info.id(), info));
        return infos;
    }

    /** @return the smallest stored copy that serves at {@code level} */
    Optional<byte[]> copy(String id, Level level) {
        return jdbc.sql(SELECT_COPY.get(level))
                .param("id", id)
                .query(byte[].class)
                .optional();
    }
}
