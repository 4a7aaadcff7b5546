package dobbin.server.people;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.provisioning.JdbcUserDetailsManager;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.support.TransactionTemplate;

/** The users and authorities tables, as Spring Security has them. */
@Repository
public class PeopleStore implements AutoCloseable {
    private static final String NAMES = "SELECT username FROM users";
    private static final String AUTHORITY = "PERSON";

    private final JdbcTemplate jdbc;
    private final TransactionTemplate transaction;
    private final JdbcUserDetailsManager users;
    private final Runnable closing;

    @Autowired
    PeopleStore(JdbcTemplate jdbc, TransactionTemplate transaction) {
        this(jdbc, transaction, () -> {});
    }

    private PeopleStore(JdbcTemplate jdbc, TransactionTemplate transaction, Runnable closing) {
        this.jdbc = jdbc;
        this.transaction = transaction;
        this.closing = closing;
        this.users = new JdbcUserDetailsManager();
        users.setJdbcTemplate(jdbc);
    }

    /** @return one with a connection of its own, to be closed */
    public static PeopleStore opened(String address, String user, String password) {
        SingleConnectionDataSource database = new SingleConnectionDataSource(address, user, password, true);
        return new PeopleStore(
                new JdbcTemplate(database),
                new TransactionTemplate(new DataSourceTransactionManager(database)),
                database::destroy);
    }

    @Override
    public void close() {
        closing.run();
    }

    private static UserDetails user(String name, String hash) {
        return User.withUsername(name).password(hash).authorities(AUTHORITY).build();
    }

    /** @return in order */
    List<String> names() {
        return jdbc.queryForList(NAMES, String.class).stream().sorted().toList();
    }

    Optional<String> hashOf(String name) {
        try {
            return Optional.ofNullable(users.loadUserByUsername(name).getPassword());
        } catch (UsernameNotFoundException e) {
            return Optional.empty();
        }
    }

    /** @throws DuplicateKeyException where somebody has that name */
    void insert(String name, String hash) {
        transaction.executeWithoutResult(status -> users.createUser(user(name, hash)));
    }

    /**
     * Puts all in, or nobody where there is somebody already.
     *
     * @param hashes by name
     * @throws DuplicateKeyException where another instance is just doing that
     */
    void insertFirst(Map<String, String> hashes) {
        transaction.executeWithoutResult(status -> {
            if (names().isEmpty()) {
                hashes.forEach((name, hash) -> users.createUser(user(name, hash)));
            }
        });
    }

    /** @return false where nobody has that name */
    boolean update(String name, String hash) {
        return Boolean.TRUE.equals(transaction.execute(status -> {
            boolean there = users.userExists(name);
            if (there) {
                users.updateUser(user(name, hash));
            }
            return there;
        }));
    }

    /** How removing somebody came out. */
    enum Removal {
        DONE,
        NOBODY,
        LAST
    }

    /** Of two at once that remove the last two, one waits for the other, and finds a last one. */
    Removal delete(String name) {
        return transaction.execute(status -> {
            List<String> all = jdbc.queryForList(NAMES + " FOR UPDATE", String.class);
            if (!all.contains(name)) {
                return Removal.NOBODY;
            }
            if (all.size() == 1) {
                return Removal.LAST;
            }
            users.deleteUser(name);
            return Removal.DONE;
        });
    }

    void deleteAll() {
        transaction.executeWithoutResult(status -> names().forEach(users::deleteUser));
    }
}
