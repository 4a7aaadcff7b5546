package dobbin.server.data;

import dobbin.server.Settings;
import dobbin.server.web.Refused;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import javax.sql.DataSource;
import org.flywaydb.core.api.exception.FlywayValidateException;
import org.h2.api.ErrorCode;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Where the data lie: that there is room, that what was answered is on the disk, and that space is given back. */
@Component
public class DataStore {
    private static final int MB = 1_000_000;

    /** Classes of SQL states, and one state of PostgreSQL. */
    private static final String UNREACHABLE = "08";

    private static final String NOT_LET_IN = "28";
    private static final String NO_SUCH_DATABASE = "3D000";

    private final Path folder;
    private final long reserveBytes;
    private final Engine engine;
    private final AtomicLong changes = new AtomicLong();

    DataStore(DataSource source, Settings settings, @Value("${spring.datasource.url}") String address) {
        this.folder = Path.of(settings.dataFolder());
        this.reserveBytes = settings.diskReserve().toBytes();
        this.engine = engine(address, new JdbcTemplate(source));
    }

    private static Engine engine(String address, JdbcTemplate jdbc) {
        return H2Store.isAt(address) ? new H2Store(jdbc) : new ServerStore(jdbc, H2Store.isServerAt(address));
    }

    /**
     * Asks for room before something is kept.
     *
     * @throws Refused where the data lie in the data folder, and its disk has too little
     */
    public void needRoom(long bytes) {
        if (engine.isInTheFolder()) {
            needDisk(bytes);
        }
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
        engine.force();
        changes.incrementAndGet();
    }

    public Path folder() {
        return folder;
    }

    /**
     * Writes a zip with the data as they are at one moment, while others go on working with them.
     *
     * @throws Refused where the database does that itself
     */
    public void copyTo(Path zip) {
        engine.copyTo(zip);
    }

    /** @return the statement that makes H2 write such a zip */
    public static String copying(Path zip) {
        return H2Store.copying(zip);
    }

    /** @return counts what was written, to tell whether anything was since */
    public long changes() {
        return changes.get();
    }

    /** @return a sentence on why the database could not be opened, as far as that is known; else what was not done, and the message */
    public static String sentence(Throwable failure, String notDone) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            Optional<String> known = whyItCannotBeOpened(cause);
            if (known.isPresent()) {
                return known.get();
            }
        }
        return notDone + ": " + failure.getMessage();
    }

    /** @return a sentence on what a failure to open the database means and what to do, where it is one of these */
    public static Optional<String> whyItCannotBeOpened(Throwable failure) {
        if (failure instanceof FlywayValidateException) {
            return Optional.of(
                    "The data are of another version of Dobbin, which this one does not know. Start the latest Dobbin they were used with.");
        }
        if (!(failure instanceof SQLException database)) {
            return Optional.empty();
        }
        String state = String.valueOf(database.getSQLState());
        if (state.startsWith(UNREACHABLE)) {
            return Optional.of(
                    "The database cannot be reached. See that it runs and that its address is right, then start Dobbin again.");
        }
        if (state.startsWith(NOT_LET_IN) || state.equals(NO_SUCH_DATABASE)) {
            return Optional.of(
                    "The database does not let Dobbin in. Look at its name, and at the user and password in DOBBIN_DATABASE_USER and DOBBIN_DATABASE_PASSWORD.");
        }
        return switch (database.getErrorCode()) {
            case ErrorCode.DATABASE_ALREADY_OPEN_1 ->
                Optional.of(
                        "The data file is open in another instance of Dobbin. Stop that one, or choose another folder with --data.");
            case ErrorCode.FILE_CORRUPTED_1,
                    ErrorCode.IO_EXCEPTION_1,
                    ErrorCode.IO_EXCEPTION_2,
                    ErrorCode.GENERAL_ERROR_1 ->
                Optional.of("The data file is damaged and cannot be opened. Put a backup in its place.");
            default -> Optional.empty();
        };
    }

    /**
     * Gives back space that is not used any more, where the database does not do that itself.
     *
     * @param millis about how long it may take; the rest waits for another time
     * @return whether the data became smaller
     */
    public boolean compact(int millis) {
        return engine.compact(millis);
    }
}
