package dobbin.server.reels;

import dobbin.document.UnreadableDocument;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The reel and step tables. */
@Repository
class ReelStore {
    private static final String SELECT_ONE = """
            SELECT r.id, r.revision, r.step, r.touched, here.serial, here.title AS undo, after.title AS redo
            FROM reel r
            JOIN step here ON here.reel = r.id AND here.number = r.step
            LEFT JOIN step after ON after.reel = r.id AND after.number = r.step + 1
            WHERE r.id = :id AND r.removed_at IS NULL""";
    private static final String CARD = "SELECT id, touched, removed_at, card, owner FROM reel";
    private static final String ON_THE_SHELF = " WHERE removed_at IS NULL";
    private static final String REMOVED = " WHERE removed_at IS NOT NULL";
    private static final String OWNED = " AND (owner IS NULL OR owner = :person)";
    private static final String SHOWN = " AND (owner IS NULL OR owner = :person OR everyone <> 'NOTHING'"
            + " OR EXISTS (SELECT 1 FROM reel_access a WHERE a.reel = reel.id AND a.person = :person))";
    private static final String IN_ORDER = " ORDER BY touched DESC, id OFFSET :from ROWS FETCH NEXT :count ROWS ONLY";
    private static final String COUNT = "SELECT COUNT(*) FROM reel" + ON_THE_SHELF;
    private static final String SELECT_EXPIRED = "SELECT id FROM reel WHERE removed_at < :before";
    private static final String INSERT_REEL = """
            INSERT INTO reel (id, revision, step, touched, card, owner, names_noted)
            VALUES (:id, 1, :step, :now, :card, :owner, TRUE)""";
    private static final String INSERT_STEP = """
            INSERT INTO step (reel, number, title, packed_edit, packed, base, made)
            VALUES (:reel, :number, :title, :edit, :packed, :base, :made)""";
    private static final String REPLACE_STEP = """
            UPDATE step SET title = :title, packed_edit = :edit, packed = :packed, document = NULL, edit = NULL,
                base = :base, made = :made, serial = DEFAULT
            WHERE reel = :reel AND number = :number""";
    private static final String DELETE_UNDONE = "DELETE FROM step WHERE reel = :id AND number > :step";
    private static final String ADVANCE = """
            UPDATE reel SET revision = revision + 1, step = :step, touched = :now, card = :card
            WHERE id = :id AND revision = :revision AND removed_at IS NULL""";
    private static final String LOCK = "SELECT id FROM reel WHERE id = :id FOR UPDATE";
    private static final String SET_CARD = "UPDATE reel SET card = :card WHERE id = :id";
    private static final String REMOVE = "UPDATE reel SET removed_at = :now WHERE id = :id AND removed_at IS NULL";
    private static final String RESTORE = "UPDATE reel SET removed_at = NULL WHERE id = :id";
    private static final String LOCK_REMOVED =
            "SELECT id FROM reel WHERE id = :id AND removed_at IS NOT NULL FOR UPDATE";
    private static final List<String> PURGE = List.of(
            "DELETE FROM delivery WHERE reel = :id",
            "DELETE FROM trial WHERE reel = :id",
            "DELETE FROM step WHERE reel = :id",
            "DELETE FROM reel WHERE id = :id");

    private static final String SELECT_STEPS = """
            SELECT number, title, made FROM step WHERE reel = :id ORDER BY number""";
    private static final String SELECT_NEAR = """
            SELECT number, serial FROM step WHERE reel = :id AND number BETWEEN :step - :reach AND :step + :reach
            ORDER BY ABS(number - :step)""";
    private static final String SELECT_DOCUMENT = """
            SELECT document, packed, base FROM step WHERE reel = :id AND number = :number""";
    private static final String SELECT_EDIT = """
            SELECT packed_edit, made FROM step WHERE reel = :id AND number = :number AND packed_edit IS NOT NULL""";

    /** Every 32nd step stores the whole document; the steps between store differences from it. */
    private static final int STEPS_OF_ONE_BASE = 32;

    private final JdbcClient jdbc;
    private final NameStore names;

    ReelStore(JdbcClient jdbc, NameStore names) {
        this.jdbc = jdbc;
        this.names = names;
    }

    /**
     * @param serial names the document it stands on
     * @param undo the title of the edit that undo would take back, or null; {@code redo} likewise
     */
    record Row(String id, int revision, int step, Instant touched, long serial, String undo, String redo) {}

