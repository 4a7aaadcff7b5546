package dobbin.server.deliveries;

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
            INSERT INTO delivery (id, reel, name, made, width, height, frames, colors, plays, millis, byte_count, bytes)
            VALUES (:id, :reel, :name, :made, :width, :height, :frames, :colors, :plays, :millis, :byteCount, :bytes)""";
    private static final String SELECT_OF_REEL = """
            SELECT id, name, made, width, height, frames, colors, plays, millis, byte_count AS bytes
            FROM delivery WHERE reel = :reel ORDER BY made DESC, id""";
    private static final String SELECT_FILE = "SELECT name, bytes FROM delivery WHERE id = :id";

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

    record NamedFile(String name, byte[] bytes) {}

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
                .query((row, n) -> new NamedFile(row.getString("name"), row.getBytes("bytes")))
                .optional();
    }
}
