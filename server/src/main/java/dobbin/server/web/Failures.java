package dobbin.server.web;

import dobbin.document.UnreadableDocument;
import dobbin.edit.EditRejected;
import dobbin.reel.OutOfRange;
import java.util.concurrent.CompletionException;

/** For failures outside of a request: one sentence that says what happened and what to do. */
public final class Failures {
    private Failures() {}

    public static String sentence(Throwable failure) {
        Throwable cause =
                failure instanceof CompletionException && failure.getCause() != null ? failure.getCause() : failure;
        if (cause instanceof OutOfMemoryError) {
            return "There was not enough memory for this. Try again when less is under way, or start Dobbin with more"
                    + " (DOBBIN_MEMORY=2g).";
        }
        if (cause instanceof NotFound || cause instanceof Refused || isExplained(cause)) {
            return cause.getMessage();
        }
        if (cause instanceof EditRejected rejected) {
            return rejected.field() + " " + rejected.getMessage() + ".";
        }
        if (cause instanceof OutOfRange outOfRange) {
            return outOfRange.field() + " " + outOfRange.getMessage() + ".";
        }
        if (isOfAFullDisk(cause)) {
            return "The disk is full. What there is can be seen and played; free some room, then do this again.";
        }
        return "Dobbin failed at this. Try again, and look at the server's log if it stays.";
    }

    /** Also of a database that was closed since it could not write; it is opened anew at the next try. */
    static boolean isOfAFullDisk(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            String message = String.valueOf(cause.getMessage());
            if (message.contains("No space left on device") || message.contains("Disk quota exceeded")) {
                return true;
            }
        }
        return false;
    }

    /** A failure whose message is a whole sentence for the person who meets it. */
    public interface Explained {}

    static boolean isExplained(Throwable failure) {
        return failure instanceof Explained || failure instanceof UnreadableDocument;
    }
}
