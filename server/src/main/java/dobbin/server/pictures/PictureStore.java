package dobbin.server.pictures;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The picture table. */
@Repository
class PictureStore {
    private static final String INSERT = """
            INSERT INTO picture (id, media_type, width, height, bytes, working, thumbnail)
            SELECT :id, :mediaType, :width, :height, :bytes, :working, :thumbnail
            WHERE NOT EXISTS (SELECT 1 FROM picture WHERE id = :id)""";
    private static final String SELECT_INFO = "SELECT id, width, height FROM picture WHERE id IN (:ids)";
    private static final String SELECT_WORKING = "SELECT COALESCE(working, bytes) FROM picture WHERE id = :id";
    private static final String SELECT_THUMBNAIL = "SELECT thumbnail FROM picture WHERE id = :id";

    private final JdbcClient jdbc;

    PictureStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param working a reduced PNG, or null where the bytes themselves are worked on */
    record Row(PictureInfo info, String mediaType, byte[] bytes, byte[] working, byte[] thumbnail) {}

    void insert(Row row) {
        jdbc.sql(INSERT)
                .param("id", row.info().id())
                .param("mediaType", row.mediaType())
                .param("width", row.info().width())
                .param("height", row.info().height())
                .param("bytes", row.bytes())
                .param("working", row.working())
                .param("thumbnail", row.thumbnail())
                .update();
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

    Optional<byte[]> working(String id) {
        return jdbc.sql(SELECT_WORKING).param("id", id).query(byte[].class).optional();
    }

    Optional<byte[]> thumbnail(String id) {
        return jdbc.sql(SELECT_THUMBNAIL).param("id", id).query(byte[].class).optional();
    }
}
