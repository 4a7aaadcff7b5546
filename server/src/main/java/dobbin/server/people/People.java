package dobbin.server.people;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.env.Environment;
import org.springframework.core.env.PropertyResolver;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/**
 * Who has a shelf of their own here. Whether anybody has is settled at the start, so that no change of the file opens the door;
 * who it is and with which password is read anew when the file changes.
 */
@Component
public class People {
    /** Who there is. */
    public static final String FILE = "people";

    private static final String FOLDER_SETTING = "dobbin.people-folder";

    private static final Logger LOG = LoggerFactory.getLogger(People.class);
    private static final PasswordEncoder ENCODER = PasswordEncoderFactories.createDelegatingPasswordEncoder();

    private final Path folder;
    private final boolean named;
    private volatile Known known;

    private record Known(FileTime written, Map<String, String> hashes) {}

    /** Made when it is first needed: it takes a quarter of a second, and most Dobbins ask for no names. */
    private static final class Nobody {
        /** Checked where there is no such name, so that it takes as long as where there is. */
        private static final String HASH = ENCODER.encode("nobody's password");
    }

    @Autowired
    People(Environment settings) {
        this(folder(settings));
    }

    /** @return where the file of people lies: in the data folder, unless several Dobbins share another */
    public static Path folder(PropertyResolver settings) {
        return Path.of(settings.getProperty(FOLDER_SETTING, ""));
    }

    public People(Path folder) {
        this.folder = folder;
        this.known = read(new Known(FileTime.fromMillis(0), Map.of()));
        this.named = !known.hashes.isEmpty();
    }

    /** @return a sentence on why the server must not start with that folder, or nothing */
    public static Optional<String> problemWith(Path folder) {
        try {
            PeopleFile.read(folder);
            return Optional.empty();
        } catch (IOException e) {
            return Optional.of(e.getMessage());
        }
    }

    /** @return whether anybody is in the file of that folder */
    public static boolean areIn(Path folder) {
        try {
            return !PeopleFile.read(folder).isEmpty();
        } catch (IOException e) {
            return false;
        }
    }

    /** Lets nobody else on this machine read a file. */
    public static void onlyForTheOwner(Path file) throws IOException {
        if (Files.getFileStore(file).supportsFileAttributeView("posix")) {
            Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-------"));
        }
    }

    /** @return whether everybody has a shelf of their own; else there is one for all */
    public boolean areNamed() {
        return named;
    }

    public List<String> names() {
        return List.copyOf(hashes().keySet());
    }

    /** @return the hash of that person's password, which changes with the password; nothing where nobody has that name */
    public Optional<String> hashOf(String name) {
        return Optional.ofNullable(hashes().get(name));
    }

    /** Takes as long whether or not there is that name. */
    public boolean know(String name, String password) {
        Optional<String> hash = hashOf(name);
        return ENCODER.matches(password, hash.orElseGet(() -> Nobody.HASH)) && hash.isPresent();
    }

    /**
     * Gives somebody another password.
     *
     * @return the hash of it
     */
    public synchronized String change(String name, String password) throws IOException {
        Map<String, String> all = PeopleFile.read(folder);
        String hash = hash(password);
        all.put(name, hash);
        PeopleFile.write(folder, all);
        return hash;
    }

    static String hash(String password) {
        return ENCODER.encode(password);
    }

    private Map<String, String> hashes() {
        Known now = known;
        Known read = read(now);
        if (read != now) {
            known = read;
        }
        return read.hashes;
    }

    /** Where it cannot be read, what was known stays: nobody is let in by damage. */
    private Known read(Known before) {
        Path file = folder.resolve(FILE);
        try {
            if (!Files.exists(file)) {
                return before.hashes.isEmpty() ? before : new Known(FileTime.fromMillis(0), Map.of());
            }
            FileTime written = Files.getLastModifiedTime(file);
            return written.equals(before.written) ? before : new Known(written, PeopleFile.read(folder));
        } catch (IOException e) {
            LOG.warn("The file of people stays as it was known: {}", e.getMessage());
            return before;
        }
    }
}
