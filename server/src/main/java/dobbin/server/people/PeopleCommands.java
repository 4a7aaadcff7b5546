package dobbin.server.people;

import java.io.BufferedReader;
import java.io.Console;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;

/** {@code user add|password|remove|list DATA-FOLDER [NAME]}: who has a shelf of their own. */
public final class PeopleCommands {
    private static final String NAME_RULE = "A name has 1 to 40 letters, digits, blanks, dots, hyphens and underscores,"
            + " and begins with a letter or a digit.";
    private static final int WITH_NAME = 4;

    private PeopleCommands() {}

    public static boolean isOne(String... arguments) {
        return arguments.length >= WITH_NAME - 1 && arguments[0].equals("user");
    }

    /** @return a sentence on what was done. @throws IOException whose message is a sentence on what was not */
    public static String run(String... arguments) throws IOException {
        String action = arguments[1];
        Path folder = Path.of(arguments[2]).toAbsolutePath();
        Map<String, String> people = PeopleFile.read(folder);
        if (action.equals("list")) {
            return people.isEmpty()
                    ? "Nobody has a name here: there is one shelf for all."
                    : String.join("\n", people.keySet());
        }
        String name = arguments.length == WITH_NAME ? arguments[WITH_NAME - 1] : "";
        return switch (action) {
            case "add" -> add(folder, people, name);
            case "password" -> change(folder, people, name);
            case "remove" -> remove(folder, people, name);
            default -> throw new IOException("Say add, password, remove or list, and not " + action + ".");
        };
    }

    private static String add(Path folder, Map<String, String> people, String name) throws IOException {
        if (!PeopleFile.isName(name)) {
            throw new IOException(NAME_RULE);
        }
        if (people.containsKey(name)) {
            throw new IOException(name + " is there already. ./dobbin user password changes the password.");
        }
        people.put(name, People.hash(asked(name)));
        Files.createDirectories(folder);
        PeopleFile.write(folder, people);
        return name + " can sign in. A Dobbin that asks for no names yet does so from its next start on.";
    }

    private static String change(Path folder, Map<String, String> people, String name) throws IOException {
        known(people, name);
        people.put(name, People.hash(asked(name)));
        PeopleFile.write(folder, people);
        return name + " has a new password, and has to sign in again.";
    }

    private static String remove(Path folder, Map<String, String> people, String name) throws IOException {
        known(people, name);
        if (people.size() == 1) {
            throw new IOException(name + " is the only one with a name. Without any, whoever reaches Dobbin would have"
                    + " everything on one shelf. If that is wanted, stop Dobbin and delete "
                    + folder.resolve(People.FILE)
                    + ".");
        }
        people.remove(name);
        PeopleFile.write(folder, people);
        return name + " cannot sign in any more. The reels of " + name + " stay, and are there again if " + name
                + " is added again.";
    }

    private static void known(Map<String, String> people, String name) throws IOException {
        if (!people.containsKey(name)) {
            throw new IOException("Nobody is called “" + name + "”. ./dobbin user list tells who there is.");
        }
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
