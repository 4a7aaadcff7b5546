package dobbin.server.reels;

import dobbin.edit.EditRejected;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/**
 * Which pictures and typeface files each reel names at any point of its history, by their hashes. What none names can be swept.
 */
@Repository
class NameStore {
    private static final int AT_ONCE = 500;
    private static final String INSERT = """
            INSERT INTO named (reel, name, step)
            SELECT CAST(? AS VARCHAR(36)), CAST(? AS CHAR(64)), CAST(? AS INTEGER)
            WHERE NOT EXISTS (SELECT 1 FROM named WHERE reel = ? AND name = ?)""";
    /** Of pictures and of typeface files: whoever sweeps waits for this transaction, and then finds that they just came. */
    private static final List<String> TOUCH = List.of(
            "UPDATE picture SET came = CURRENT_TIMESTAMP WHERE id IN (:names)",
            "UPDATE typeface SET came = CURRENT_TIMESTAMP WHERE id IN (:names)");

    private static final String DELETE_AFTER = "DELETE FROM named WHERE reel = :reel AND step > :step";
    private static final String SELECT_UNNOTED = "SELECT id FROM reel WHERE NOT names_noted";
    private static final String NOTED = "UPDATE reel SET names_noted = TRUE WHERE id = :reel";

    private final JdbcClient jdbc;
    private final JdbcTemplate batches;

    NameStore(JdbcClient jdbc, JdbcTemplate batches) {
        this.jdbc = jdbc;
        this.batches = batches;
    }

    /**
     * Notes what a step names that no step before it did. Call it in the transaction that stores the step.
     *
     * @throws EditRejected where something of it was swept a moment ago
     */
    void add(String reel, int step, Collection<String> names) {
        // In one order, so that two who name the same do not wait for one another.
        for (List<String> some : parts(new TreeSet<>(names))) {
            int here = 0;
            for (String touch : TOUCH) {
                here += jdbc.sql(touch).param("names", some).update();
            }
            if (here < some.size()) {
                throw new EditRejected("picture", "is not here any more. Bring it in again");
            }
            insert(reel, step, some);
        }
    }

    private void insert(String reel, int step, List<String> names) {
        batches.batchUpdate(
                INSERT,
                names.stream()
                        .map(name -> new Object[] {reel, name, step, reel, name})
                        .toList());
    }

    /** Forgets what was named first by steps after this one, which are gone. */
    void removeAfter(String reel, int step) {
        jdbc.sql(DELETE_AFTER).param("reel", reel).param("step", step).update();
    }

    /** @return the reels that were stored before names were noted */
    List<String> unnoted() {
        return jdbc.sql(SELECT_UNNOTED).query(String.class).list();
    }

    /**
     * Notes all that the steps of such a reel name. Call it in a transaction that locks the reel.
     *
     * @param ofSteps what each step names, by its number; what is not here any more is noted as well
     */
    void note(String reel, Map<Integer, Set<String>> ofSteps) {
        Set<String> before = new HashSet<>();
        ofSteps.forEach((step, names) -> {
            List<String> fresh = new ArrayList<>(names);
            fresh.removeIf(name -> !before.add(name));
            parts(fresh).forEach(some -> insert(reel, step, some));
        });
        jdbc.sql(NOTED).param("reel", reel).update();
    }

    private static List<List<String>> parts(Collection<String> names) {
        List<String> all = List.copyOf(names);
        List<List<String>> parts = new ArrayList<>();
        for (int from = 0; from < all.size(); from += AT_ONCE) {
            parts.add(all.subList(from, Math.min(all.size(), from + AT_ONCE)));
        }
        return parts;
    }
}
