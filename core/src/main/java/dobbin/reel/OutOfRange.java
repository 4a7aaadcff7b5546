package dobbin.reel;

/** A value no reel can have. The message is a clause to follow the field's name. */
public final class OutOfRange extends IllegalArgumentException {
    private final String field;

    public OutOfRange(String field, String message) {
        super(message);
        this.field = field;
    }

    public String field() {
        return field;
    }
}
