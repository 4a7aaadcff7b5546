package dobbin.server.deliveries;

import dobbin.reel.ContentName;
import dobbin.reel.Delivery;
import dobbin.server.bucket.Bucket;
import dobbin.server.data.Spool;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** The delivery table. Deliveries are added and never changed; those that are deleted can be had back for a while. */
@Repository
class DeliveryStore {
    private static final String INSERT = """
            INSERT INTO delivery (id, reel, name, made, width, height, frames, colors, plays, millis, byte_count, bytes,
                sha256, settings, place)
            VALUES (:id, :reel, :name, :made, :width, :height, :frames, :colors, :plays, :millis, :byteCount, :bytes,
                :sha256, :settings, :place)""";
    private static final String SELECT_OF_REEL = """
            SELECT id, name, made, width, height, frames, colors, plays, millis, byte_count AS bytes,
                settings IS NOT NULL AS has_settings, error
            FROM delivery WHERE reel = :reel AND removed IS NULL ORDER BY made DESC, id""";
    private static final String SELECT_FILE =
            "SELECT reel, name, byte_count, place, sha256 FROM delivery WHERE id = :id";
    private static final String SELECT_BYTES = "SELECT bytes FROM delivery WHERE id = :id";
    private static final String SELECT_SETTINGS =
            "SELECT settings FROM delivery WHERE id = :id AND reel = :reel AND settings IS NOT NULL";
    private static final String REMOVE =
            "UPDATE delivery SET removed = :now WHERE id = :id AND reel = :reel AND removed IS NULL";
    private static final String RESTORE =
            "UPDATE delivery SET removed = NULL WHERE id = :id AND reel = :reel AND removed IS NOT NULL";
    private static final String SET_ERROR = "UPDATE delivery SET error = :error WHERE id = :id";
    private static final String PURGE = "DELETE FROM delivery WHERE removed < :before";

    private static final String SELECT_PLACES = "SELECT place FROM delivery WHERE place IN (:places)";
    private static final String FILE = "file.gif";
    private static final int LARGE_BYTES = 1_000_000;

    private final JdbcClient jdbc;
    private final JsonMapper json;
    private final Bucket bucket;
    private final Spool spool;

    DeliveryStore(JdbcClient jdbc, JsonMapper json, Bucket bucket, Spool spool) {
        this.spool = spool;
        this.jdbc = jdbc;
        this.json = json;
        this.bucket = bucket;
    }

    /**
     * @param millis how long one play of the file takes
     * @param hasSettings whether it is known with which it was made; not of those of earlier versions
     * @param error how it looks beside what was drawn, as on the chart; null where that is not known, or not yet
     */
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
            int bytes,
            boolean hasSettings,
            @Schema(types = {"number", "null"}) Double error) {}

    /**
     * Puts the file of a delivery where files are kept, before the delivery itself is.
     *
     * @return its place in the bucket, or null where it lies in the database
     */
    String put(String id, byte[] bytes) {
        if (!bucket.isChosen()) {
            return null;
        }
        String place = bucket.place(RemovedDeliveries.IN_BUCKET, id);
        bucket.put(place, FILE, bytes);
        return place;
    }

    /** @param place where its file was put */
    void insert(String reel, Entry entry, String place, byte[] bytes, Delivery settings) {
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
                .param("bytes", place == null ? bytes : null)
                .param("sha256", ContentName.of(bytes))
                .param("settings", json.writeValueAsString(settings))
                .param("place", place)
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
                        row.getInt("bytes"),
                        row.getBoolean("has_settings"),
                        row.getObject("error", Double.class)))
                .list();
    }

    void setError(String id, double error) {
        jdbc.sql(SET_ERROR).param("id", id).param("error", error).update();
    }

    /** @return its file, which is read when it is opened */
    Optional<DeliveredFile> file(String id) {
        return jdbc.sql(SELECT_FILE)
                .param("id", id)
                .query((row, n) -> {
                    String place = row.getString("place");
                    int size = row.getInt("byte_count");
                    String sha256 = row.getString("sha256");
                    DeliveredFile.Source source = place == null
                            ? () -> read(id, size, sha256)
                            : () -> new CheckedStream(bucket.open(place, FILE), size, sha256);
                    return new DeliveredFile(row.getString("reel"), row.getString("name"), size, source);
                })
                .optional();
    }

    /** A large one goes over the disk: a browser may take it slowly, and neither memory nor the database should wait. */
    private InputStream read(String id, int size, String sha256) throws IOException {
        if (size <= LARGE_BYTES) {
            return new ByteArrayInputStream(read(id, size, sha256, InputStream::readAllBytes));
        }
        Path file = spool.begin();
        try {
            read(id, size, sha256, in -> Files.copy(in, file, StandardCopyOption.REPLACE_EXISTING));
            return Files.newInputStream(file, StandardOpenOption.DELETE_ON_CLOSE);
        } catch (IOException | RuntimeException e) {
            Spool.remove(file);
            throw e;
        }
    }

    private interface Reader<V> {
        V read(InputStream in) throws IOException;
    }

    private <V> V read(String id, int size, String sha256, Reader<V> reader) {
        return jdbc.sql(SELECT_BYTES)
                .param("id", id)
                .query((row, n) -> {
                    try (InputStream in = new CheckedStream(row.getBinaryStream("bytes"), size, sha256)) {
                        return reader.read(in);
                    } catch (IOException e) {
                        throw new UncheckedIOException(e);
                    }
                })
                .single();
    }

    /** @return those of the places that deliveries are in */
    Set<String> places(Set<String> places) {
        return new HashSet<>(jdbc.sql(SELECT_PLACES)
                .param("places", places)
                .query(String.class)
                .list());
    }

    /** @return with which settings it was made; nothing where another version of Dobbin stored them with others */
    Optional<Delivery> settings(String reel, String id) {
        return jdbc.sql(SELECT_SETTINGS)
                .param("reel", reel)
                .param("id", id)
                .query(String.class)
                .optional()
                .flatMap(this::read);
    }

    private Optional<Delivery> read(String stored) {
        try {
            return Optional.of(json.readValue(stored, Delivery.class));
        } catch (JacksonException e) {
            return Optional.empty();
        }
    }

    /** @return whether it was there */
    boolean remove(String reel, String id, Instant now) {
        return jdbc.sql(REMOVE)
                        .param("now", now.atOffset(ZoneOffset.UTC))
                        .param("reel", reel)
                        .param("id", id)
                        .update()
                == 1;
    }

    /** @return whether it was removed, and not yet for good */
    boolean restore(String reel, String id) {
        return jdbc.sql(RESTORE).param("reel", reel).param("id", id).update() == 1;
    }

    /** @return how many went for good */
    int purge(Instant before) {
        return jdbc.sql(PURGE).param("before", before.atOffset(ZoneOffset.UTC)).update();
    }
}
