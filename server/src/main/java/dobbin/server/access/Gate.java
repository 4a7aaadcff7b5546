package dobbin.server.access;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Stands before every request on a reel: whatever lies under its address needs a right to it. */
@Configuration
class Gate implements WebMvcConfigurer, HandlerInterceptor {
    private final Rights rights;

    Gate(Rights rights) {
        this.rights = rights;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/api/reels/**", "/api/removed/**");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (handler instanceof HandlerMethod method
                && request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE) instanceof Map<?, ?> variables
                && variables.get("id") instanceof String reel) {
            rights.check(reel, needed(method, request.getMethod()));
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
