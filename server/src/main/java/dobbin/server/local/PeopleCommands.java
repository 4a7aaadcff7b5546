package dobbin.server.local;

import dobbin.server.data.DataFolder;
import dobbin.server.data.DataStore;
import dobbin.server.data.Migrations;
import dobbin.server.local.PeopleChange.Action;
import dobbin.server.people.PasswordRule;
import dobbin.server.people.People;
import dobbin.server.people.PeopleStore;
import dobbin.server.web.Refused;
import java.io.BufferedReader;
import java.io.Console;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.flywaydb.core.api.FlywayException;
import org.springframework.dao.DataAccessException;
import tools.jackson.databind.json.JsonMapper;

/**
 * {@code user add|password|remove|clear|list}: who has a shelf of their own. The instance that has the folder open
 * does it; where none has, it is done here, in the data file or in the database that {@code DOBBIN_DATABASE} names.
 */
public final class PeopleCommands {
    private static final String DATABASE = "DOBBIN_DATABASE";

    private PeopleCommands() {}

    /**
     * @param database in place of what {@code DOBBIN_DATABASE} names
     * @param data the data folder
     * @param word add, password, remove, clear or list
     * @param name of the person; empty where the word needs none
     * @return a sentence on what was done
     * @throws IOException whose message is a sentence on what was not
     */
    public static String run(Optional<String> database, Path data, String word, String name) throws IOException {
        Optional<String> elsewhere = database.or(() -> Optional.ofNullable(System.getenv(DATABASE)));
        Action action = action(word);
        Path folder = data.toAbsolutePath();
        String said = ask(elsewhere, folder, new PeopleChange(action, name, hash(elsewhere, folder, action, name)));
        return action == Action.LIST && said.isEmpty() ? "Nobody has a name here: there is one shelf for all." : said;
    }

    private static Action action(String told) throws IOException {
        return Arrays.stream(Action.values())
                .filter(each -> each.name().toLowerCase(Locale.ROOT).equals(told))
                .findFirst()
                .orElseThrow(() -> new IOException("Say add, password, remove, clear or list, and not " + told + "."));
    }

    /** Nobody types a password for a name that cannot have one. */
    private static String hash(Optional<String> elsewhere, Path folder, Action action, String name) throws IOException {
        if (action != Action.ADD && action != Action.PASSWORD) {
            return "";
        }
        List<String> names = ask(elsewhere, folder, new PeopleChange(Action.LIST, "", ""))
                .lines()
                .toList();
        if (names.contains(name) == (action == Action.PASSWORD) && People.isName(name)) {
            return People.hash(asked(name));
        }
        // It is refused for its name.
        return "";
    }

    private static String ask(Optional<String> elsewhere, Path folder, PeopleChange change) throws IOException {
        Optional<Running> running = Running.read(folder);
        if (running.isPresent()) {
            Optional<InputStream> answer =
                    running.get().ask(PeopleController.PATH, JsonMapper.shared().writeValueAsString(change));
            if (answer.isPresent()) {
                try (InputStream in = answer.get()) {
                    return new String(in.readAllBytes(), StandardCharsets.UTF_8);
                }
            }
        }
        return applyHere(elsewhere, folder, change);
    }

    private static String applyHere(Optional<String> elsewhere, Path folder, PeopleChange change) throws IOException {
        Optional<String> problem = DataFolder.problemWith(folder);
        if (problem.isPresent()) {
            throw new IOException(problem.get());
        }
        String address = elsewhere.orElseGet(() -> Migrations.addressOf(folder));
        String user = setting(DATABASE + "_USER", Migrations.USER);
        String password = setting(DATABASE + "_PASSWORD", "");
        try {
            Migrations.bringUp(address, user, password);
            try (PeopleStore store = PeopleStore.opened(address, user, password)) {
                return change.apply(new People(store, folder));
            }
        } catch (Refused e) {
            throw new IOException(e.getMessage(), e);
        } catch (FlywayException | DataAccessException e) {
            throw new IOException(DataStore.sentence(e, "Nothing was changed"), e);
        }
    }

    private static String setting(String name, String usual) {
        return Optional.ofNullable(System.getenv(name)).orElse(usual);
    }

    /** From the terminal without showing it, or the first line of what comes in. */
    private static String asked(String name) throws IOException {
        Console console = System.console();
        String password;
        if (console == null) {
            password = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8)).readLine();
        } else {
            password = new String(console.readPassword("Password for %s: ", name));
            if (!password.equals(new String(console.readPassword("Once more: ")))) {
                throw new IOException("These two are not the same. Nothing was changed.");
            }
        }
        if (password == null) {
            throw new IOException("No password came in. Nothing was changed.");
        }
        Optional<String> problem = PasswordRule.problemWith(password);
        if (problem.isPresent()) {
            throw new IOException(problem.get());
        }
        return password;
    }
}
