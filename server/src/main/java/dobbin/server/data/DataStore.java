package dobbin.server.data;

import dobbin.server.Settings;
import dobbin.server.web.Refused;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import javax.sql.DataSource;
import org.h2.api.ErrorCode;
import org.h2.engine.SessionLocal;
import org.h2.jdbc.JdbcConnection;
import org.h2.mvstore.MVStore;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.ConnectionCallback;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The data file as a file: that it has room, that what was answered is on the disk, and that it gives space back. */
@Component
public class DataStore {
    private static final int MB = 1_000_000;

    private final Path folder;
    private final QuotaStore quota;
    private final long reserveBytes;
    private final JdbcClient jdbc;
    private final JdbcTemplate template;
    private final AtomicLong changes = new AtomicLong();

    DataStore(DataSource source, JdbcClient jdbc, QuotaStore quota, Settings settings) {
        this.quota = quota;
        this.folder = Path.of(settings.dataFolder());
        this.reserveBytes = settings.diskReserve().toBytes();
        this.jdbc = jdbc;
        this.template = new JdbcTemplate(source);
    }

    /**
     * Asks for room before something is kept.
     *
     * @throws Refused where the disk has too little, or whoever it is for would have more than one person may
     */
    public void needRoom(long bytes) {
        quota.need(bytes);
        needDisk(bytes);
    }

    /**
     * Asks for room before something is written: a database that runs out of it in the middle has to be opened anew.
     *
     * @throws Refused where there is too little
     */
    public void needDisk(long bytes) {
        long wanted = bytes + reserveBytes;
        try {
            long free = Files.getFileStore(folder).getUsableSpace();
            if (free < wanted) {
                throw new Refused(
                        HttpStatus.INSUFFICIENT_STORAGE,
                        "The disk is full: " + free / MB + " MB are free, and this needs " + (wanted / MB + 1)
                                + " MB. What there is can be seen and played; free some room, then do this again.");
            }
        } catch (IOException e) {
            throw new Refused(
                    HttpStatus.INSUFFICIENT_STORAGE,
                    "The data folder cannot be reached. See that its disk is there, then do this again.");
        }
    }

    /** Waits until all that was committed is on the disk itself, so that it outlives a power cut. */
    public void force() {
        jdbc.sql("CHECKPOINT SYNC").update();
        changes.incrementAndGet();
    }

    public Path folder() {
        return folder;
    }

    /** Writes a zip with the data file as it is at one moment, while others go on working with it. */
    public void copyTo(Path zip) {
        jdbc.sql(copying(zip)).update();
    }

    /** @return the statement for that */
    public static String copying(Path zip) {
        return "BACKUP TO '" + zip.toAbsolutePath().toString().replace("'", "''") + "'";
    }

    /** @return counts what was written, to tell whether anything was since */
    public long changes() {
        return changes.get();
    }

    /** @return a sentence on what a failure to open the database means and what to do, where it is one of these */
    public static Optional<String> whyItCannotBeOpened(Throwable failure) {
        if (!(failure instanceof SQLException database)) {
            return Optional.empty();
        }
        return switch (database.getErrorCode()) {
            case ErrorCode.DATABASE_ALREADY_OPEN_1 ->
                Optional.of(
                        "The data file is open in another Dobbin. Stop that one, or choose another folder with --data.");
            case ErrorCode.FILE_CORRUPTED_1,
                    ErrorCode.IO_EXCEPTION_1,
                    ErrorCode.IO_EXCEPTION_2,
                    ErrorCode.GENERAL_ERROR_1 ->
                Optional.of("The data file is damaged and cannot be opened. Put a backup in its place.");
            default -> Optional.empty();
        };
    }

    /**
     * @param millis about how long it may take; the rest waits for another time
     * @return whether the file became smaller
     */
    public boolean compact(int millis) {
        return Boolean.TRUE.equals(
                template.execute((ConnectionCallback<Boolean>) connection -> compact(connection, millis)));
    }

    private static boolean compact(Connection connection, int millis) throws SQLException {
        SessionLocal session =
                (SessionLocal) connection.unwrap(JdbcConnection.class).getSession();
        MVStore store = session.getDatabase().getStore().getMvStore();
        long before = store.getFileStore().size();
        store.compactFile(millis);
        // What was freed leaves the file with the next thing that is written: this writes one that changes nothing.
        store.setStoreVersion(store.getStoreVersion());
        store.commit();
        return store.getFileStore().size() < before;
    }
}
