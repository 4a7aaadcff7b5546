package dobbin.server.instances;

import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Which channel a database has: none where it is a file, which one instance alone can open. */
@Repository
class ChannelStore {
    private static final String POSTGRESQL = "jdbc:postgresql:";
    private static final String H2_SERVER = "jdbc:h2:(tcp|ssl):.*";

    private final Channel channel;

    ChannelStore(
            JdbcClient jdbc,
            @Value("${spring.datasource.url}") String address,
            @Value("${spring.datasource.username}") String user,
            @Value("${spring.datasource.password}") String password) {
        if (address.startsWith(POSTGRESQL)) {
            channel = new NotificationStore(jdbc, address, user, password);
        } else {
            channel = address.matches(H2_SERVER) ? new ToldStore(jdbc) : null;
        }
    }

    Optional<Channel> channel() {
        return Optional.ofNullable(channel);
    }
}
