package dobbin.gif;

/** What a viewer does with a frame's area once its time is over. */
public enum Disposal {
    /** Codes 0 and 1: it stays, and the next frame is drawn over it. */
    KEEP(1),
    /** Code 2: it is cleared. */
    CLEAR(2),
    /** Code 3: what was there before comes back. */
    PUT_BACK(3);

    private final int code;

    Disposal(int code) {
        this.code = code;
    }

    int code() {
        return code;
    }

    /** @param code 0 to 7; 4 counts as 3, and 5 to 7 as 1, as browsers take them */
    static Disposal ofCode(int code) {
        return switch (code) {
            case 2 -> CLEAR;
            case 3, 4 -> PUT_BACK;
            default -> KEEP;
        };
    }
}
