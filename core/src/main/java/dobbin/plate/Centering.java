package dobbin.plate;

/** Which point of each drawing is laid on the same place in all frames. */
public enum Centering {
    /** The middle of the box around each. */
    BOX,
    /** The middle of its lower edge: what stands on the ground keeps standing. */
    FOOT,
    /** The center of its opaque area. */
    WEIGHT,
    /** Each stays where it lies in its part of the plate. */
    NONE
}
