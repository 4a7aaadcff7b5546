package dobbin.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.slf4j.MDC;
import org.springframework.core.MethodParameter;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.http.server.ServerHttpRequest;
import org.springframework.http.server.ServerHttpResponse;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.mvc.method.annotation.ResponseBodyAdvice;

/**
 * Each request has an id. It stands in the log, in a header of the answer and in a problem document, so that what a person met can be
 * found in the log. With {@code logging.level.dobbin.requests=DEBUG} every request has a line there, without what it named.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
public final class RequestId extends OncePerRequestFilter {
    /** Under which the log has it (mapped diagnostic context). */
    public static final String IN_LOG = "request";

    private static final String HEADER = "X-Request-Id";
    private static final int DIGITS = 12;
    private static final Logger REQUESTS = LoggerFactory.getLogger("dobbin.requests");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String id = UUID.randomUUID().toString().replace("-", "").substring(0, DIGITS);
        long begun = System.nanoTime();
        MDC.put(IN_LOG, id);
        response.setHeader(HEADER, id);
        try {
            chain.doFilter(request, response);
        } finally {
            if (REQUESTS.isDebugEnabled()) {
                REQUESTS.debug(
                        "{} {} {} {} ms",
                        request.getMethod(),
                        request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE),
                        response.getStatus(),
                        (System.nanoTime() - begun) / 1_000_000);
            }
            MDC.remove(IN_LOG);
        }
    }

    /** @return the id of the request that is answered, or null where it was turned away before it got one */
    static String of(HttpServletResponse response) {
        return response.getHeader(HEADER);
    }

    /** Puts the id into problem documents. */
    @RestControllerAdvice
    static class InProblems implements ResponseBodyAdvice<Object> {
        @Override
        public boolean supports(MethodParameter answer, Class<? extends HttpMessageConverter<?>> converter) {
            return true;
        }

        @Override
        public Object beforeBodyWrite(
                Object body,
                MethodParameter answer,
                MediaType type,
                Class<? extends HttpMessageConverter<?>> converter,
                ServerHttpRequest request,
                ServerHttpResponse response) {
            String id = response.getHeaders().getFirst(HEADER);
            if (body instanceof ProblemDetail problem && id != null) {
                problem.setProperty(IN_LOG, id);
            }
            return body;
        }
    }
}
