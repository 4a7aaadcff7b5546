package dobbin.server.data;

import dobbin.server.Settings;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Large files on their way in or out lie on the disk, and not in memory. What is left over is removed at the next start. */
@Component
public class Spool {
    private static final int PIECE_BYTES = 64 * 1024;

    private final Path folder;

    Spool(Settings settings) throws IOException {
        this.folder = Files.createDirectories(DataFolder.incoming(Path.of(settings.dataFolder())));
    }

    /** @return a new, empty file; whoever has it removes it */
    public Path begin() throws IOException {
        return Files.createTempFile(folder, "part", null);
    }

    /**
     * Writes what comes into a file.
     *
     * @param most bytes it may have
     * @return the file, or nothing where more come
     */
    public Optional<Path> take(InputStream in, long most) throws IOException {
        Path file = begin();
        try (OutputStream out = Files.newOutputStream(file)) {
            byte[] buffer = new byte[PIECE_BYTES];
            long size = 0;
            for (int read = in.read(buffer); read >= 0; read = in.read(buffer)) {
                size += read;
                if (size > most) {
                    Files.delete(file);
                    return Optional.empty();
                }
                out.write(buffer, 0, read);
            }
            return Optional.of(file);
        } catch (IOException | RuntimeException e) {
            // The one who sends may have left, or come too slowly.
            Files.deleteIfExists(file);
            throw e;
        }
    }

    /**
     * Reads a file in pieces. A channel that is asked for all of it takes as much memory beside the heap, and keeps that for the thread.
     */
    public static byte[] bytes(Path file) throws IOException {
        byte[] bytes = new byte[Math.toIntExact(Files.size(file))];
        try (InputStream in = Files.newInputStream(file)) {
            int at = 0;
            int read = 0;
            while (read >= 0 && at < bytes.length) {
                read = in.read(bytes, at, Math.min(PIECE_BYTES, bytes.length - at));
                at += Math.max(0, read);
            }
            if (at < bytes.length) {
                throw new EOFException(file + " became shorter while it was read");
            }
        }
        return bytes;
    }

    public static void remove(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            file.toFile().deleteOnExit();
        }
    }
}
