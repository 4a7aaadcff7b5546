package dobbin.server.entry;

import java.security.SecureRandom;
import java.util.Base64;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;

/** How sessions stand in the database. */
@Configuration
class SessionStore {
    private static final int ID_BYTES = 32;
    /** When a session was used last is written once a minute, not with every picture that a page asks for. */
    private static final String UPDATE = """
            UPDATE browser_session SET session_id = ?, last_access_time = ?, max_inactive_interval = ?, expiry_time = ?,
                principal_name = ?
            WHERE primary_id = ? AND last_access_time < (EXTRACT(EPOCH FROM CURRENT_TIMESTAMP) - 60) * 1000""";

    private final SecureRandom random = new SecureRandom();

    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> sparing() {
        return sessions -> {
            sessions.setUpdateSessionQuery(UPDATE);
            sessions.setSessionIdGenerator(this::newId);
        };
    }

    private String newId() {
        byte[] id = new byte[ID_BYTES];
        random.nextBytes(id);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(id);
    }
}
