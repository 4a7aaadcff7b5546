package dobbin.server.entry;

import dobbin.server.people.PasswordRule;
import java.io.IOException;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;
import org.springframework.core.env.PropertyResolver;

/** Where the password comes from, and whether one is needed. */
public final class Password {
    /** An environment variable ({@code DOBBIN_PASSWORD}), and never an argument, which other users of the machine can read. */
    private static final String SETTING = "dobbin.password";

    private static final String FILE_SETTING = "dobbin.password-file";

    private Password() {}

    /** @return a sentence on what is wrong with the password that is told, or nothing */
    public static Optional<String> problemWith(PropertyResolver settings) {
        Optional<String> password;
        try {
            password = told(settings);
        } catch (IOException e) {
            return Optional.of("The password file " + settings.getProperty(FILE_SETTING)
                    + " cannot be read. See that it is there and that Dobbin may read it.");
        }
        return password.flatMap(PasswordRule::problemWith);
    }

    /** @return a sentence on why the server must not start without any password, or nothing where it listens on this machine alone */
    static Optional<String> problemWithoutAny(PropertyResolver settings) {
        return isForThisMachineAlone(settings.getProperty("server.address", ""))
                ? Optional.empty()
                : Optional.of(
                        "Whoever reaches this address could change everything: give Dobbin a password."
                                + " Write it into a file and name that with DOBBIN_PASSWORD_FILE, or set DOBBIN_PASSWORD;"
                                + " or give people names (./dobbin user add NAME); or let Dobbin listen on this machine alone (--address 127.0.0.1).");
    }

    /** @return a sentence where an argument gives the password away, or nothing */
    public static Optional<String> problemWith(String... arguments) {
        return Arrays.stream(arguments).anyMatch(each -> each.matches("--[\\w.-]*password=.*"))
                ? Optional.of("A password as an argument can be read by every user of this machine. Set it as an"
                        + " environment variable: DOBBIN_PASSWORD_FILE, DOBBIN_PASSWORD or"
                        + " DOBBIN_DATABASE_PASSWORD.")
                : Optional.empty();
    }

    /** @return the password, or nothing where everybody may enter */
    static Optional<String> told(PropertyResolver settings) throws IOException {
        String file = settings.getProperty(FILE_SETTING, "");
        if (!file.isEmpty()) {
            return Optional.of(Files.readString(Path.of(file)).strip());
        }
        return Optional.ofNullable(settings.getProperty(SETTING)).filter(password -> !password.isEmpty());
    }

    private static boolean isForThisMachineAlone(String address) {
        try {
            return !address.isEmpty() && InetAddress.getByName(address).isLoopbackAddress();
        } catch (UnknownHostException e) {
            return false;
        }
    }
}
