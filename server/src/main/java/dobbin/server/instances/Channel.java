package dobbin.server.instances;

import java.util.function.Consumer;

/** A way from one instance to all that work with the same database, itself too. */
interface Channel {
    void tell(String message);

    /**
     * Listens from now on.
     *
     * @param heard called with each message, one's own too
     * @param missed called when messages may have been lost
     */
    void listen(Consumer<String> heard, Runnable missed);

    void stop();
}
