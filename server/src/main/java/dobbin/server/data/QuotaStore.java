package dobbin.server.data;

import dobbin.server.Settings;
import dobbin.server.people.People;
import dobbin.server.web.Refused;
import dobbin.server.work.Requester;
import java.util.Locale;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * How much each person has here, where people have names: the pictures and typefaces they brought and the deliveries of their reels. A picture that
 * several brought counts for each of them.
 */
@Repository
public class QuotaStore {
    private static final double MB = 1e6;

    private static final String USED = """
            (SELECT COALESCE(SUM(bytes), 0) FROM brought WHERE person = :person)
                + (SELECT COALESCE(SUM(bytes), 0) FROM brought_typeface WHERE person = :person)
                + (SELECT COALESCE(SUM(d.byte_count), 0) FROM delivery d JOIN reel r ON r.id = d.reel WHERE r.owner = :person)""";
    private static final String SELECT_USED = "SELECT " + USED;
    private static final String SELECT_OWNER = "SELECT owner FROM reel WHERE id = :reel AND owner IS NOT NULL";
    /** Of two who count for one person at once, one waits. */
    private static final String LOCK = "SELECT username FROM users WHERE username = :person FOR UPDATE";

    private static final Kept PICTURE = new Kept("brought", "picture");
    private static final Kept TYPEFACE = new Kept("brought_typeface", "typeface");

    private final JdbcClient jdbc;
    private final TransactionTemplate transaction;
    private final People people;
    private final long most;

    QuotaStore(JdbcClient jdbc, TransactionTemplate transaction, People people, Settings settings) {
        this.jdbc = jdbc;
        this.transaction = transaction;
        this.people = people;
        this.most = settings.quota().toBytes();
    }

    /** A table of what people brought, and its column for the file. */
    private record Kept(String table, String file) {
        String insert() {
            return "INSERT INTO " + table + " (person, " + file + ", bytes)"
                    + " SELECT CAST(:person AS VARCHAR(40)), CAST(:file AS CHAR(64)), CAST(:bytes AS BIGINT)"
                    + " WHERE NOT EXISTS (SELECT 1 FROM " + table + " WHERE person = :person AND " + file + " = :file)"
                    + " AND (:most = 0 OR :bytes = 0 OR " + USED + " + :bytes <= :most)";
        }

        String select() {
            return "SELECT person FROM " + table + " WHERE person = :person AND " + file + " = :file";
        }
    }

    /**
     * Notes who brought a picture that is kept.
     *
     * @throws Refused where that one would have more than one person may; then it is not noted
     */
    public void brought(String picture, long bytes) {
        person().ifPresent(person -> count(PICTURE, person, picture, bytes));
    }

    /**
     * Notes who brought a typeface file that is kept.
     *
     * @throws Refused where that one would have more than one person may; then it is not noted
     */
    public void broughtTypeface(String typeface, long bytes) {
        person().ifPresent(person -> count(TYPEFACE, person, typeface, bytes));
    }

    private void count(Kept kept, String person, String file, long bytes) {
        boolean counted = Boolean.TRUE.equals(transaction.execute(status -> {
            lock(person);
            int inserted = jdbc.sql(kept.insert())
                    .param("person", person)
                    .param("file", file)
                    .param("bytes", bytes)
                    .param("most", most)
                    .update();
            return inserted == 1
                    || jdbc.sql(kept.select())
                            .param("person", person)
                            .param("file", file)
                            .query(String.class)
                            .optional()
                            .isPresent();
        }));
        if (!counted) {
            throw full(person, used(person), bytes);
        }
    }

    /**
     * Asks before something is made, so that nothing is made in vain.
     *
     * @throws Refused where whoever is worked for would have more than one person may
     */
    public void need(long bytes) {
        person().ifPresent(person -> need(person, bytes));
    }

    /**
     * Call it in the transaction that keeps a delivery of that reel: it counts for the reel's owner.
     *
     * @throws Refused where that one would have more than one person may
     */
    public void needOn(String reel, long bytes) {
        if (people.areNamed()) {
            jdbc.sql(SELECT_OWNER)
                    .param("reel", reel)
                    .query(String.class)
                    .optional()
                    .ifPresent(owner -> {
                        lock(owner);
                        need(owner, bytes);
                    });
        }
    }

    private void need(String person, long bytes) {
        long used = most == 0 ? 0 : used(person);
        if (most > 0 && used + bytes > most) {
            throw full(person, used, bytes);
        }
    }

    private void lock(String person) {
        jdbc.sql(LOCK).param("person", person).query(String.class).optional();
    }

    private long used(String person) {
        return jdbc.sql(SELECT_USED).param("person", person).query(Long.class).single();
    }

    private Refused full(String person, long used, long bytes) {
        boolean own = person().filter(person::equals).isPresent();
        return new Refused(
                HttpStatus.INSUFFICIENT_STORAGE,
                String.format(
                        Locale.ROOT,
                        "%s is full: it holds %.1f of the %.1f MB %s may have, and this needs %.1f MB. %s",
                        own ? "Your shelf" : "The shelf of " + person,
                        used / MB,
                        most / MB,
                        own ? "you" : "one person",
                        bytes / MB,
                        own
                                ? "Remove reels for good that you do not need; what they alone used is free within a day."
                                : "Copy the reel to your shelf, and deliver it there."));
    }

    private Optional<String> person() {
        return people.areNamed() ? Optional.of(Requester.now()).filter(name -> !name.isEmpty()) : Optional.empty();
    }
}