    /**
     * @param card what the shelf shows of it, or null where that must be worked out
     * @param owner whose it is, or null where it is everybody's
     */
    record CardRow(String id, Instant touched, Instant removed, String card, String owner) {}

    /**
     * What is stored with a step.
     *
     * @param fresh names of pictures and typeface files that the step before does not name
     */
    record NewStep(String title, byte[] edit, byte[] document, String card, Set<String> fresh) {}

    record Made(byte[] edit, Instant at) {}

    record Near(int number, long serial) {}

    /**
     * Puts in a reel, which has no step yet.
     *
     * @param step it will stand on
     * @param owner whose it is; nothing where people have no names
     */
    void insert(String id, int step, String card, Optional<String> owner) {
        jdbc.sql(INSERT_REEL)
                .param("id", id)
                .param("step", step)
                .param("now", now())
                .param("card", card)
                .param("owner", owner.orElse(null))
                .update();
    }

    /**
     * Puts in a step that was made earlier, with what the reel was after it.
     *
     * @param fresh as in {@link NewStep}
     */
    void insertStep(String id, int number, String title, byte[] document, Instant made, Set<String> fresh) {
        NewStep step = new NewStep(title, null, document, null, fresh);
        write(INSERT_STEP, id, number, step, made.atOffset(ZoneOffset.UTC));
        names.add(id, number, fresh);
    }

    Optional<Row> find(String id) {
        return jdbc.sql(SELECT_ONE).param("id", id).query(ReelStore::row).optional();
    }

    /** @param person who may see them; nothing for all there are */
    List<CardRow> page(int from, int count, Optional<String> person) {
        return of(person, CARD + ON_THE_SHELF + (person.isPresent() ? SHOWN : "") + IN_ORDER)
                .param("from", from)
                .param("count", count)
                .query(ReelStore::cardRow)
                .list();
    }

    int count(Optional<String> person) {
        return of(person, COUNT + (person.isPresent() ? SHOWN : ""))
                .query(Integer.class)
                .single();
    }

    /** @param person who may put them back; nothing for all there are */
    List<CardRow> removed(Optional<String> person) {
        return of(person, CARD + REMOVED + (person.isPresent() ? OWNED : "") + " ORDER BY removed_at DESC, id")
                .query(ReelStore::cardRow)
                .list();
    }

    private JdbcClient.StatementSpec of(Optional<String> person, String sql) {
        JdbcClient.StatementSpec statement = jdbc.sql(sql);
        return person.map(name -> statement.param("person", name)).orElse(statement);
    }

    List<String> removedBefore(Instant when) {
        return jdbc.sql(SELECT_EXPIRED)
                .param("before", when.atOffset(ZoneOffset.UTC))
                .query(String.class)
                .list();
    }

    /** Puts a step after {@code from}, in place of what was undone; false where the reel has moved on meanwhile. */
    boolean append(Row from, NewStep step) {
        if (!moveTo(from, from.step() + 1, step.card())) {
            return false;
        }
        jdbc.sql(DELETE_UNDONE)
                .param("id", from.id())
                .param("step", from.step())
                .update();
        names.removeAfter(from.id(), from.step());
        write(INSERT_STEP, from.id(), from.step() + 1, step, now());
        names.add(from.id(), from.step() + 1, step.fresh());
        return true;
    }

    /** Puts a step in place of the one {@code from} stands on; false where the reel has moved on meanwhile. */
    boolean replace(Row from, NewStep step) {
        if (!moveTo(from, from.step(), step.card())) {
            return false;
        }
        write(REPLACE_STEP, from.id(), from.step(), step, now());
        names.add(from.id(), from.step(), step.fresh());
        return true;
    }

    /** Moves the pointer along the history; false where the reel has moved on meanwhile. */
    boolean moveTo(Row from, int step, String card) {
        return jdbc.sql(ADVANCE)
                        .param("id", from.id())
                        .param("revision", from.revision())
                        .param("step", step)
                        .param("card", card)
                        .param("now", now())
                        .update()
                == 1;
    }

    /** @param card null for one to be worked out anew */
    void setCard(String id, String card) {
        jdbc.sql(SET_CARD).param("id", id).param("card", card).update();
    }

    /** Call it in a transaction: until that ends, nobody else changes the reel. */
    void lock(String id) {
        jdbc.sql(LOCK).param("id", id).query(String.class).optional();
    }

