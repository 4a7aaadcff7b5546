package dobbin.server.data;

import dobbin.server.Settings;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.stereotype.Component;

/**
 * Brings the data of an earlier version up to the tables of this one, and copies a data file before that: an earlier version cannot open
 * it afterwards. Who keeps a database of its own copies that.
 */
@Component
class CopyBeforeUpgrade implements FlywayMigrationStrategy {
    private static final Logger LOG = LoggerFactory.getLogger(CopyBeforeUpgrade.class);

    private final Path folder;
    private final boolean isFile;

    CopyBeforeUpgrade(Settings settings, @Value("${spring.datasource.url}") String address) {
        this.folder = Path.of(settings.dataFolder());
        this.isFile = H2Store.isAt(address);
    }

    @Override
    public void migrate(Flyway flyway) {
        MigrationInfo current = flyway.info().current();
        if (isFile && current != null && flyway.info().pending().length > 0) {
            Path copy = folder.resolve("before-upgrade-" + current.getVersion() + ".zip");
            copyTo(copy, flyway);
            LOG.info(
                    "The data are of an earlier version. A copy of them was made: {}. That version's \"restore\" puts it back",
                    copy.toAbsolutePath());
        }
        flyway.migrate();
    }

    /** One that was cut off has another name, and is made anew. */
    private static void copyTo(Path copy, Flyway flyway) {
        Path part = copy.resolveSibling("." + copy.getFileName() + ".part");
        try {
            Files.deleteIfExists(part);
            H2Store.of(flyway.getConfiguration().getDataSource()).copyTo(part);
            Files.move(part, copy, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } catch (IOException e) {
            throw new UncheckedIOException("The data could not be copied before they are upgraded", e);
        }
    }
}
