package dobbin.server.jobs;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The job table. Times are the database's, which all who work with it share. */
@Repository
class JobStore {
    private static final String INSERT = "INSERT INTO job (id, reel, kind, title, whose, request, alone)"
            + " VALUES (:id, :reel, :kind, :title, :whose, :request, :alone)";
    private static final String SELECT =
            "SELECT id, reel, kind, title, whose, request, state, result, problem FROM job";
    private static final String UNDER_WAY = "SELECT id FROM job WHERE ended IS NULL";
    private static final String COUNT = "SELECT COUNT(*) FROM job WHERE ended IS NULL";
    private static final String END = """
            UPDATE job SET state = :state, result = :result, problem = :problem, ended = CURRENT_TIMESTAMP,
                alone = NULL, request = ''
            WHERE id = :id AND state = 'RUNNING'""";
    private static final String FORGET = "DELETE FROM job WHERE ended < CURRENT_TIMESTAMP - INTERVAL '1' DAY";

    private final JdbcClient jdbc;

    JobStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * @param whose a name, or where people have none, a session; empty where nobody signs in
     * @param request what for, as JSON; empty once it has ended
     * @param result what came of it, or null
     * @param problem a sentence on why it failed, or null
     */
    record Row(
            String id,
            String reel,
            String kind,
            String title,
            String whose,
            String request,
            Job.State state,
            String result,
            String problem) {
        Job.View view() {
            int done = state == Job.State.DONE ? 1 : 0;
            return new Job.View(id, title, state, done, 1, result, problem);
        }
    }

    /**
     * @param alone of all that are under way only one may have this; null where there may be others
     * @throws DuplicateKeyException where there is such a one
     */
    void insert(Row row, String alone) {
        jdbc.sql(INSERT)
                .param("id", row.id)
                .param("reel", row.reel)
                .param("kind", row.kind)
                .param("title", row.title)
                .param("whose", row.whose)
                .param("request", row.request)
                .param("alone", alone)
                .update();
    }

    /** @return the ids of those under way */
    List<String> underWay() {
        return jdbc.sql(UNDER_WAY).query(String.class).list();
    }

    /** @return how many are under way, for everybody */
    int count() {
        return jdbc.sql(COUNT).query(Integer.class).single();
    }

    /** @return how many are under way for that one */
    int count(String whose) {
        return jdbc.sql(COUNT + " AND whose = :whose")
                .param("whose", whose)
                .query(Integer.class)
                .single();
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
                row.getString("whose"),
                row.getString("request"),
                Job.State.valueOf(row.getString("state")),
                row.getString("result"),
                row.getString("problem"));
    }
}
