package dobbin.server.data;

import dobbin.server.web.Refused;
import java.nio.file.Path;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.JdbcTemplate;

/** A database server, which looks after its disk, its space and its copies itself: PostgreSQL, or one of H2. */
final class ServerStore implements Engine {
    private final JdbcTemplate jdbc;
    private final boolean isForced;

    /** @param isForced whether it must be told to; with PostgreSQL what is committed is on the disk ({@code synchronous_commit}) */
    ServerStore(JdbcTemplate jdbc, boolean isForced) {
        this.jdbc = jdbc;
        this.isForced = isForced;
    }

    @Override
    public void force() {
        if (isForced) {
            H2Store.force(jdbc);
        }
    }

    @Override
    public boolean isInTheFolder() {
        return false;
    }

    @Override
    public void copyTo(Path zip) {
        throw new Refused(
                HttpStatus.CONFLICT,
                "Copies of a database on a server are made with that server's own tools, such as pg_dump.");
    }

    @Override
    public boolean compact(int millis) {
        return false;
    }
}
