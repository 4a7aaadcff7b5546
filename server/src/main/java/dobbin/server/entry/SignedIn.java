package dobbin.server.entry;

import java.util.List;
import org.springframework.security.authentication.AbstractAuthenticationToken;

/** Somebody who knew the password. */
final class SignedIn extends AbstractAuthenticationToken {
    SignedIn() {
        super(List.of());
        setAuthenticated(true);
    }

    @Override
    public Object getPrincipal() {
        return "everyone";
    }

    @Override
    public Object getCredentials() {
        return "";
    }
}
