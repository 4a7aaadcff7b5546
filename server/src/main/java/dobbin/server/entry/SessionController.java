package dobbin.server.entry;

import dobbin.server.web.Refused;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Duration;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out. */
@RestController
class SessionController {
    private final Door door;
    private final Attempts attempts;
    private final HttpSessionSecurityContextRepository contexts = new HttpSessionSecurityContextRepository();

    SessionController(Door door, Attempts attempts) {
        this.door = door;
        this.attempts = attempts;
    }

    /**
     * @param needed whether a password is asked for
     * @param signedIn whether this browser may do everything
     */
    record SessionView(boolean needed, boolean signedIn) {}

    record SignIn(String password) {}

    @GetMapping("/api/session")
    SessionView session() {
        return new SessionView(!door.isOpen(), door.isOpen() || isSignedIn());
    }

    /** The session gets a new id, so that nobody who knew the one before is signed in with it. */
    @PostMapping("/api/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signIn(@RequestBody SignIn wanted, HttpServletRequest request, HttpServletResponse response) {
        if (door.isOpen()) {
            return;
        }
        String address = request.getRemoteAddr();
        Duration wait = attempts.waitOf(address);
        if (!wait.isZero()) {
            throw new Refused(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "That was wrong too often. Wait " + (wait.toSeconds() + 1) + " s, then try again.");
        }
        if (!door.opensFor(wanted.password())) {
            attempts.failed(address);
            throw new Refused(HttpStatus.FORBIDDEN, "That is not the password.");
        }
        attempts.succeeded(address);
        HttpSession before = request.getSession(false);
        if (before != null) {
            before.invalidate();
        }
        request.getSession(true).setAttribute(Doorkeeper.BEGUN, System.currentTimeMillis());
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(new SignedIn());
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
    }

    @DeleteMapping("/api/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
    }

    private static boolean isSignedIn() {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        return who instanceof SignedIn;
    }
}
