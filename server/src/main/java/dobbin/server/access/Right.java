package dobbin.server.access;

/** What somebody may do with a reel. Each includes the one before. */
public enum Right {
    /** Not even know that it is there. */
    NOTHING,
    /** See it, play it, save what is made of it. */
    LOOK,
    /** Change it. */
    WORK,
    /** Remove it, and say who else may do what. */
    OWN;

    public boolean includes(Right other) {
        return compareTo(other) >= 0;
    }

    Right or(Right other) {
        return includes(other) ? this : other;
    }
}
