package dobbin.server.deliveries;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The delivery_order table. Times are the database's, which all who work with it share. */
@Repository
class OrderStore {
    private static final String HELD = "CURRENT_TIMESTAMP + INTERVAL '15' SECOND";
    private static final String INSERT = "INSERT INTO delivery_order (id, reel, name, person, document, held_until)"
            + " VALUES (:id, :reel, :name, :person, :document, " + HELD + ")";
    private static final String HOLD = "UPDATE delivery_order SET held_until = " + HELD + " WHERE id IN (:ids)";
    private static final String SELECT_LEFT = "SELECT id FROM delivery_order WHERE held_until < CURRENT_TIMESTAMP";
    private static final String TAKE = "UPDATE delivery_order SET tries = tries + 1, held_until = " + HELD
            + " WHERE id = :id AND held_until < CURRENT_TIMESTAMP";
    private static final String SELECT =
            "SELECT id, reel, name, person, document, tries FROM delivery_order WHERE id = :id";
    private static final String DELETE = "DELETE FROM delivery_order WHERE id = :id";

    private final JdbcClient jdbc;

    OrderStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * @param person who asked, or null where people have no names
     * @param document the reel as it was then, as JSON
     * @param tries how often it was begun
     */
    record Order(String id, String reel, String name, String person, String document, int tries) {}

    /** Puts one in, held by whoever does. */
    void insert(Order order) {
        jdbc.sql(INSERT)
                .param("id", order.id)
                .param("reel", order.reel)
                .param("name", order.name)
                .param("person", order.person)
                .param("document", order.document)
                .update();
    }

    /** Holds those on, so that nobody takes them over. */
    void hold(Collection<String> ids) {
        if (!ids.isEmpty()) {
            jdbc.sql(HOLD).param("ids", List.copyOf(ids)).update();
        }
    }

    /** @return those that nobody holds */
    List<String> left() {
        return jdbc.sql(SELECT_LEFT).query(String.class).list();
    }

    /** @return the order, held from now on, or nothing where another was faster */
    Optional<Order> take(String id) {
        return jdbc.sql(TAKE).param("id", id).update() == 1 ? find(id) : Optional.empty();
    }

    Optional<Order> find(String id) {
        return jdbc.sql(SELECT)
                .param("id", id)
                .query((row, n) -> new Order(
                        row.getString("id"),
                        row.getString("reel"),
                        row.getString("name"),
                        row.getString("person"),
                        row.getString("document"),
                        row.getInt("tries")))
                .optional();
    }

    /** @return whether it was still there: of two who made it, one is told so */
    boolean delete(String id) {
        return jdbc.sql(DELETE).param("id", id).update() == 1;
    }
}
