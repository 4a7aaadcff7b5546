package dobbin.server.access;

import dobbin.server.entry.PasswordCheck;
import dobbin.server.people.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.util.function.BooleanSupplier;
import org.springframework.session.SessionRepository;
import org.springframework.stereotype.Component;

/**
 * Whether somebody who began to listen to a reel still may: they may sign out, be given less, or have another password, long
 * after.
 */
@Component
public class Presence {
    private final PasswordCheck passwords;
    private final Rights rights;
    private final SessionRepository<?> sessions;

    Presence(PasswordCheck passwords, Rights rights, SessionRepository<?> sessions) {
        this.passwords = passwords;
        this.rights = rights;
        this.sessions = sessions;
    }

    /** Call it in the thread of the request. */
    public BooleanSupplier of(HttpServletRequest request, String reel) {
        HttpSession session = request.getSession(false);
        String id = session == null ? null : session.getId();
        SignedIn who = SignedIn.who().orElse(null);
        String person = who == null ? null : who.ownName().orElse(null);
        return () -> (id == null || sessions.findById(id) != null)
                && passwords.letsIn(who)
                && rights.of(person, reel) != Right.NOTHING;
    }
}
