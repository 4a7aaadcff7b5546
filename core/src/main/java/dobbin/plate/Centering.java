package dobbin.plate;

/** What of the drawings comes to lie on one place in all frames. */
public enum Centering {
    /** The middle of the box around each. */
    BOX,
    /** The middle of its lower edge: what stands on the ground keeps standing. */
    FOOT,
    /** Where it would balance. */
    WEIGHT,
    /** Each stays where it lies in its part of the plate. */
    NONE
}
