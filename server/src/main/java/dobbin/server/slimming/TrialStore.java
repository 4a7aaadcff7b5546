package dobbin.server.slimming;

import dobbin.reel.Delivery;
import dobbin.slim.Appearance;
import dobbin.slim.Trial;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** The trial table. The latest are kept, and those that have a name. */
@Repository
class TrialStore {
    /** Of a reel, without those that have a name. */
    private static final int MOST_KEPT = 200;

    private static final String INSERT = """
            INSERT INTO trial (id, reel, material, delivery, name, tried, width, height, byte_count, error,
                worst_frame, worst_error, picture)
            VALUES (:id, :reel, :material, :delivery, '', :tried, :width, :height, :bytes, :error,
                :worstFrame, :worstError, :picture)""";
    private static final String SELECT = """
            SELECT id, material, delivery, name, tried, width, height, byte_count, error, worst_frame, worst_error
            FROM trial WHERE reel = :reel ORDER BY tried, id""";
    private static final String DELETE_OLDEST = """
            DELETE FROM trial WHERE reel = :reel AND name = '' AND id NOT IN
                (SELECT id FROM trial WHERE reel = :reel AND name = '' ORDER BY tried DESC, id LIMIT :kept)""";
    private static final String SELECT_PICTURE = "SELECT picture FROM trial WHERE id = :id AND reel = :reel";
    private static final String UPDATE_NAME = "UPDATE trial SET name = :name WHERE id = :id AND reel = :reel";
    private static final String DELETE = "DELETE FROM trial WHERE id = :id AND reel = :reel";

    private final JdbcClient jdbc;
    private final JsonMapper json;

    TrialStore(JdbcClient jdbc, JsonMapper json) {
        this.jdbc = jdbc;
        this.json = json;
    }

    /** @param material names what it was tried on */
    record Row(String id, String material, String name, Instant tried, int width, int height, Trial trial) {}

    Row insert(String reel, String material, Trial trial, int width, int height, byte[] picture) {
        Row row = new Row(
                UUID.randomUUID().toString(),
                material,
                "",
                Instant.now().truncatedTo(ChronoUnit.MILLIS),
                width,
                height,
                trial);
        jdbc.sql(INSERT)
                .param("id", row.id)
                .param("reel", reel)
                .param("material", material)
                .param("delivery", json.writeValueAsString(trial.delivery()))
                .param("tried", row.tried.atOffset(ZoneOffset.UTC))
                .param("width", width)
                .param("height", height)
                .param("bytes", trial.bytes())
                .param("error", trial.error())
                .param("worstFrame", trial.looks().worstFrame())
                .param("worstError", trial.looks().worstError())
                .param("picture", picture)
                .update();
        jdbc.sql(DELETE_OLDEST).param("reel", reel).param("kept", MOST_KEPT).update();
        return row;
    }

    /** @return the oldest first */
    List<Row> ofReel(String reel) {
        return jdbc
                .sql(SELECT)
                .param("reel", reel)
                .query((row, n) -> delivery(row.getString("delivery")).map(delivery -> row(row, delivery)))
                .list()
                .stream()
                .flatMap(Optional::stream)
                .toList();
    }

    private static Row row(ResultSet row, Delivery delivery) {
        try {
            return new Row(
                    row.getString("id"),
                    row.getString("material"),
                    row.getString("name"),
                    row.getObject("tried", OffsetDateTime.class).toInstant(),
                    row.getInt("width"),
                    row.getInt("height"),
                    new Trial(
                            delivery,
                            row.getInt("byte_count"),
                            new Appearance(
                                    row.getDouble("error"), row.getInt("worst_frame"), row.getDouble("worst_error"))));
        } catch (SQLException e) {
            throw new IllegalStateException("The trial table has other columns", e);
        }
    }

    /** @return nothing where another version of Dobbin stored it with other settings: such a trial is left alone */
    private Optional<Delivery> delivery(String stored) {
        try {
            return Optional.of(json.readValue(stored, Delivery.class));
        } catch (JacksonException e) {
            return Optional.empty();
        }
    }

    Optional<byte[]> picture(String reel, String id) {
        return jdbc.sql(SELECT_PICTURE)
                .param("id", id)
                .param("reel", reel)
                .query(byte[].class)
                .optional();
    }

    boolean name(String reel, String id, String name) {
        return jdbc.sql(UPDATE_NAME)
                        .param("name", name)
                        .param("id", id)
                        .param("reel", reel)
                        .update()
                == 1;
    }

    boolean delete(String reel, String id) {
        return jdbc.sql(DELETE).param("id", id).param("reel", reel).update() == 1;
    }
}
