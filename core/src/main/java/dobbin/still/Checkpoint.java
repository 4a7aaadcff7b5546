package dobbin.still;

/** Called again and again while a file is read, so that reading can be ended. */
@FunctionalInterface
public interface Checkpoint {
    Checkpoint NONE = () -> {};

    /** @throws java.util.concurrent.CancellationException to end it; the message is a clause that says why */
    void check();

    /** Called for each still that was read from the file. */
    default void came() {}
}
