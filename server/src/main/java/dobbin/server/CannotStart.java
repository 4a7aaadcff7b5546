package dobbin.server;

/** A reason not to start, for the person who starts it. */
public final class CannotStart extends RuntimeException {
    /** @param message a sentence on what to do */
    public CannotStart(String message) {
        super(message);
    }
}
