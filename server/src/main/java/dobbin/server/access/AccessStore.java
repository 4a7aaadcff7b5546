package dobbin.server.access;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The reel_access table, and whose a reel is. */
@Repository
class AccessStore {
    private static final String SELECT = """
            SELECT owner, everyone, (SELECT may FROM reel_access WHERE reel = id AND person = :person) AS own
            FROM reel WHERE id = :reel""";
    private static final String SELECT_ALL = "SELECT person, may FROM reel_access WHERE reel = :reel ORDER BY person";
    private static final String SET_EVERYONE = "UPDATE reel SET everyone = :may WHERE id = :reel";
    private static final String DELETE = "DELETE FROM reel_access WHERE reel = :reel";
    private static final String INSERT = "INSERT INTO reel_access (reel, person, may) VALUES (:reel, :person, :may)";

    private final JdbcClient jdbc;

    AccessStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * @param owner null where it is everybody's
     * @param everyone what all may do; {@code own} what that person may besides
     */
    record Row(String owner, Right everyone, Right own) {}

    Optional<Row> find(String reel, String person) {
        return jdbc.sql(SELECT)
                .param("reel", reel)
                .param("person", person)
                .query((row, n) ->
                        new Row(row.getString("owner"), right(row.getString("everyone")), right(row.getString("own"))))
                .optional();
    }

    List<Access.Given> given(String reel) {
        return jdbc.sql(SELECT_ALL)
                .param("reel", reel)
                .query((row, n) -> new Access.Given(row.getString("person"), right(row.getString("may"))))
                .list();
    }

    /** Call it in a transaction. */
    void set(String reel, Right everyone, List<Access.Given> given) {
        jdbc.sql(SET_EVERYONE).param("reel", reel).param("may", everyone.name()).update();
        jdbc.sql(DELETE).param("reel", reel).update();
        given.forEach(each -> jdbc.sql(INSERT)
                .param("reel", reel)
                .param("person", each.name())
                .param("may", each.right().name())
                .update());
    }

    private static Right right(String stored) {
        return stored == null ? Right.NOTHING : Right.valueOf(stored);
    }
}
