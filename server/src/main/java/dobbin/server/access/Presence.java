package dobbin.server.access;

import dobbin.server.people.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.util.function.BooleanSupplier;
import org.springframework.stereotype.Component;

/** Whether somebody who began to listen to a reel still may: they may sign out, or be given less, long after. */
@Component
public class Presence {
    private final Rights rights;

    Presence(Rights rights) {
        this.rights = rights;
    }

    /** Call it in the thread of the request. */
    public BooleanSupplier of(HttpServletRequest request, String reel) {
        HttpSession session = request.getSession(false);
        String person = SignedIn.name().orElse(null);
        return () -> isOpen(session) && rights.of(person, reel) != Right.NOTHING;
    }

    private static boolean isOpen(HttpSession session) {
        try {
            return session == null || session.getCreationTime() > 0;
        } catch (IllegalStateException e) {
            return false;
        }
    }
}
