package dobbin.server.web;

/** Something that was asked for by name and is not there. The message is a whole sentence. */
public final class NotFound extends RuntimeException {
    public NotFound(String message) {
        super(message);
    }
}
