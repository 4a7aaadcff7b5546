package dobbin.server.web;

import org.springframework.http.HttpStatus;

/** A request that is understood and cannot be met. The message is a whole sentence that says what to do. */
public final class Refused extends RuntimeException {
    private final HttpStatus status;

    public Refused(HttpStatus status, String message) {
        super(message);
        this.status = status;
    }

    public Refused(HttpStatus status, String message, Throwable cause) {
        super(message, cause);
        this.status = status;
    }

    HttpStatus status() {
        return status;
    }
}
