package dobbin.server.deliveries;

import dobbin.reel.ContentName;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The delivery table. Deliveries are added and never changed. */
@Repository
class DeliveryStore {
    private static final String INSERT = """
            INSERT INTO delivery (id, reel, name, made, width, height, frames, colors, plays, millis, byte_count, bytes,
                sha256)
            VALUES (:id, :reel, :name, :made, :width, :height, :frames, :colors, :plays, :millis, :byteCount, :bytes,
                :sha256)""";
    private static final String SELECT_OF_REEL = """
            SELECT id, name, made, width, height, frames, colors, plays, millis, byte_count AS bytes
            FROM delivery WHERE reel = :reel ORDER BY made DESC, id""";
    private static final String SELECT_FILE = "SELECT name, bytes, sha256 FROM delivery WHERE id = :id";
    private static final String DELETE = "DELETE FROM delivery WHERE id = :id AND reel = :reel";

    private final JdbcClient jdbc;

    DeliveryStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param millis how long one play of the file takes */
    @Schema(name = "DeliveryView")
    record Entry(
            String id,
            String name,
            Instant made,
            int width,
            int height,
            int frames,
            int colors,
            int plays,
            int millis,
            int bytes) {}

    /** @param sha256 of the file when it was delivered; null for those of earlier versions */
    record NamedFile(String name, byte[] bytes, String sha256) {
        boolean isDamaged() {
            return sha256 != null && !ContentName.of(bytes).equals(sha256);
        }
    }

    void insert(String reel, Entry entry, byte[] bytes) {
        jdbc.sql(INSERT)
                .param("id", entry.id())
                .param("reel", reel)
                .param("name", entry.name())
                .param("made", entry.made().atOffset(ZoneOffset.UTC))
                .param("width", entry.width())
                .param("height", entry.height())
                .param("frames", entry.frames())
                .param("colors", entry.colors())
                .param("plays", entry.plays())
                .param("millis", entry.millis())
                .param("byteCount", entry.bytes())
                .param("bytes", bytes)
                .param("sha256", ContentName.of(bytes))
                .update();
    }

    List<Entry> ofReel(String reel) {
        return jdbc.sql(SELECT_OF_REEL)
                .param("reel", reel)
                .query((row, n) -> new Entry(
                        row.getString("id"),
                        row.getString("name"),
                        row.getObject("made", OffsetDateTime.class).toInstant(),
                        row.getInt("width"),
                        row.getInt("height"),
                        row.getInt("frames"),
                        row.getInt("colors"),
                        row.getInt("plays"),
                        row.getInt("millis"),
                        row.getInt("bytes")))
                .list();
    }

    Optional<NamedFile> file(String id) {
        return jdbc.sql(SELECT_FILE)
                .param("id", id)
                .query((row, n) -> new NamedFile(row.getString("name"), row.getBytes("bytes"), row.getString("sha256")))
                .optional();
    }

    boolean delete(String reel, String id) {
        return jdbc.sql(DELETE).param("reel", reel).param("id", id).update() == 1;
    }
}
