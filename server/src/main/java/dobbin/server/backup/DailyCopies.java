package dobbin.server.backup;

import dobbin.server.Settings;
import dobbin.server.data.DataStore;
import dobbin.server.schedule.Schedule;
import dobbin.server.web.Refused;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;

/** A copy a day into a folder, where one was named; so many are kept. One that fails is tried again an hour later. */
@Component
class DailyCopies {
    private static final Logger LOG = LoggerFactory.getLogger(DailyCopies.class);
    private static final Pattern NAME = Pattern.compile("dobbin-\\d{4}-\\d{2}-\\d{2}\\.zip");

    private final DataStore data;
    private final String folder;
    private final int kept;

    DailyCopies(DataStore data, Settings settings, Schedule schedule) {
        this.data = data;
        this.folder = settings.copiesFolder();
        this.kept = settings.copiesKept();
        if (!folder.isEmpty()) {
            schedule.every("daily copy", Duration.ofMinutes(1), Duration.ofHours(1), () -> copy(LocalDate.now()));
        }
    }

    /** Makes the copy of that day unless it is there, then removes what is too old. */
    void copy(LocalDate day) {
        try {
            Path copies = Files.createDirectories(Path.of(folder).toAbsolutePath());
            Path file = copies.resolve("dobbin-" + day + ".zip");
            if (!Files.exists(file)) {
                LOG.info(
                        "The copy of the day holds {}",
                        Copying.to(file, data.folder(), data::copyTo).sentence());
            }
            removeOld(copies);
        } catch (Refused e) {
            LOG.error("There is no copy of today. {}", e.getMessage());
        } catch (IOException | DataAccessException e) {
            LOG.error("There is no copy of today yet. See that the folder for copies is there and has room", e);
        }
    }

    /** By their names, which are their days; other files there are none of its business. */
    private void removeOld(Path copies) throws IOException {
        try (Stream<Path> files = Files.list(copies)) {
            List<Path> old = files.filter(
                            file -> NAME.matcher(file.getFileName().toString()).matches())
                    .sorted(Comparator.comparing(Path::getFileName).reversed())
                    .skip(kept)
                    .toList();
            for (Path file : old) {
                Files.delete(file);
            }
        }
    }
}