    List<History.Step> steps(String id) {
        return jdbc.sql(SELECT_STEPS)
                .param("id", id)
                .query((row, number) ->
                        new History.Step(row.getInt("number"), row.getString("title"), instant(row, "made")))
                .list();
    }

    /** @return the steps at most {@code reach} away, the nearest first */
    List<Near> near(Row row, int reach) {
        return jdbc.sql(SELECT_NEAR)
                .param("id", row.id())
                .param("step", row.step())
                .param("reach", reach)
                .query((result, n) -> new Near(result.getInt("number"), result.getLong("serial")))
                .list();
    }

    /** @return the document of a step, in JSON; empty where there is no such step */
    Optional<byte[]> document(String reel, int number) {
        record Stored(String document, byte[] packed, Integer base) {}
        return jdbc.sql(SELECT_DOCUMENT)
                .param("id", reel)
                .param("number", number)
                .query((row, n) -> new Stored(
                        row.getString("document"), row.getBytes("packed"), row.getObject("base", Integer.class)))
                .optional()
                .map(stored -> {
                    if (stored.packed == null) {
                        return stored.document.getBytes(java.nio.charset.StandardCharsets.UTF_8);
                    }
                    return stored.base == null
                            ? Packing.unpack(stored.packed)
                            : Packing.unpack(stored.packed, base(reel, stored.base));
                });
    }

    /** @return the document a reel stands on, be it removed or not */
    Optional<byte[]> current(String reel) {
        return jdbc.sql("SELECT step FROM reel WHERE id = :id")
                .param("id", reel)
                .query(Integer.class)
                .optional()
                .flatMap(step -> document(reel, step));
    }

    /** @return the edit that made a step, in JSON, and when */
    Optional<Made> madeBy(String reel, int number) {
        return jdbc.sql(SELECT_EDIT)
                .param("id", reel)
                .param("number", number)
                .query((row, n) -> new Made(Packing.unpack(row.getBytes("packed_edit")), instant(row, "made")))
                .optional();
    }

    boolean remove(String id) {
        return jdbc.sql(REMOVE).param("id", id).param("now", now()).update() == 1;
    }

    boolean restore(String id) {
        return jdbc.sql(RESTORE).param("id", id).update() == 1;
    }

    /**
     * Removes for good one that was removed, its history and deliveries with it; one on the shelf stays as it is. Call it in a
     * transaction: whoever would put it back meanwhile waits for its end.
     */
    void purge(String id) {
        if (jdbc.sql(LOCK_REMOVED)
                .param("id", id)
                .query(String.class)
                .optional()
                .isPresent()) {
            PURGE.forEach(sql -> jdbc.sql(sql).param("id", id).update());
        }
    }

    private byte[] base(String reel, int number) {
        return document(reel, number)
                .orElseThrow(
                        () -> new UnreadableDocument("This reel is damaged: a part of what is stored is missing."));
    }

    private void write(String sql, String reel, int number, NewStep step, OffsetDateTime made) {
        int base = number - number % STEPS_OF_ONE_BASE;
        boolean alone = base == number;
        jdbc.sql(sql)
                .param("reel", reel)
                .param("number", number)
                .param("title", step.title())
                .param("edit", step.edit() == null ? null : Packing.pack(step.edit()))
                .param(
                        "packed",
                        alone ? Packing.pack(step.document()) : Packing.pack(step.document(), base(reel, base)))
                .param("base", alone ? null : base)
                .param("made", made)
                .update();
    }

    private static Row row(ResultSet row, int number) throws SQLException {
        int step = row.getInt("step");
        return new Row(
                row.getString("id"),
                row.getInt("revision"),
                step,
                instant(row, "touched"),
                row.getLong("serial"),
                step == 0 ? null : row.getString("undo"),
                row.getString("redo"));
    }

    private static CardRow cardRow(ResultSet row, int number) throws SQLException {
        OffsetDateTime removed = row.getObject("removed_at", OffsetDateTime.class);
        return new CardRow(
                row.getString("id"),
                instant(row, "touched"),
                removed == null ? null : removed.toInstant(),
                row.getString("card"),
                row.getString("owner"));
    }

    private static Instant instant(ResultSet row, String column) throws SQLException {
        return row.getObject(column, OffsetDateTime.class).toInstant();
    }

    private static OffsetDateTime now() {
        return OffsetDateTime.now(ZoneOffset.UTC);
    }
}
