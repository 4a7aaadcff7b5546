package dobbin.server.access;

import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
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

    private static final String MAY_LOOK = """
            (r.owner IS NULL OR r.owner = :person OR r.everyone <> 'NOTHING'
                OR EXISTS (SELECT 1 FROM reel_access a WHERE a.reel = r.id AND a.person = :person))""";
    private static final String SELECT_FILES = """
            SELECT picture AS file FROM brought WHERE person = :person AND picture IN (:files)
            UNION SELECT typeface FROM brought_typeface WHERE person = :person AND typeface IN (:files)
            UNION SELECT n.name FROM named n JOIN reel r ON r.id = n.reel WHERE n.name IN (:files) AND\s""" + MAY_LOOK;
    private static final String SELECT_UNNOTED = "SELECT COUNT(*) FROM reel r WHERE NOT r.names_noted AND " + MAY_LOOK;
    private static final int AT_ONCE = 500;

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

    List<Access.Grant> given(String reel) {
        return jdbc.sql(SELECT_ALL)
                .param("reel", reel)
                .query((row, n) -> new Access.Grant(row.getString("person"), right(row.getString("may"))))
                .list();
    }

    /** Call it in a transaction. */
    void set(String reel, Right everyone, List<Access.Grant> given) {
        jdbc.sql(SET_EVERYONE).param("reel", reel).param("may", everyone.name()).update();
        jdbc.sql(DELETE).param("reel", reel).update();
        given.forEach(each -> jdbc.sql(INSERT)
                .param("reel", reel)
                .param("person", each.name())
                .param("may", each.right().name())
                .update());
    }

    /**
     * @param files pictures and typeface files
     * @return those that this person brought, or that a reel names at which this person may look
     */
    Set<String> files(String person, Collection<String> files) {
        List<String> all = List.copyOf(files);
        Set<String> found = new HashSet<>();
        for (int from = 0; from < all.size(); from += AT_ONCE) {
            found.addAll(jdbc.sql(SELECT_FILES)
                    .param("person", person)
                    .param("files", all.subList(from, Math.min(all.size(), from + AT_ONCE)))
                    .query(String.class)
                    .list());
        }
        return found;
    }

    /** @return whether this person may look at a reel of which is not noted yet what it names */
    boolean mayLookAtUnnoted(String person) {
        return jdbc.sql(SELECT_UNNOTED)
                        .param("person", person)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    private static Right right(String stored) {
        return stored == null ? Right.NOTHING : Right.valueOf(stored);
    }
}
