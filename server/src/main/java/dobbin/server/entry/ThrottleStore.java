package dobbin.server.entry;

import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.support.TransactionTemplate;

/** The wrong_password table, and that of addresses from which somebody has signed in. */
@Repository
class ThrottleStore {
    /** Key of the row that counts all wrong passwords together. The row always exists. */
    static final String ALL = "all";

    private static final String LOCK = "SELECT times FROM wrong_password WHERE who = :all FOR UPDATE";
    private static final String SELECT =
            "SELECT who, times, first_millis, last_millis FROM wrong_password WHERE who IN (:whose)";
    private static final String UPDATE = """
            UPDATE wrong_password SET times = :times, first_millis = :first, last_millis = :last WHERE who = :who""";
    private static final String INSERT = """
            INSERT INTO wrong_password (who, times, first_millis, last_millis) VALUES (:who, :times, :first, :last)""";
    private static final String DELETE = "DELETE FROM wrong_password WHERE who IN (:whose) AND who <> :all";
    private static final String FORGET = "DELETE FROM wrong_password WHERE first_millis < :before AND who <> :all";

    private static final String SELECT_SIGNED_IN =
            "SELECT address FROM signed_in_from WHERE address = :address AND last_millis > :after";
    private static final String DELETE_SIGNED_IN =
            "DELETE FROM signed_in_from WHERE address = :address OR last_millis < :before";
    private static final String INSERT_SIGNED_IN =
            "INSERT INTO signed_in_from (address, last_millis) VALUES (:address, :last)";

    private final JdbcClient jdbc;
    private final TransactionTemplate transaction;

    ThrottleStore(JdbcClient jdbc, TransactionTemplate transaction) {
        this.jdbc = jdbc;
        this.transaction = transaction;
    }

    /** How often a password was wrong since the first of them. */
    record Wrong(int times, Instant first, Instant last) {}

    /** Does something while nobody else, at whichever Dobbin, does the like. */
    <V> V alone(Supplier<V> work) {
        return transaction.execute(status -> {
            jdbc.sql(LOCK).param("all", ALL).query(Integer.class).single();
            return work.get();
        });
    }

    Map<String, Wrong> find(Collection<String> whose) {
        Map<String, Wrong> found = new HashMap<>();
        jdbc.sql(SELECT).param("whose", List.copyOf(whose)).query(row -> {
            Instant first = Instant.ofEpochMilli(row.getLong("first_millis"));
            Instant last = Instant.ofEpochMilli(row.getLong("last_millis"));
            found.put(row.getString("who"), new Wrong(row.getInt("times"), first, last));
        });
        return found;
    }

    void put(String who, Wrong wrong) {
        if (write(UPDATE, who, wrong) == 0) {
            write(INSERT, who, wrong);
        }
    }

    private int write(String sql, String who, Wrong wrong) {
        return jdbc.sql(sql)
                .param("who", who)
                .param("times", wrong.times())
                .param("first", wrong.first().toEpochMilli())
                .param("last", wrong.last().toEpochMilli())
                .update();
    }

    void remove(Collection<String> whose) {
        jdbc.sql(DELETE).param("whose", List.copyOf(whose)).param("all", ALL).update();
    }

    /** @return whether somebody has signed in from there after that moment */
    boolean hasSignedIn(String address, Instant after) {
        return jdbc.sql(SELECT_SIGNED_IN)
                .param("address", address)
                .param("after", after.toEpochMilli())
                .query(String.class)
                .optional()
                .isPresent();
    }

    /** Notes who has signed in from where, and forgets what was noted before that moment. */
    void signedIn(String address, Instant now, Instant before) {
        jdbc.sql(DELETE_SIGNED_IN)
                .param("address", address)
                .param("before", before.toEpochMilli())
                .update();
        jdbc.sql(INSERT_SIGNED_IN)
                .param("address", address)
                .param("last", now.toEpochMilli())
                .update();
    }

    void forget(Instant before) {
        jdbc.sql(FORGET)
                .param("before", before.toEpochMilli())
                .param("all", ALL)
                .update();
    }
}
