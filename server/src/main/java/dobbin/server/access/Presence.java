package dobbin.server.access;

import dobbin.server.people.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.util.function.BooleanSupplier;
import org.springframework.session.SessionRepository;
import org.springframework.stereotype.Component;

/** Whether somebody who began to listen to a reel still may: they may sign out, or be given less, long after. */
@Component
public class Presence {
    private final Rights rights;
    private final SessionRepository<?> sessions;

    Presence(Rights rights, SessionRepository<?> sessions) {
        this.rights = rights;
        this.sessions = sessions;
    }

    /** Call it in the thread of the request. */
    public BooleanSupplier of(HttpServletRequest request, String reel) {
        HttpSession session = request.getSession(false);
        String id = session == null ? null : session.getId();
        String person = SignedIn.name().orElse(null);
        return () -> (id == null || sessions.findById(id) != null) && rights.of(person, reel) != Right.NOTHING;
    }
}
