package dobbin.server.data;

import dobbin.server.CannotStart;
import dobbin.server.Settings;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/**
 * Brings the data of an earlier version up to the tables of this one, and copies a data file before that: an earlier version cannot open
 * it afterwards. A database of one's own is for its owner to copy.
 */
@Component
class CopyBeforeUpgrade implements FlywayMigrationStrategy {
    private static final Logger LOG = LoggerFactory.getLogger(CopyBeforeUpgrade.class);

    private static final int MB = 1_000_000;

    private final Path folder;
    private final boolean isFile;
    private final long reserveBytes;

    CopyBeforeUpgrade(Settings settings, @Value("${spring.datasource.url}") String address) {
        this.folder = Path.of(settings.dataFolder());
        this.isFile = H2Store.isAt(address);
        this.reserveBytes = settings.diskReserve().toBytes();
    }

    /** @throws CannotStart where the copy cannot be made; then the data are as they were */
    @Override
    public void migrate(Flyway flyway) {
        MigrationInfo current = flyway.info().current();
        if (isFile && current != null && flyway.info().pending().length > 0) {
            Path copy = folder.resolve("before-upgrade-" + current.getVersion() + ".zip");
            try {
                needRoom();
                copyTo(copy, flyway);
            } catch (IOException | DataAccessException e) {
                throw new CannotStart(
                        "The data are of an earlier version, and could not be copied before they are upgraded: "
                                + e.getMessage() + ". They are as they were. See that " + folder.toAbsolutePath()
                                + " can be written to, then start Dobbin again.");
            }
            LOG.info(
                    "The data are of an earlier version. A copy of them was made: {}. That version's \"restore\" puts it back",
                    copy.toAbsolutePath());
        }
        flyway.migrate();
    }

    /** The copy is packed, and takes at most what the file takes. */
    private void needRoom() throws IOException {
        long wanted = Files.size(folder.resolve(DataFolder.FILE)) + reserveBytes;
        long free = Files.getFileStore(folder).getUsableSpace();
        if (free < wanted) {
            throw new CannotStart(
                    "The data are of an earlier version, and are copied before they are upgraded. That may take "
                            + (wanted / MB + 1) + " MB, and " + free / MB + " MB are free. Free some room in "
                            + folder.toAbsolutePath() + ", then start Dobbin again.");
        }
    }

    /** What is cut off has another name, and is made anew at the next start. */
    private static void copyTo(Path copy, Flyway flyway) throws IOException {
        Path part = copy.resolveSibling("." + copy.getFileName() + ".part");
        try {
            Files.deleteIfExists(part);
            H2Store.of(flyway.getConfiguration().getDataSource()).copyTo(part);
            Files.move(part, copy, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(part);
        }
    }
}
