package dobbin.server.schedule;

import com.github.kagkarlsson.scheduler.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;
import org.springframework.stereotype.Repository;

/**
 * Where the scheduled_tasks table is, and the database's time, which all instances share, so that their own clocks need not agree. Between two questions it goes on evenly, also
 * where this machine's clock is set; while the database cannot be asked, too.
 */
@Repository
class ScheduleStore implements Clock {
    private static final Logger LOG = LoggerFactory.getLogger(ScheduleStore.class);
    private static final Duration ASKED_EVERY = Duration.ofMinutes(1);
    private static final String NOW = "SELECT CURRENT_TIMESTAMP";

    private final DataSource source;
    private final JdbcClient jdbc;
    private volatile Asked last;

    /** @param nanos on this machine's clock that only goes on */
    private record Asked(Instant time, long nanos) {
        Duration since() {
            return Duration.ofNanos(System.nanoTime() - nanos);
        }
    }

    /** @throws DataAccessException where the database cannot be asked now */
    ScheduleStore(DataSource source, JdbcClient jdbc) {
        this.source = new TransactionAwareDataSourceProxy(source);
        this.jdbc = jdbc;
        this.last = ask();
    }

    /** @return connections, in the transaction of the current thread where there is one */
    DataSource source() {
        return source;
    }

    @Override
    public Instant now() {
        if (last.since().compareTo(ASKED_EVERY) > 0) {
            try {
                last = ask();
            } catch (DataAccessException e) {
                LOG.debug("The database's time is asked for again later", e);
            }
        }
        Asked asked = last;
        return asked.time.plus(asked.since());
    }

    private Asked ask() {
        Instant time = jdbc.sql(NOW).query(OffsetDateTime.class).single().toInstant();
        return new Asked(time, System.nanoTime());
    }
}
