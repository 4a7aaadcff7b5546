package dobbin.server.reels;

import dobbin.server.web.Failures;

/** A stored document that cannot be read. Its message is a whole sentence. The reel it belongs to harms no other. */
public final class UnreadableDocument extends RuntimeException implements Failures.Explained {
    UnreadableDocument(String message) {
        super(message);
    }

    UnreadableDocument(String message, Throwable cause) {
        super(message, cause);
    }
}
