package dobbin.server.worker;

/** A worker process did not do what it was asked to. The message is a clause that follows the file's name. */
final class Unanswered extends Exception {
    private static final long serialVersionUID = 1;

    Unanswered(String clause, Throwable cause) {
        super(clause, cause);
    }
}
