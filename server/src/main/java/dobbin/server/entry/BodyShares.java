package dobbin.server.entry;

import dobbin.server.people.SignedIn;
import dobbin.server.web.ProblemWriter;
import dobbin.server.work.Requester;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Work is shared out between people, and where they have no names, between their sessions. Each may send so many bodies at a time;
 * what an address may send was counted before ({@code web.Bodies}).
 */
final class BodyShares extends OncePerRequestFilter {
    private static final int MOST_BODIES = 16;
    private static final String NOBODYS = "";

    private final Map<String, Integer> sending = new ConcurrentHashMap<>();

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String whose = whose(request);
        if (whose.equals(NOBODYS) || !hasBody(request)) {
            pass(whose, request, response, chain);
            return;
        }
        try {
            if (sending.merge(whose, 1, Integer::sum) > MOST_BODIES) {
                ProblemWriter.write(
                        response,
                        HttpStatus.TOO_MANY_REQUESTS,
                        "Refused",
                        "You are sending too much at once. Wait until some of it has arrived.");
            } else {
                pass(whose, request, response, chain);
            }
        } finally {
            sending.computeIfPresent(whose, (who, count) -> count == 1 ? null : count - 1);
        }
    }

    private static void pass(String whose, HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Requester.While theirs = Requester.is(whose);
        try {
            chain.doFilter(request, response);
        } finally {
            theirs.close();
        }
    }

    private static String whose(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return SignedIn.name().orElseGet(() -> session == null ? NOBODYS : session.getId());
    }

    private static boolean hasBody(HttpServletRequest request) {
        return request.getContentLengthLong() > 0 || request.getHeader(HttpHeaders.TRANSFER_ENCODING) != null;
    }
}
