package dobbin.slim;

/**
 * How a delivered loop looks beside the drawn one.
 *
 * @param error visible error: mean distance in Oklab times 100 after a blur that stands for the eye, weighted by how long
 *     frames show
 * @param worstFrame of the loop, from 0, where it is largest
 * @param worstError the error there
 */
public record Appearance(double error, int worstFrame, double worstError) {
    /** An error up to this is not seen. */
    public static final double UNSEEN = 0.5;
    /** Up to this it is seen when looked for; above, it is plain to see. */
    public static final double SEEN_WHEN_LOOKED_FOR = 1.5;
}
