package dobbin.server.people;

import java.util.List;
import java.util.Optional;
import org.springframework.security.authentication.AbstractAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;

/** Somebody who has signed in, where one has to. */
public final class SignedIn extends AbstractAuthenticationToken {
    private static final String EVERYONE = "everyone";

    private final String name;
    private final String hash;

    private SignedIn(String name, String hash) {
        super(List.of());
        this.name = name;
        this.hash = hash;
        setAuthenticated(true);
    }

    /**
     * @param name null for somebody who knew the one password
     * @param hash of the password that was right
     */
    public static SignedIn as(String name, String hash) {
        return new SignedIn(name, hash);
    }

    /** @return under which name this one signed in, or nothing where it was with the one password */
    public Optional<String> ownName() {
        return Optional.ofNullable(name);
    }

    /** @return the hash of the password that was right */
    public String hash() {
        return hash;
    }

    /** @return who asks, in the thread of a request; nothing where nobody has signed in */
    public static Optional<SignedIn> who() {
        return SecurityContextHolder.getContext().getAuthentication() instanceof SignedIn who
                ? Optional.of(who)
                : Optional.empty();
    }

    /** @return the name of who asks; nothing where people have no names here */
    public static Optional<String> name() {
        return who().flatMap(SignedIn::ownName);
    }

    @Override
    public Object getPrincipal() {
        return name == null ? EVERYONE : name;
    }

    @Override
    public Object getCredentials() {
        return "";
    }

    @Override
    public boolean equals(Object other) {
        return this == other;
    }

    @Override
    public int hashCode() {
        return System.identityHashCode(this);
    }
}
