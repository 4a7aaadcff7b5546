package dobbin.server.web;

import java.time.Duration;
import java.util.Optional;
import org.springframework.http.HttpStatus;

/** A request that is understood and cannot be met. The message is a whole sentence that says what to do. */
public final class Refused extends RuntimeException {
    private final HttpStatus status;
    private final transient Duration after;

    public Refused(HttpStatus status, String message) {
        this(status, message, (Duration) null);
    }

    public Refused(HttpStatus status, String message, Throwable cause) {
        super(message, cause);
        this.status = status;
        this.after = null;
    }

    /** @param after how long to wait before it can be met */
    public Refused(HttpStatus status, String message, Duration after) {
        super(message);
        this.status = status;
        this.after = after;
    }

    Optional<Duration> after() {
        return Optional.ofNullable(after);
    }

    public HttpStatus status() {
        return status;
    }
}
