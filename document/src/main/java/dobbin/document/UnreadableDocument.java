package dobbin.document;

/** A document that cannot be read. Its message is a whole sentence. */
public final class UnreadableDocument extends RuntimeException {
    private final boolean later;

    private UnreadableDocument(String message, Throwable cause, boolean later) {
        super(message, cause);
        this.later = later;
    }

    public UnreadableDocument(String message) {
        this(message, null, false);
    }

    public UnreadableDocument(String message, Throwable cause) {
        this(message, cause, false);
    }

    static UnreadableDocument ofALaterVersion() {
        return new UnreadableDocument(
                "This reel was stored by a later version of Dobbin. Start that one to open it.", null, true);
    }

    boolean isOfALaterVersion() {
        return later;
    }
}
