package dobbin.server.reels;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The reel and step tables. */
@Repository
class ReelStore {
    private static final String SELECT = """
            SELECT r.id, r.revision, r.step, r.touched, here.document, here.title AS undo, after.title AS redo
            FROM reel r
            JOIN step here ON here.reel = r.id AND here.number = r.step
            LEFT JOIN step after ON after.reel = r.id AND after.number = r.step + 1
            """;
    private static final String SELECT_ONE = SELECT + "WHERE r.id = :id AND NOT r.removed";
    private static final String SELECT_ALL = SELECT + "WHERE NOT r.removed ORDER BY r.touched DESC, r.id";
    private static final String INSERT_REEL = """
            INSERT INTO reel (id, revision, step, touched) VALUES (:id, 1, 0, :now)""";
    private static final String INSERT_STEP = """
            INSERT INTO step (reel, number, title, edit, document, made)
            VALUES (:reel, :number, :title, :edit, :document, :now)""";
    private static final String DELETE_UNDONE = "DELETE FROM step WHERE reel = :id AND number > :step";
    private static final String ADVANCE = """
            UPDATE reel SET revision = revision + 1, step = :step, touched = :now
            WHERE id = :id AND revision = :revision AND NOT removed""";
    private static final String SET_REMOVED = """
            UPDATE reel SET removed = :removed WHERE id = :id AND removed <> :removed""";

    private static final String SELECT_STEPS = """
            SELECT number, title, made FROM step WHERE reel = :id ORDER BY number""";
    private static final String SELECT_NEAR = """
            SELECT document FROM step WHERE reel = :id AND number BETWEEN :step - :reach AND :step + :reach
            ORDER BY ABS(number - :step)""";
    private static final String COUNT_STEP = """
            SELECT COUNT(*) FROM step WHERE reel = :id AND number = :number""";

    private final JdbcClient jdbc;

    ReelStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param undo the title of the edit that undo would take back, or null; {@code redo} likewise */
    record Row(String id, int revision, int step, Instant touched, String document, String undo, String redo) {}

    void insert(String id, String document) {
        OffsetDateTime now = now();
        jdbc.sql(INSERT_REEL).param("id", id).param("now", now).update();
        insertStep(id, 0, "Begin", null, document, now);
    }

    Optional<Row> find(String id) {
        return jdbc.sql(SELECT_ONE).param("id", id).query(ReelStore::row).optional();
    }

    List<Row> all() {
        return jdbc.sql(SELECT_ALL).query(ReelStore::row).list();
    }

    /** Puts a step after {@code from}, in place of what was undone; false where the reel has moved on meanwhile. */
    boolean append(Row from, String title, String edit, String document) {
        if (!moveTo(from, from.step() + 1)) {
            return false;
        }
        jdbc.sql(DELETE_UNDONE)
                .param("id", from.id())
                .param("step", from.step())
                .update();
        insertStep(from.id(), from.step() + 1, title, edit, document, now());
        return true;
    }

    /** Moves the pointer along the history; false where the reel has moved on meanwhile. */
    boolean moveTo(Row from, int step) {
        return jdbc.sql(ADVANCE)
                        .param("id", from.id())
                        .param("revision", from.revision())
                        .param("step", step)
                        .param("now", now())
                        .update()
                == 1;
    }

    boolean hasStep(String id, int number) {
        return jdbc.sql(COUNT_STEP)
                        .param("id", id)
                        .param("number", number)
                        .query(Integer.class)
                        .single()
                == 1;
    }

    List<History.Step> steps(String id) {
        return jdbc.sql(SELECT_STEPS)
                .param("id", id)
                .query((row, number) -> new History.Step(
                        row.getInt("number"),
                        row.getString("title"),
                        row.getObject("made", OffsetDateTime.class).toInstant()))
                .list();
    }

    /** @return the documents at most {@code reach} steps away, the nearest first */
    List<String> documentsNear(Row row, int reach) {
        return jdbc.sql(SELECT_NEAR)
                .param("id", row.id())
                .param("step", row.step())
                .param("reach", reach)
                .query(String.class)
                .list();
    }

    boolean setRemoved(String id, boolean removed) {
        return jdbc.sql(SET_REMOVED).param("id", id).param("removed", removed).update() == 1;
    }

    private void insertStep(String reel, int number, String title, String edit, String document, OffsetDateTime now) {
        jdbc.sql(INSERT_STEP)
                .param("reel", reel)
                .param("number", number)
                .param("title", title)
                .param("edit", edit)
                .param("document", document)
                .param("now", now)
                .update();
    }

    private static Row row(ResultSet row, int number) throws SQLException {
        int step = row.getInt("step");
        return new Row(
                row.getString("id"),
                row.getInt("revision"),
                step,
                row.getObject("touched", OffsetDateTime.class).toInstant(),
                row.getString("document"),
                step == 0 ? null : row.getString("undo"),
                row.getString("redo"));
    }

    private static OffsetDateTime now() {
        return OffsetDateTime.now(ZoneOffset.UTC);
    }
}
