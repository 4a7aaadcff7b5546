package dobbin.server.jobs;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The job table. Times are the database's, which all who work with it share. */
@Repository
class JobStore {
    private static final String HELD = "CURRENT_TIMESTAMP + INTERVAL '10' SECOND";
    private static final String INSERT = "INSERT INTO job (id, reel, kind, title, person, request, alone, held_until)"
            + " VALUES (:id, :reel, :kind, :title, :person, :request, :alone, " + HELD + ")";
    private static final String SELECT =
            "SELECT id, reel, kind, title, person, request, tries, state, result, problem FROM job";
    private static final String HOLD =
            "UPDATE job SET held_until = " + HELD + " WHERE id IN (:ids) AND held_until IS NOT NULL";
    private static final String SELECT_LEFT = SELECT + " WHERE held_until < CURRENT_TIMESTAMP";
    private static final String TAKE = "UPDATE job SET tries = tries + 1, held_until = " + HELD
            + " WHERE id = :id AND held_until < CURRENT_TIMESTAMP";
    private static final String LEAVE = "UPDATE job SET tries = tries - 1, held_until = CURRENT_TIMESTAMP"
            + " WHERE id IN (:ids) AND held_until IS NOT NULL";
    private static final String END = """
            UPDATE job SET state = :state, result = :result, problem = :problem, ended = CURRENT_TIMESTAMP,
                held_until = NULL, alone = NULL, request = ''
            WHERE id = :id AND state = 'RUNNING'""";
    private static final String FORGET = "DELETE FROM job WHERE ended < CURRENT_TIMESTAMP - INTERVAL '1' DAY";

    private final JdbcClient jdbc;

    JobStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * @param person who asked, or null where people have no names
     * @param request what for, as JSON; empty once it has ended
     * @param tries how often it was begun
     * @param result what came of it, or null
     * @param problem a sentence on why it failed, or null
     */
    record Row(
            String id,
            String reel,
            String kind,
            String title,
            String person,
            String request,
            int tries,
            Job.State state,
            String result,
            String problem) {
        Job.View view() {
            int done = state == Job.State.DONE ? 1 : 0;
            return new Job.View(id, title, state, done, 1, result, problem);
        }
    }

    /**
     * Puts one in, held by whoever does.
     *
     * @param alone of all that are under way only one may have this; null where there may be others
     * @return whether it was put in: not where there is such a one
     */
    boolean insert(Row row, String alone) {
        try {
            jdbc.sql(INSERT)
                    .param("id", row.id)
                    .param("reel", row.reel)
                    .param("kind", row.kind)
                    .param("title", row.title)
                    .param("person", row.person)
                    .param("request", row.request)
                    .param("alone", alone)
                    .update();
            return true;
        } catch (DuplicateKeyException e) {
            return false;
        }
    }

    /** Holds those on, so that nobody takes them over. */
    void hold(Collection<String> ids) {
        updateAll(HOLD, ids);
    }

    /** Lets go of those, so that another takes them over at once; this was no try. */
    void leave(Collection<String> ids) {
        updateAll(LEAVE, ids);
    }

    private void updateAll(String sql, Collection<String> ids) {
        if (!ids.isEmpty()) {
            jdbc.sql(sql).param("ids", List.copyOf(ids)).update();
        }
    }

    /** @return those under way that nobody holds */
    List<Row> left() {
        return jdbc.sql(SELECT_LEFT).query(JobStore::row).list();
    }

    /** @return whether it is held from now on: not where another was faster */
    boolean take(String id) {
        return jdbc.sql(TAKE).param("id", id).update() == 1;
    }

    Optional<Row> find(String id) {
        return jdbc.sql(SELECT + " WHERE id = :id")
                .param("id", id)
                .query(JobStore::row)
                .optional();
    }

    /** @return the one under way that was put in with this */
    Optional<Row> findAlone(String alone) {
        return jdbc.sql(SELECT + " WHERE alone = :alone")
                .param("alone", alone)
                .query(JobStore::row)
                .optional();
    }

    /** @return whether it was under way until now: of two who end it, one is told so */
    boolean end(String id, Job.State state, String result, String problem) {
        return jdbc.sql(END)
                        .param("id", id)
                        .param("state", state.name())
                        .param("result", result)
                        .param("problem", problem)
                        .update()
                == 1;
    }

    /** Removes those that ended more than a day ago. */
    void forget() {
        jdbc.sql(FORGET).update();
    }

    private static Row row(ResultSet row, int number) throws SQLException {
        return new Row(
                row.getString("id"),
                row.getString("reel"),
                row.getString("kind"),
                row.getString("title"),
                row.getString("person"),
                row.getString("request"),
                row.getInt("tries"),
                Job.State.valueOf(row.getString("state")),
                row.getString("result"),
                row.getString("problem"));
    }
}
