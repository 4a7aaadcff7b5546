package dobbin.server.entry;

import java.security.SecureRandom;
import java.util.Base64;
import org.springframework.boot.session.autoconfigure.SessionTimeout;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.session.config.annotation.web.http.EnableSpringHttpSession;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/** How sessions stand in the database: they outlive a restart, and are the same for all instances that work with it. */
@Configuration
@EnableSpringHttpSession
class SessionStore {
    private static final String TABLE = "browser_session";
    private static final int ID_BYTES = 32;
    /** When a session was used last is written once a minute, not with every picture that a page asks for. */
    private static final String UPDATE = """
            UPDATE browser_session SET session_id = ?, last_access_time = ?, max_inactive_interval = ?, expiry_time = ?,
                principal_name = ?
            WHERE primary_id = ? AND last_access_time < (EXTRACT(EPOCH FROM CURRENT_TIMESTAMP) - 60) * 1000""";

    private final SecureRandom random = new SecureRandom();

    /**
     * With the JdbcTemplate that all others use: Spring Session's own reads the error codes of all kinds of databases, which takes a tenth
     * of a second at every start.
     */
    @Bean
    JdbcIndexedSessionRepository sessions(
            JdbcTemplate jdbc, PlatformTransactionManager transactions, SessionTimeout timeout) {
        TransactionTemplate apart = new TransactionTemplate(transactions);
        apart.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        JdbcIndexedSessionRepository sessions = new JdbcIndexedSessionRepository(jdbc, apart);
        sessions.setTableName(TABLE);
        sessions.setUpdateSessionQuery(UPDATE);
        sessions.setSessionIdGenerator(this::newId);
        sessions.setDefaultMaxInactiveInterval(timeout.getTimeout());
        return sessions;
    }

    private String newId() {
        byte[] id = new byte[ID_BYTES];
        random.nextBytes(id);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(id);
    }
}
