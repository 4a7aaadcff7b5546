package dobbin.draw;

/** Which other halves of the canvas get what is drawn on one. */
public enum Mirroring {
    NONE(false, false),
    LEFT_RIGHT(true, false),
    UP_DOWN(false, true),
    BOTH(true, true);

    private final boolean across;
    private final boolean down;

    Mirroring(boolean across, boolean down) {
        this.across = across;
        this.down = down;
    }

    /** @return how often a mark is drawn */
    int copies() {
        return (across ? 2 : 1) * (down ? 2 : 1);
    }

    boolean across() {
        return across;
    }

    boolean down() {
        return down;
    }
}
