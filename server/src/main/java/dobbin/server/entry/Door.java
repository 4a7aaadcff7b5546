package dobbin.server.entry;

import java.io.IOException;
import java.io.UncheckedIOException;
import org.springframework.core.env.Environment;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** Is open where no password was told; else opens for the password, of which a hash alone is kept. */
@Component
class Door {
    private final PasswordEncoder encoder = PasswordEncoderFactories.createDelegatingPasswordEncoder();
    private final String hash;

    Door(Environment settings) {
        try {
            this.hash = Password.told(settings).map(encoder::encode).orElse(null);
        } catch (IOException e) {
            throw new UncheckedIOException("The password file was there a moment ago", e);
        }
    }

    boolean isOpen() {
        return hash == null;
    }

    boolean opensFor(String password) {
        return hash != null && encoder.matches(password, hash);
    }
}
