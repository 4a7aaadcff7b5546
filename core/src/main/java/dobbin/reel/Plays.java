package dobbin.reel;

/**
 * How often viewers play the loop in all.
 *
 * @param times 1 to 1000, or 0 for forever
 */
public record Plays(int times) {
    public static final Plays FOREVER = new Plays(0);

    public Plays {
        Ranges.check("plays", times, 0, Ranges.MAX_PLAYS);
    }
}
