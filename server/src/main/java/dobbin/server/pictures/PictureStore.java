package dobbin.server.pictures;

import dobbin.render.Level;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.zip.CRC32C;
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
            INSERT INTO picture (id, media_type, width, height, bytes, working, medium, small,
                working_sum, medium_sum, small_sum, base)
            VALUES (:id, :mediaType, :width, :height, :bytes, :working, :medium, :small,
                :workingSum, :mediumSum, :smallSum, :base)""";
    private static final String SELECT_INFO = "SELECT id, width, height FROM picture WHERE id IN (:ids)";
    private static final Map<Level, String> SELECT_COPY = Map.of(
            Level.SMALL, """
                    SELECT COALESCE(small, medium, working, bytes) AS bytes, CASE
                        WHEN small IS NOT NULL THEN small_sum WHEN medium IS NOT NULL THEN medium_sum
                        WHEN working IS NOT NULL THEN working_sum END AS sum,
                        COALESCE(small, medium, working) IS NULL AS whole
                    FROM picture WHERE id = :id""",
            Level.MEDIUM, """
                    SELECT COALESCE(medium, working, bytes) AS bytes, CASE
                        WHEN medium IS NOT NULL THEN medium_sum WHEN working IS NOT NULL THEN working_sum END AS sum,
                        COALESCE(medium, working) IS NULL AS whole
                    FROM picture WHERE id = :id""",
            Level.FULL, """
                    SELECT COALESCE(working, bytes) AS bytes, working_sum AS sum, working IS NULL AS whole
                    FROM picture WHERE id = :id""");
    private static final String TOUCH = "UPDATE picture SET came = CURRENT_TIMESTAMP WHERE id = :id";
    private static final String SELECT_WHOLE = "SELECT bytes FROM picture WHERE id = :id";
    private static final String SELECT_OLD = "SELECT id FROM picture WHERE came < :before";
    private static final String SELECT_BASES =
            "SELECT DISTINCT base FROM picture WHERE id IN (:ids) AND base IS NOT NULL";
    private static final String DELETE = "DELETE FROM picture WHERE id IN (:ids)";

    private final JdbcClient jdbc;

    PictureStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * @param working a reduced {@link StoredCopy}, or null where the next larger one serves; {@code medium}, {@code small} likewise
     * @param base the picture that {@code bytes} are a {@link StoredPatch} of, or null where they are the picture's own
     */
    record Row(
            PictureInfo info,
            String mediaType,
            byte[] bytes,
            byte[] working,
            byte[] medium,
            byte[] small,
            String base) {
        long size() {
            return bytes.length + length(working) + length(medium) + length(small);
        }

        private static long length(byte[] copy) {
            return copy == null ? 0 : copy.length;
        }
    }

    /**
     * @param sum the checksum it was stored with, or null where that is not known
     * @param whole whether it is the picture itself, which its name tells
     */
    record Copy(byte[] bytes, Long sum, boolean whole) {
        boolean isDamaged() {
            return sum != null && !sum.equals(sumOf(bytes));
        }
    }

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
                    .param("workingSum", sumOf(row.working()))
                    .param("mediumSum", sumOf(row.medium()))
                    .param("smallSum", sumOf(row.small()))
                    .param("base", row.base())
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
    Optional<Copy> copy(String id, Level level) {
        return jdbc.sql(SELECT_COPY.get(level))
                .param("id", id)
                .query(PictureStore::copyOf)
                .optional();
    }

    /** It came again, and may be named soon. */
    void touch(String id) {
        jdbc.sql(TOUCH).param("id", id).update();
    }

    /** @return the picture itself */
    Optional<byte[]> whole(String id) {
        return jdbc.sql(SELECT_WHOLE).param("id", id).query(byte[].class).optional();
    }

    /** @return the pictures that those are stored as patches of */
    Set<String> bases(Collection<String> ids) {
        return ids.isEmpty()
                ? Set.of()
                : new HashSet<>(jdbc.sql(SELECT_BASES)
                        .param("ids", List.copyOf(ids))
                        .query(String.class)
                        .list());
    }

    /** @return those that came before {@code when} */
    List<String> before(Instant when) {
        return jdbc.sql(SELECT_OLD)
                .param("before", when.atOffset(ZoneOffset.UTC))
                .query(String.class)
                .list();
    }

    void delete(List<String> ids) {
        jdbc.sql(DELETE).param("ids", ids).update();
    }

    private static Copy copyOf(ResultSet row, int number) throws SQLException {
        return new Copy(row.getBytes("bytes"), row.getObject("sum", Long.class), row.getBoolean("whole"));
    }

    private static Long sumOf(byte[] bytes) {
        if (bytes == null) {
            return null;
        }
        CRC32C sum = new CRC32C();
        sum.update(bytes);
        return sum.getValue();
    }
}
