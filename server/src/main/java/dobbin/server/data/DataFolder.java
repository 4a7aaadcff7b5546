package dobbin.server.data;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Optional;
import java.util.stream.Stream;

/** The folder that holds everything, looked at before anything is opened. */
public final class DataFolder {
    public static final String FILE = "dobbin.mv.db";
    /** What a data file begins with: H2's MVStore writes its header as text. */
    private static final String HEADER = "H:";

    private DataFolder() {}

    /** @return where files lie that are on their way in or out */
    static Path incoming(Path folder) {
        return folder.resolve("incoming");
    }

    /** @return a sentence on why it cannot be used and what to do, or nothing */
    public static Optional<String> problemWith(Path folder) {
        try {
            Files.createDirectories(folder);
        } catch (IOException e) {
            return Optional.of("The data folder " + folder
                    + " cannot be made or written to. Choose another with --data, or change" + " who may write there.");
        }
        if (!Files.isWritable(folder)) {
            return Optional.of("The data folder " + folder
                    + " is read-only. Choose another with --data, or change who may write there.");
        }
        Path file = folder.resolve(FILE);
        try {
            Optional<String> problem = Files.exists(file) ? problemWithFile(file) : Optional.empty();
            if (problem.isEmpty()) {
                emptyIncoming(incoming(folder));
            }
            return problem;
        } catch (IOException e) {
            return Optional.of("The data file " + file + " cannot be read or written: " + e.getMessage() + ".");
        }
    }

    private static Optional<String> problemWithFile(Path file) throws IOException {
        if (Files.size(file) == 0) {
            return Optional.of("The data file " + file
                    + " is empty, which it never is when all is well. Put a backup in its place, or remove it to begin"
                    + " anew.");
        }
        if (!Files.isWritable(file)) {
            return Optional.of("The data file " + file + " is read-only. Change who may write to it.");
        }
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.READ, StandardOpenOption.WRITE)) {
            FileLock lock = channel.tryLock();
            if (lock == null) {
                return Optional.of(inUse(file));
            }
            lock.release();
        } catch (OverlappingFileLockException e) {
            return Optional.of(inUse(file));
        }
        byte[] head = new byte[HEADER.length()];
        try (var in = Files.newInputStream(file)) {
            in.readNBytes(head, 0, head.length);
        }
        return new String(head, StandardCharsets.ISO_8859_1).equals(HEADER)
                ? Optional.empty()
                : Optional.of(damaged(file));
    }

    private static String inUse(Path file) {
        return "The data file " + file
                + " is open in another instance of Dobbin. Stop that one, or choose another folder with --data.";
    }

    private static String damaged(Path file) {
        return "The data file " + file + " is damaged and cannot be opened. Stop Dobbin and put a backup in its place.";
    }

    /** Removes uploads that were cut off by the end of the last instance. */
    private static void emptyIncoming(Path incoming) throws IOException {
        if (Files.isDirectory(incoming)) {
            try (Stream<Path> files = Files.list(incoming)) {
                for (Path file : files.toList()) {
                    Files.deleteIfExists(file);
                }
            }
        }
    }

    /** Lets nobody else on this machine read a file. */
    public static void onlyForTheOwner(Path file) throws IOException {
        if (Files.getFileStore(file).supportsFileAttributeView("posix")) {
            Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-------"));
        }
    }
}
