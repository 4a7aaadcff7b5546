package dobbin.server.entry;

import dobbin.server.people.SignedIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpRequestResponseHolder;
import org.springframework.security.web.context.SecurityContextRepository;

/** Stores the signed-in person in the session as two lines of text, which other versions can read. */
final class SessionSecurityContexts implements SecurityContextRepository {
    private static final String NAME = "name";
    private static final String HASH = "hash";

    @Override
    @SuppressWarnings("deprecation") // The other methods call it by themselves.
    public SecurityContext loadContext(HttpRequestResponseHolder exchange) {
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        HttpSession session = exchange.getRequest().getSession(false);
        if (session != null && session.getAttribute(HASH) instanceof String hash) {
            context.setAuthentication(SignedIn.as((String) session.getAttribute(NAME), hash));
        }
        return context;
    }

    @Override
    public void saveContext(SecurityContext context, HttpServletRequest request, HttpServletResponse response) {
        if (context.getAuthentication() instanceof SignedIn who) {
            HttpSession session = request.getSession(true);
            session.setAttribute(NAME, who.ownName().orElse(null));
            session.setAttribute(HASH, who.hash());
        }
    }

    @Override
    public boolean containsContext(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return session != null && session.getAttribute(HASH) != null;
    }
}
