package dobbin.server.people;

import java.nio.charset.StandardCharsets;
import java.util.Optional;

/** What a password must be. */
public final class PasswordRule {
    private static final int SHORTEST = 8;
    /** The encoder hashes no more than these bytes. */
    private static final int LONGEST_BYTES = 72;

    private PasswordRule() {}

    /** @return a sentence on what is wrong with it, or nothing */
    public static Optional<String> problemWith(String password) {
        if (password.length() < SHORTEST) {
            return Optional.of("The password must have at least " + SHORTEST + " characters.");
        }
        return password.getBytes(StandardCharsets.UTF_8).length > LONGEST_BYTES
                ? Optional.of("The password must have at most " + LONGEST_BYTES + " bytes.")
                : Optional.empty();
    }
}
