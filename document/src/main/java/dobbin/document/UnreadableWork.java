package dobbin.document;

import java.io.IOException;

/** A working file that cannot be opened. The message is a clause to follow the file's name, which names the part. */
public final class UnreadableWork extends IOException {
    UnreadableWork(String message) {
        super(message);
    }

    UnreadableWork(String message, Throwable cause) {
        super(message, cause);
    }
}
