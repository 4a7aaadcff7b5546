package dobbin.server.people;

import com.nulabinc.zxcvbn.Zxcvbn;
import java.nio.charset.StandardCharsets;
import java.util.Optional;

/** What a password must be; how soon it would be guessed is told as by D. L. Wheeler, "zxcvbn", USENIX Security 2016. */
public final class PasswordRule {
    private static final int SHORTEST = 8;
    /** The encoder hashes no more than these bytes. */
    private static final int LONGEST_BYTES = 72;

    /** Well beyond the lists of passwords that are used the most. */
    private static final double FEWEST_GUESSES = 1e6;

    private PasswordRule() {}

    /** @return a sentence on what is wrong with it, or nothing */
    public static Optional<String> problemWith(String password) {
        if (password.length() < SHORTEST) {
            return Optional.of("The password must have at least " + SHORTEST + " characters.");
        }
        if (password.getBytes(StandardCharsets.UTF_8).length > LONGEST_BYTES) {
            return Optional.of("The password must have at most " + LONGEST_BYTES + " bytes.");
        }
        return new Zxcvbn().measure(password).getGuesses() < FEWEST_GUESSES
                ? Optional.of(
                        "This password is among the first that are guessed. Take some words that do not belong together.")
                : Optional.empty();
    }
}
