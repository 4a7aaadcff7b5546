package dobbin.server.work;

/** For whom the current thread works, so that everybody gets a fair share: a name, a session, or nobody in particular. */
public final class Requester {
    private static final String NOBODYS = "";

    private static final ThreadLocal<String> NOW = ThreadLocal.withInitial(() -> NOBODYS);

    private Requester() {}

    public static String now() {
        return NOW.get();
    }

    /** Ends when it is closed. */
    public interface While extends AutoCloseable {
        @Override
        void close();
    }

    /** From now on the current thread works for that person, until what this returns is closed. */
    public static While is(String whose) {
        String before = NOW.get();
        NOW.set(whose);
        return () -> NOW.set(before);
    }
}
