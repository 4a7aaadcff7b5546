package dobbin.server.data;

import dobbin.server.web.Refused;
import java.nio.file.Path;
import org.springframework.http.HttpStatus;

/** A PostgreSQL server, which looks after its disk, its space and its copies itself. */
final class PostgresStore implements Engine {
    /** What is committed is on the disk by then ({@code synchronous_commit}). */
    @Override
    public void force() {}

    @Override
    public boolean isInTheFolder() {
        return false;
    }

    @Override
    public void copyTo(Path zip) {
        throw new Refused(
                HttpStatus.CONFLICT, "Copies of a PostgreSQL database are made with its own tools, such as pg_dump.");
    }

    @Override
    public boolean compact(int millis) {
        return false;
    }
}
