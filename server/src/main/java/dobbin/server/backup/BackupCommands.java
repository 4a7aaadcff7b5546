package dobbin.server.backup;

import dobbin.server.data.DataFolder;
import dobbin.server.local.Running;
import dobbin.server.people.People;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import java.util.zip.ZipException;
import org.springframework.util.FileSystemUtils;

/** {@code backup} and {@code restore}: copies of all there is. */
public final class BackupCommands {
    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss", Locale.ROOT);

    private BackupCommands() {}

    /**
     * @param to the copy, which is not there yet
     * @param from the data folder, whether an instance runs on it or not
     * @return a sentence on what was done
     * @throws IOException whose message is a sentence on what was not
     */
    public static String backup(Path to, Path from) throws IOException {
        Path file = to.toAbsolutePath();
        Path folder = from.toAbsolutePath();
        if (!Files.exists(folder.resolve(DataFolder.FILE))
                && Running.read(folder).isEmpty()) {
            throw new IOException("There is no data file in " + folder + ".");
        }
        if (Files.exists(file)) {
            throw new IOException(file + " is there already. Choose another name.");
        }
        return file + " holds "
                + Copying.to(file, folder, part -> copy(folder, part)).sentence() + ".";
    }

    /** A running instance makes the copy itself; if none runs, this process does. */
    private static void copy(Path folder, Path part) throws IOException {
        Optional<Running> running = Running.read(folder);
        Optional<InputStream> copy =
                running.isPresent() ? running.get().ask(BackupController.PATH, "") : Optional.empty();
        if (copy.isEmpty()) {
            BackupStore.write(folder, part);
            return;
        }
        try (InputStream in = copy.get()) {
            Files.copy(in, part, StandardCopyOption.REPLACE_EXISTING);
        }
    }

    /**
     * @param from the copy
     * @param into the data folder, on which no instance runs; what it has is kept under another name
     * @return a sentence on what was done
     * @throws IOException whose message is a sentence on what was not; nothing has changed then
     */
    public static String restore(Path from, Path into) throws IOException {
        Path file = from.toAbsolutePath();
        Path folder = into.toAbsolutePath();
        if (!Files.isRegularFile(file)) {
            throw new IOException("There is no file " + file + ".");
        }
        Optional<String> problem = DataFolder.problemWith(folder);
        if (problem.isPresent()) {
            throw new IOException(problem.get());
        }
        Path scratch = Files.createTempDirectory(folder, "restoring");
        try {
            BackupStore.unpack(file, scratch);
            BackupStore.Contents found = BackupStore.check(scratch);
            String before = "before-" + MOMENT.format(LocalDateTime.now());
            boolean kept = Files.exists(folder.resolve(DataFolder.FILE));
            put(scratch.resolve(DataFolder.FILE), folder, before + ".mv.db");
            put(scratch.resolve(People.FILE), folder, before + "." + People.FILE);
            return folder + " holds " + found.sentence() + "."
                    + (kept ? " What was there is in " + before + ".mv.db." : "");
        } catch (ZipException | EOFException e) {
            // The latter where it was cut off.
            throw new IOException(file + " is no backup, or is damaged. Nothing was changed.", e);
        } finally {
            FileSystemUtils.deleteRecursively(scratch);
        }
    }

    /** Puts a file of the copy in its place, if there is one, and keeps what was there under another name. */
    private static void put(Path file, Path folder, String before) throws IOException {
        Path place = folder.resolve(file.getFileName());
        if (Files.exists(file)) {
            if (Files.exists(place)) {
                Files.move(place, folder.resolve(before));
            }
            Files.move(file, place);
        }
    }
}
