package dobbin.reel;

/**
 * One picture of the loop and how long it shows.
 *
 * @param id stays with the frame when it moves; never used twice in a reel
 * @param delayMillis 10 to 600,000
 */
public record Frame(int id, int delayMillis, Still still) {
    public Frame {
        Ranges.check("delayMillis", delayMillis, Ranges.MIN_DELAY_MILLIS, Ranges.MAX_DELAY_MILLIS);
    }

    public Frame withDelay(int millis) {
        return new Frame(id, millis, still);
    }

    public Frame withId(int newId) {
        return new Frame(newId, delayMillis, still);
    }
}
