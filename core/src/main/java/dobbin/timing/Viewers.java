package dobbin.timing;

/** What viewers make of a delay in a file. */
public final class Viewers {
    /** Browsers take delays shorter than this for a mistake. */
    private static final int SHORTEST_HONORED_HUNDREDTHS = 2;

    private static final int USED_INSTEAD_HUNDREDTHS = 10;

    private Viewers() {}

    /** @return how long Chromium, Firefox and Safari show a frame whose file says {@code hundredths} */
    public static int shownHundredths(int hundredths) {
        return hundredths < SHORTEST_HONORED_HUNDREDTHS ? USED_INSTEAD_HUNDREDTHS : hundredths;
    }
}
