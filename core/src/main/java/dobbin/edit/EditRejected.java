package dobbin.edit;

/** An edit that cannot be done: which field is at fault, and a clause to follow its name that says what it may be. */
public final class EditRejected extends RuntimeException {
    private final String field;

    public EditRejected(String field, String message) {
        super(message);
        this.field = field;
    }

    public EditRejected(String field, String message, Throwable cause) {
        super(message, cause);
        this.field = field;
    }

    public String field() {
        return field;
    }
}
