package dobbin.server.people;

import dobbin.server.web.Refused;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.env.Environment;
import org.springframework.core.env.PropertyResolver;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/**
 * Who has a shelf of their own here: in the database, so that all instances on it know the same people at once. Whether anybody has is
 * settled at the start, so that no change opens the door.
 */
@Component
public class People {
    /** The file in which earlier versions kept the people. */
    public static final String FILE = "people";

    private static final Logger LOG = LoggerFactory.getLogger(People.class);
    private static final String FOLDER_SETTING = "dobbin.people-folder";
    private static final String TAKEN_OVER = FILE + ".taken-over";
    private static final PasswordEncoder ENCODER = PasswordEncoderFactories.createDelegatingPasswordEncoder();
    private static final Pattern A_NAME = Pattern.compile("[\\p{L}\\p{N}][\\p{L}\\p{M}\\p{N} ._-]{0,39}(?<! )");
    private static final String NAME_RULE = "A name has 1 to 40 letters, digits, blanks, dots, hyphens and underscores,"
            + " and begins with a letter or a digit.";

    private final PeopleStore store;
    private final boolean named;

    /** Made when it is first needed: it takes a quarter of a second, and most installations ask for no names. */
    private static final class Nobody {
        /** Checked where there is no such name, so that it takes as long as where there is. */
        private static final String HASH = ENCODER.encode("nobody's password");
    }

    @Autowired
    People(PeopleStore store, Environment settings) {
        this(store, folder(settings));
    }

    /** @param folder where earlier versions kept them; they are taken over */
    public People(PeopleStore store, Path folder) {
        this.store = store;
        takeOver(folder);
        this.named = !store.names().isEmpty();
    }

    private static Path folder(PropertyResolver settings) {
        return Path.of(settings.getProperty(FOLDER_SETTING, ""));
    }

    /** @return a sentence on why the server must not start with the file of an earlier version, or nothing */
    public static Optional<String> problemWith(PropertyResolver settings) {
        try {
            PeopleFile.read(folder(settings));
            return Optional.empty();
        } catch (IOException e) {
            return Optional.of(e.getMessage());
        }
    }

    /** Once, and whole: from then on the file has another name. */
    private void takeOver(Path folder) {
        Path file = folder.resolve(FILE);
        if (!Files.exists(file)) {
            return;
        }
        try {
            Map<String, String> before = PeopleFile.read(folder);
            store.insertFirst(before);
            Files.move(file, folder.resolve(TAKEN_OVER), StandardCopyOption.REPLACE_EXISTING);
        } catch (DuplicateKeyException | NoSuchFileException e) {
            LOG.debug("Another instance takes the people over", e);
        } catch (IOException e) {
            throw new UncheckedIOException("The people could not be taken over from " + file, e);
        }
    }

    public static String hash(String password) {
        return ENCODER.encode(password);
    }

    /** @return whether everybody has a shelf of their own; else there is one for all */
    public boolean areNamed() {
        return named;
    }

    /** @return in order */
    public List<String> names() {
        return store.names();
    }

    /** @return the hash of that person's password, which changes with the password; nothing where nobody has that name */
    public Optional<String> hashOf(String name) {
        return store.hashOf(name);
    }

    /** Takes as long whether or not there is that name. */
    public boolean know(String name, String password) {
        Optional<String> hash = hashOf(name);
        return ENCODER.matches(password, hash.orElseGet(() -> Nobody.HASH)) && hash.isPresent();
    }

    /** @throws Refused where nobody has that name, or {@code hash} is empty */
    public void change(String name, String hash) {
        if (hashOf(name).isEmpty()) {
            throw nobody(name);
        }
        checkHash(hash);
        if (!store.update(name, hash)) {
            throw nobody(name);
        }
    }

    /** @throws Refused where that is no name, somebody has it, or {@code hash} is empty */
    public void add(String name, String hash) {
        if (!isName(name)) {
            throw new Refused(HttpStatus.UNPROCESSABLE_CONTENT, NAME_RULE);
        }
        if (hashOf(name).isPresent()) {
            throw taken(name);
        }
        checkHash(hash);
        try {
            store.insert(name, hash);
        } catch (DuplicateKeyException e) {
            throw taken(name);
        }
    }

    private static void checkHash(String hash) {
        if (hash.isEmpty()) {
            throw new Refused(HttpStatus.UNPROCESSABLE_CONTENT, "A password is needed. Say it again.");
        }
    }

    private static Refused taken(String name) {
        return new Refused(
                HttpStatus.CONFLICT, name + " is there already. ./dobbin user password changes the password.");
    }

    /** @throws Refused where nobody has that name, or nobody else has one */
    public void remove(String name) {
        switch (store.delete(name)) {
            case NOBODY -> throw nobody(name);
            case LAST ->
                throw new Refused(
                        HttpStatus.CONFLICT,
                        name
                                + " is the only one with a name. Without any, whoever reaches Dobbin would have everything on"
                                + " one shelf. If that is wanted, say ./dobbin user clear.");
            default -> LOG.info("Somebody was removed");
        }
    }

    /** From the next start on there is one shelf for all. */
    public void clear() {
        store.deleteAll();
    }

    public static boolean isName(String text) {
        return A_NAME.matcher(text).matches();
    }

    private static Refused nobody(String name) {
        return new Refused(
                HttpStatus.NOT_FOUND, "Nobody is called “" + name + "”. ./dobbin user list tells who there is.");
    }
}
