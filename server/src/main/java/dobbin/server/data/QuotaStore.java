package dobbin.server.data;

import dobbin.server.Settings;
import dobbin.server.people.People;
import dobbin.server.web.Refused;
import dobbin.server.work.Whose;
import java.util.Locale;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/**
 * How much each person has here, where people have names: the pictures and typefaces they brought and the deliveries of their reels. A picture that
 * several brought counts for each of them.
 */
@Repository
public class QuotaStore {
    private static final Logger LOG = LoggerFactory.getLogger(QuotaStore.class);
    private static final double MB = 1e6;

    private static final String USED = """
            SELECT (SELECT COALESCE(SUM(bytes), 0) FROM brought WHERE person = :person)
                + (SELECT COALESCE(SUM(bytes), 0) FROM brought_typeface WHERE person = :person)
                + (SELECT COALESCE(SUM(d.byte_count), 0) FROM delivery d JOIN reel r ON r.id = d.reel WHERE r.owner = :person)""";
    private static final String INSERT = """
            INSERT INTO brought (person, picture, bytes)
            SELECT CAST(:person AS VARCHAR(40)), CAST(:file AS CHAR(64)), CAST(:bytes AS BIGINT)
            WHERE NOT EXISTS (SELECT 1 FROM brought WHERE person = :person AND picture = :file)""";

    private static final String INSERT_TYPEFACE = """
            INSERT INTO brought_typeface (person, typeface, bytes)
            SELECT CAST(:person AS VARCHAR(40)), CAST(:file AS CHAR(64)), CAST(:bytes AS BIGINT)
            WHERE NOT EXISTS (SELECT 1 FROM brought_typeface WHERE person = :person AND typeface = :file)""";

    private final JdbcClient jdbc;
    private final People people;
    private final long most;

    QuotaStore(JdbcClient jdbc, People people, Settings settings) {
        this.jdbc = jdbc;
        this.people = people;
        this.most = settings.quota().toBytes();
    }

    /** Notes who brought a picture that is kept. */
    public void brought(String picture, long bytes) {
        note(INSERT, picture, bytes);
    }

    /** Notes who brought a typeface file that is kept. */
    public void broughtTypeface(String typeface, long bytes) {
        note(INSERT_TYPEFACE, typeface, bytes);
    }

    private void note(String insert, String file, long bytes) {
        person().ifPresent(person -> {
            try {
                jdbc.sql(insert)
                        .param("person", person)
                        .param("file", file)
                        .param("bytes", bytes)
                        .update();
            } catch (DuplicateKeyException e) {
                LOG.debug("The file {} was noted twice at once", file);
            }
        });
    }

    /** @throws Refused where whoever is worked for would have more than one person may */
    void need(long bytes) {
        if (most == 0 || bytes == 0) {
            return;
        }
        person().ifPresent(person -> {
            long used = jdbc.sql(USED).param("person", person).query(Long.class).single();
            if (used + bytes > most) {
                throw new Refused(
                        HttpStatus.INSUFFICIENT_STORAGE,
                        String.format(
                                        Locale.ROOT,
                                        "Your shelf is full: it holds %.1f of the %.1f MB you may have, and this needs %.1f MB.",
                                        used / MB,
                                        most / MB,
                                        bytes / MB)
                                + " Remove reels for good that you do not need; what they alone used is free within a day.");
            }
        });
    }

    private Optional<String> person() {
        return people.areNamed() ? Optional.of(Whose.now()).filter(name -> !name.isEmpty()) : Optional.empty();
    }
}
