package dobbin.server.access;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.server.PathContainer;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.util.ServletRequestPathUtils;

/**
 * Stands before every request on a reel: whatever lies under {@code /api/reels/ID} or {@code /api/removed/ID} needs a right to
 * that reel, however a handler calls that part of its address. A handler that is about no reel says so with {@link NeedsNoReel}.
 */
@Configuration
class ReelAccessInterceptor implements WebMvcConfigurer, HandlerInterceptor {
    /** After {@code api} and {@code reels}. */
    private static final int REEL_PART = 2;

    private final Rights rights;

    ReelAccessInterceptor(Rights rights) {
        this.rights = rights;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/api/reels/**", "/api/removed/**");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        List<String> parts = ServletRequestPathUtils.parseAndCache(request).pathWithinApplication().elements().stream()
                .filter(PathContainer.PathSegment.class::isInstance)
                .map(part -> ((PathContainer.PathSegment) part).valueToMatch())
                .toList();
        if (handler instanceof HandlerMethod method
                && parts.size() > REEL_PART
                && !method.hasMethodAnnotation(NeedsNoReel.class)) {
            rights.check(parts.get(REEL_PART), needed(method, request.getMethod()));
        }
        return true;
    }

    private static Right needed(HandlerMethod method, String verb) {
        Needs other = method.getMethodAnnotation(Needs.class);
        if (other != null) {
            return other.value();
        }
        return verb.equals("GET") || verb.equals("HEAD") ? Right.LOOK : Right.WORK;
    }
}
