package dobbin.server.backup;

import dobbin.server.people.People;
import java.io.IOException;
import java.nio.file.FileSystem;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import org.springframework.util.FileSystemUtils;

/** Makes a copy that counts only once it was unpacked, opened and compared with the hashes in it. */
final class Copying {
    private Copying() {}

    private static void addPeople(Path people, Path zip) throws IOException {
        if (Files.exists(people)) {
            try (FileSystem parts = FileSystems.newFileSystem(zip)) {
                Files.copy(people, parts.getPath(People.FILE));
            }
        }
    }

    /** Writes a copy. */
    interface Writer {
        void write(Path file) throws IOException;
    }

    /**
     * @param folder whose data it is; the file of people there comes along
     * @return what the copy holds
     * @throws IOException where it is not what it should be; then there is no new file
     */
    static BackupStore.Contents to(Path file, Path folder, Writer writer) throws IOException {
        Path part = file.resolveSibling("." + file.getFileName() + ".part");
        Path scratch = Files.createTempDirectory(file.getParent(), ".dobbin-check");
        try {
            Files.deleteIfExists(part);
            writer.write(part);
            addPeople(folder.resolve(People.FILE), part);
            BackupStore.unpack(part, scratch);
            BackupStore.Contents found = BackupStore.check(scratch);
            Files.move(part, file, StandardCopyOption.ATOMIC_MOVE);
            return found;
        } finally {
            Files.deleteIfExists(part);
            FileSystemUtils.deleteRecursively(scratch);
        }
    }
}
