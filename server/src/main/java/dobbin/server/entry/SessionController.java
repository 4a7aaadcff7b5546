package dobbin.server.entry;

import dobbin.server.people.PasswordRule;
import dobbin.server.people.People;
import dobbin.server.people.SignedIn;
import dobbin.server.web.ClientAddress;
import dobbin.server.web.Refused;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Duration;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out. */
@RestController
class SessionController {
    private final PasswordCheck passwords;
    private final SignInThrottle throttle;
    private final People people;
    private final SessionSecurityContexts contexts = new SessionSecurityContexts();

    SessionController(PasswordCheck passwords, SignInThrottle throttle, People people) {
        this.people = people;
        this.passwords = passwords;
        this.throttle = throttle;
    }

    /**
     * @param needed whether one has to sign in
     * @param named whether with a name
     * @param signedIn whether this browser has
     * @param name under which, or null
     */
    record SessionView(
            boolean needed,
            boolean named,
            boolean signedIn,
            @Schema(types = {"string", "null"}) String name) {}

    /** @param name of whoever signs in; empty where Dobbin asks for none */
    record SignIn(String name, String password) {}

    @GetMapping("/api/session")
    SessionView session() {
        return new SessionView(
                !passwords.isOpen(),
                passwords.asksForNames(),
                passwords.isOpen() || isSignedIn(),
                SignedIn.name().orElse(null));
    }

    @PostMapping("/api/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signIn(@RequestBody SignIn wanted, HttpServletRequest request, HttpServletResponse response) {
        if (!passwords.isOpen()) {
            String wrong =
                    passwords.asksForNames() ? "Nobody has that name with that password." : "That is not the password.";
            begin(opened(wanted, ClientAddress.of(request), wrong), request, response);
        }
    }

    /** @param before the password that was used up to now */
    record NewPassword(String before, String password) {}

    /** Changes the password of the signed-in person. All their other sessions end. */
    @PostMapping("/api/session/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@RequestBody NewPassword wanted, HttpServletRequest request, HttpServletResponse response) {
        String name = SignedIn.name()
                .orElseThrow(() -> new Refused(
                        HttpStatus.CONFLICT, "There is one password for all here. Whoever runs Dobbin changes it."));
        opened(new SignIn(name, wanted.before()), ClientAddress.of(request), "That is not your password now.");
        PasswordRule.problemWith(wanted.password()).ifPresent(problem -> {
            throw new Refused(HttpStatus.UNPROCESSABLE_CONTENT, problem);
        });
        String hash = People.hash(wanted.password());
        people.change(name, hash);
        begin(SignedIn.as(name, hash), request, response);
    }

    /** The session gets a new id, so that nobody who knew the one before is signed in with it. */
    private void begin(SignedIn who, HttpServletRequest request, HttpServletResponse response) {
        HttpSession before = request.getSession(false);
        if (before != null) {
            before.invalidate();
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(who);
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
    }

    /** Counted as wrong before it is checked: of many at once no more are tried than one after the other. */
    private SignedIn opened(SignIn wanted, String address, String wrong) {
        String name = wanted.name() == null ? "" : wanted.name().strip();
        Duration wait = throttle.begin(address, name);
        if (!wait.isZero()) {
            throw new Refused(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "That was wrong too often. Wait " + (wait.toSeconds() + 1) + " s, then try again.",
                    wait);
        }
        SignedIn who = passwords
                .opened(name, wanted.password() == null ? "" : wanted.password())
                .orElseThrow(() -> new Refused(HttpStatus.FORBIDDEN, wrong));
        throttle.succeeded(address, name);
        return who;
    }

    @DeleteMapping("/api/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request, HttpServletResponse response) {
        // What pages showed is not left in the browser for whoever uses it next.
        response.setHeader("Clear-Site-Data", "\"cache\", \"storage\"");
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
    }

    private static boolean isSignedIn() {
        return SecurityContextHolder.getContext().getAuthentication() instanceof SignedIn;
    }
}
