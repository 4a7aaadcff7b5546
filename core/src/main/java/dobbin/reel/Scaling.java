package dobbin.reel;

/** How frames come to the size they are delivered at. */
public enum Scaling {
    /** Drawn at that size, from all that the pictures hold. */
    SMOOTH,
    /** Drawn at the canvas's own size; each delivered pixel is the canvas's pixel at its middle. */
    HARD
}
