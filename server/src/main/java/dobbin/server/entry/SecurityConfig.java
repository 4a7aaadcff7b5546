package dobbin.server.entry;

import dobbin.server.people.SignedIn;
import dobbin.server.web.ProblemWriter;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Duration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.ProviderNotFoundException;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configuration.EnableWebSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.security.web.header.HeaderWriter;
import org.springframework.security.web.header.writers.CacheControlHeadersWriter;
import org.springframework.security.web.header.writers.DelegatingRequestMatcherHeaderWriter;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets nobody at the data who did not sign in, where that is asked for. The interface's own files are for everybody: they hold
 * nothing of anyone, and show the page where one signs in. Headers, and requests from other sites, are {@code web.Gatekeeper}'s.
 */
@Configuration
@EnableWebSecurity
class SecurityConfig {
    /**
     * Headers are written after an answer was begun, which of an event stream is the business of the thread that tells events:
     * two at once would break it. It has the header from the first.
     */
    private static final HeaderWriter NO_STORE = new DelegatingRequestMatcherHeaderWriter(
            request -> !request.getRequestURI().endsWith("/events"), new CacheControlHeadersWriter());

    /** However busy a session is kept, it ends. */
    private static final Duration LONGEST_SESSION = Duration.ofDays(7);

    @Bean
    SecurityFilterChain filterChain(HttpSecurity http, PasswordCheck passwords) throws Exception {
        return http.authorizeHttpRequests(requests -> requests.dispatcherTypeMatchers(
                                DispatcherType.ASYNC, DispatcherType.ERROR)
                        .permitAll()
                        .requestMatchers("/api/session", "/api/backup", "/api/people")
                        .permitAll()
                        .requestMatchers("/api/**")
                        .access((who, what) -> new AuthorizationDecision(isLetIn(who.get(), passwords)))
                        .anyRequest()
                        .permitAll())
                .exceptionHandling(
                        handling -> handling.authenticationEntryPoint((request, response, e) -> turnAway(response))
                                .accessDeniedHandler((request, response, e) -> turnAway(response)))
                .securityContext(contexts -> contexts.securityContextRepository(new SessionSecurityContexts()))
                .addFilterBefore(new SessionEnd(), SecurityContextHolderFilter.class)
                .addFilterAfter(new BodyShares(), AuthorizationFilter.class)
                .csrf(AbstractHttpConfigurer::disable)
                // Answers stay in no cache unless they say that they may, as pictures do: their addresses are names of
                // what they show.
                .headers(headers -> headers.defaultsDisabled().addHeaderWriter(NO_STORE))
                .requestCache(AbstractHttpConfigurer::disable)
                .logout(AbstractHttpConfigurer::disable)
                .build();
    }

    private static void turnAway(HttpServletResponse response) throws IOException {
        ProblemWriter.write(response, HttpStatus.UNAUTHORIZED, "Sign in", "Sign in first.");
    }

    /** A session ends when its person is removed or gets another password. */
    private static boolean isLetIn(Authentication who, PasswordCheck passwords) {
        return passwords.letsIn(who instanceof SignedIn signedIn ? signedIn : null);
    }

    /** Nobody is known to the framework by name, so no user is made up at the start. */
    @Bean
    AuthenticationManager nobody() {
        return who -> {
            throw new ProviderNotFoundException("Signing in is the session controller's");
        };
    }

    private static final class SessionEnd extends OncePerRequestFilter {
        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            HttpSession session = request.getSession(false);
            if (session != null
                    && System.currentTimeMillis() - session.getCreationTime() > LONGEST_SESSION.toMillis()) {
                session.invalidate();
            }
            chain.doFilter(request, response);
        }
    }
}
