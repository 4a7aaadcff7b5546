package dobbin.server.pictures;

import dobbin.render.Level;
import dobbin.server.bucket.Bucket;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
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
    private static final String WHOLE = "bytes";
    private static final String WORKING = "working";
    private static final String MEDIUM = "medium";
    private static final String SMALL = "small";
    /** Smaller pictures lie in the database even where there is a bucket: a stroke should not wait for a bucket. */
    private static final int WORTH_A_PLACE_BYTES = 64_000;

    /** Nobody waits long for a statement. */
    private static final int SWEPT_AT_ONCE = 500;

    private static final String INSERT = """
            INSERT INTO picture (id, media_type, width, height, bytes, working, medium, small,
                working_sum, medium_sum, small_sum, base, place)
            VALUES (:id, :mediaType, :width, :height, :bytes, :working, :medium, :small,
                :workingSum, :mediumSum, :smallSum, :base, :place)""";
    private static final String SELECT_INFO = "SELECT id, width, height FROM picture WHERE id IN (:ids)";
    private static final Map<Level, String> SELECT_COPY = Map.of(
            Level.SMALL, selectCopy(SMALL, MEDIUM, WORKING),
            Level.MEDIUM, selectCopy(MEDIUM, WORKING),
            Level.FULL, selectCopy(WORKING));
    private static final String TOUCH = "UPDATE picture SET came = CURRENT_TIMESTAMP WHERE id = :id";
    private static final String SELECT_WHOLE =
            "SELECT place, 'bytes' AS name, CAST(NULL AS BIGINT) AS sum, bytes FROM picture WHERE id = :id";
    private static final String SELECT_PLACES = "SELECT place FROM picture WHERE place IN (:places)";
    private static final String IS_UNNAMED = " AND NOT EXISTS (SELECT 1 FROM named WHERE named.name = picture.id)"
            + " AND NOT EXISTS (SELECT 1 FROM picture patch WHERE patch.base = picture.id)";
    private static final String SELECT_UNNAMED = "SELECT id FROM picture WHERE id > :after AND came < :before"
            + IS_UNNAMED + " ORDER BY id FETCH FIRST " + SWEPT_AT_ONCE + " ROWS ONLY";
    /** A picture that a reel has begun to name since then has a newer date, and stays. */
    private static final String DELETE = "DELETE FROM picture WHERE id IN (:ids) AND came < :before" + IS_UNNAMED;

    private final JdbcClient jdbc;
    private final Bucket bucket;

    PictureStore(JdbcClient jdbc, Bucket bucket) {
        this.jdbc = jdbc;
        this.bucket = bucket;
    }

    /** @return the statement that finds the first of those copies that there is, or the picture itself */
    private static String selectCopy(String... copies) {
        StringBuilder name = new StringBuilder("CASE");
        StringBuilder sum = new StringBuilder("CASE");
        for (String copy : copies) {
            String isThere = String.format(
                    Locale.ROOT, " WHEN %1$s IS NOT NULL OR (place IS NOT NULL AND %1$s_sum IS NOT NULL)", copy);
            name.append(isThere).append(String.format(Locale.ROOT, " THEN '%s'", copy));
            sum.append(isThere).append(String.format(Locale.ROOT, " THEN %s_sum", copy));
        }
        return String.format(
                Locale.ROOT,
                "SELECT place, %s ELSE 'bytes' END AS name, %s END AS sum, COALESCE(%s, bytes) AS bytes FROM picture WHERE id = :id",
                name,
                sum,
                String.join(", ", copies));
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

    /** Of two uploads of the same content, the second finds it stored, and that is success. */
    void insert(Row row) {
        String place = put(row);
        boolean here = place == null;
        try {
            jdbc.sql(INSERT)
                    .param("id", row.info().id())
                    .param("mediaType", row.mediaType())
                    .param("width", row.info().width())
                    .param("height", row.info().height())
                    .param("bytes", here ? row.bytes() : null)
                    .param("working", here ? row.working() : null)
                    .param("medium", here ? row.medium() : null)
                    .param("small", here ? row.small() : null)
                    .param("workingSum", sumOf(row.working()))
                    .param("mediumSum", sumOf(row.medium()))
                    .param("smallSum", sumOf(row.small()))
                    .param("base", row.base())
                    .param("place", place)
                    .update();
        } catch (DuplicateKeyException e) {
            LOG.debug("Picture {} came twice at once", row.info().id());
        }
    }

    /** @return where in the bucket all of it lies, or null where it lies in the database */
    private String put(Row row) {
        if (!bucket.isChosen() || row.size() < WORTH_A_PLACE_BYTES) {
            return null;
        }
        String place = bucket.place(PictureLibrary.IN_BUCKET, row.info().id() + '-' + UUID.randomUUID());
        bucket.put(place, WHOLE, row.bytes());
        put(place, WORKING, row.working());
        put(place, MEDIUM, row.medium());
        put(place, SMALL, row.small());
        return place;
    }

    private void put(String place, String name, byte[] copy) {
        if (copy != null) {
            bucket.put(place, name, copy);
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
        return found(SELECT_COPY.get(level), id);
    }

    /** Renews the date of a picture that was uploaded again: a reel may name it soon. */
    void touch(String id) {
        jdbc.sql(TOUCH).param("id", id).update();
    }

    /** @return the picture itself */
    Optional<byte[]> whole(String id) {
        return found(SELECT_WHOLE, id).map(Copy::bytes);
    }

    private Optional<Copy> found(String select, String id) {
        return jdbc.sql(select)
                .param("id", id)
                .query(PictureStore::found)
                .optional()
                .map(this::copy);
    }

    private Copy copy(Found found) {
        byte[] bytes = found.place == null ? found.bytes : bucket.get(found.place, found.name);
        return new Copy(bytes, found.sum, found.name.equals(WHOLE));
    }

    /** What the database knows of a copy. @param bytes null where they lie in a place */
    private record Found(String place, String name, Long sum, byte[] bytes) {}

    private static Found found(ResultSet row, int number) throws SQLException {
        return new Found(
                row.getString("place"), row.getString("name"), row.getObject("sum", Long.class), row.getBytes("bytes"));
    }

    /** @return those of the places that pictures are in */
    Set<String> places(Set<String> places) {
        return new HashSet<>(jdbc.sql(SELECT_PLACES)
                .param("places", places)
                .query(String.class)
                .list());
    }

    /** @return some of those that came before {@code when} and that no reel names, in order, from {@code after} on */
    List<String> unnamed(Instant when, String after) {
        return jdbc.sql(SELECT_UNNAMED)
                .param("after", after)
                .param("before", when.atOffset(ZoneOffset.UTC))
                .query(String.class)
                .list();
    }

    /** @return how many of them were removed: those that are still unnamed */
    int delete(List<String> ids, Instant when) {
        return jdbc.sql(DELETE)
                .param("ids", ids)
                .param("before", when.atOffset(ZoneOffset.UTC))
                .update();
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
