package dobbin.server.entry;

import dobbin.server.CannotStart;
import dobbin.server.people.People;
import dobbin.server.people.SignedIn;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Optional;
import org.springframework.core.env.Environment;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/**
 * Opens for people by name and password where there are some; else for the one password, of which a hash alone is kept; and
 * stands open where none was told.
 */
@Component
public class PasswordCheck {
    private final PasswordEncoder encoder = PasswordEncoderFactories.createDelegatingPasswordEncoder();
    private final People people;
    private final String hash;

    /** @throws CannotStart where it would stand open for other machines */
    PasswordCheck(Environment settings, People people, PasswordHashStore store) {
        this.people = people;
        try {
            this.hash = people.areNamed()
                    ? null
                    : Password.told(settings)
                            .map(password -> known(store, password))
                            .orElse(null);
        } catch (IOException e) {
            throw new UncheckedIOException("The password file was there a moment ago", e);
        }
        if (isOpen()) {
            Password.problemWithoutAny(settings).ifPresent(problem -> {
                throw new CannotStart(problem);
            });
        }
    }

    /** The hash stays the same as long as the password does, so that whoever signed in before the start still is. */
    private String known(PasswordHashStore store, String password) {
        return store.hash()
                .filter(before -> encoder.matches(password, before))
                .orElseGet(() -> store.replaceHash(encoder.encode(password)));
    }

    boolean isOpen() {
        return hash == null && !people.areNamed();
    }

    boolean asksForNames() {
        return people.areNamed();
    }

    /** @return who that is, or nothing where name and password do not belong together */
    Optional<SignedIn> opened(String name, String password) {
        if (people.areNamed()) {
            return people.know(name, password)
                    ? people.hashOf(name).map(known -> SignedIn.as(name, known))
                    : Optional.empty();
        }
        return hash != null && encoder.matches(password, hash)
                ? Optional.of(SignedIn.as(null, hash))
                : Optional.empty();
    }

    /** @param who null where nobody has signed in; @return whether that one may enter now */
    public boolean letsIn(SignedIn who) {
        return isOpen() || who != null && stillOpensFor(who);
    }

    /** @return whether it still opens for whoever signed in before: there are that name and that password still */
    private boolean stillOpensFor(SignedIn who) {
        Optional<String> now = people.areNamed() ? who.ownName().flatMap(people::hashOf) : Optional.ofNullable(hash);
        return now.filter(who.hash()::equals).isPresent();
    }
}
