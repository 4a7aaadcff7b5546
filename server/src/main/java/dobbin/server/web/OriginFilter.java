package dobbin.server.web;

import dobbin.server.Settings;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Objects;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Keeps pages from elsewhere out: a request must name a host this server answers to, and one that changes something must
 * come from its own pages. Also the headers that keep the browser from doing more than it needs to.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class OriginFilter extends OncePerRequestFilter {
    private static final String CONTENT_POLICY = "default-src 'self'; img-src 'self' blob: data:; style-src 'self'"
            + " 'unsafe-inline'; font-src 'self' data:; media-src 'self' blob:; worker-src 'self' blob:; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    /** Browser features that no page of the interface uses. */
    private static final String FEATURES =
            "camera=(), microphone=(), geolocation=(), payment=(), usb=(), display-capture=()";

    private final Settings settings;

    OriginFilter(Settings settings) {
        this.settings = settings;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        addHeaders(response);
        if (request.isSecure()) {
            response.setHeader("Strict-Transport-Security", "max-age=31536000");
        }
        if (request.getHeader("Host") == null) {
            ProblemWriter.write(
                    response, HttpStatus.BAD_REQUEST, "Refused", "The request must name its host, as HTTP/1.1 does.");
        } else if (!settings.allowedHosts().contains(request.getServerName())) {
            refuse(response, "This server does not answer to that name. Add it to dobbin.allowed-hosts.");
        } else if (isForeign(request)) {
            refuse(response, "This request comes from another site.");
        } else {
            chain.doFilter(request, response);
        }
    }

    static void addHeaders(HttpServletResponse response) {
        response.setHeader("Content-Security-Policy", CONTENT_POLICY);
        response.setHeader("X-Content-Type-Options", "nosniff");
        response.setHeader("Referrer-Policy", "no-referrer");
        response.setHeader("Cross-Origin-Resource-Policy", "same-origin");
        response.setHeader("Cross-Origin-Opener-Policy", "same-origin");
        response.setHeader("Permissions-Policy", FEATURES);
    }

    private static boolean isForeign(HttpServletRequest request) {
        String origin = request.getHeader("Origin");
        if (origin == null
                || request.getMethod().equals("GET")
                || request.getMethod().equals("HEAD")) {
            return false;
        }
        try {
            URI from = URI.create(origin);
            // A page that came without TLS may have been changed on its way, whatever its host.
            boolean isLessSecure = request.isSecure() && !"https".equals(from.getScheme());
            return isLessSecure || !Objects.equals(request.getHeader("Host"), from.getAuthority());
        } catch (IllegalArgumentException e) {
            return true;
        }
    }

    private static void refuse(HttpServletResponse response, String detail) throws IOException {
        ProblemWriter.write(response, HttpStatus.FORBIDDEN, "Refused", detail);
    }
}
