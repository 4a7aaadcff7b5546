package dobbin.still;

/** A file that gives no picture. The message is a clause to follow the file's name: "is empty", "breaks off in ...". */
public final class UnreadablePicture extends Exception {
    public UnreadablePicture(String message) {
        super(message);
    }

    public UnreadablePicture(String message, Throwable cause) {
        super(message, cause);
    }
}
