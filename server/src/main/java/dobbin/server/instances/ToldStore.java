package dobbin.server.instances;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;
import org.springframework.jdbc.core.simple.JdbcClient;

/** The told table, which is looked into again and again: for an H2 server, which notifies nobody. */
final class ToldStore implements Channel {
    private static final String TELL = "INSERT INTO told (message) VALUES (:message)";
    private static final String SELECT_LAST = "SELECT COALESCE(MAX(id), 0) FROM told";
    private static final String SELECT = "SELECT id, message FROM told WHERE id > :after ORDER BY id";
    private static final String FORGET = "DELETE FROM told WHERE at < CURRENT_TIMESTAMP - INTERVAL '1' MINUTE";

    private static final long BETWEEN_LOOKS_NANOS = TimeUnit.MILLISECONDS.toNanos(250);
    private static final int LOOKS_BETWEEN_FORGETTING = 240;
    /** A number can be given out before a lower one is seen; so many back are looked at again. */
    private static final int OVERLAP = 200;

    private final JdbcClient jdbc;
    private final Listening listening = new Listening();

    ToldStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    private record Message(long id, String text) {}

    @Override
    public void tell(String message) {
        jdbc.sql(TELL).param("message", message).update();
    }

    @Override
    public void listen(Consumer<String> heard, Runnable missed) {
        listening.begin(begun -> look(heard, begun), missed);
    }

    @Override
    public void stop() {
        listening.stop();
    }

    private void look(Consumer<String> heard, Runnable begun) {
        long first = jdbc.sql(SELECT_LAST).query(Long.class).single();
        begun.run();
        Recent recent = new Recent();
        long last = first;
        for (int look = 1; listening.goesOn(); look++) {
            List<Message> found = jdbc.sql(SELECT)
                    .param("after", Math.max(first, last - OVERLAP))
                    .query((row, n) -> new Message(row.getLong("id"), row.getString("message")))
                    .list();
            for (Message each : found) {
                last = Math.max(last, each.id);
                if (recent.isNew(each.id)) {
                    heard.accept(each.text);
                }
            }
            if (look % LOOKS_BETWEEN_FORGETTING == 0) {
                jdbc.sql(FORGET).update();
            }
            LockSupport.parkNanos(BETWEEN_LOOKS_NANOS);
        }
    }

    /** The numbers of the last messages that were heard. */
    private static final class Recent {
        private final Set<Long> known = new HashSet<>();
        private final Deque<Long> order = new ArrayDeque<>();

        boolean isNew(long id) {
            if (!known.add(id)) {
                return false;
            }
            order.add(id);
            if (order.size() > 2 * OVERLAP) {
                known.remove(order.remove());
            }
            return true;
        }
    }
}
