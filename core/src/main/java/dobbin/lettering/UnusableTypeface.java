package dobbin.lettering;

/** A typeface file that cannot be used. The message is a clause that goes on from the name of the file. */
public final class UnusableTypeface extends Exception {
    private static final long serialVersionUID = 1;

    public UnusableTypeface(String clause) {
        super(clause);
    }
}
