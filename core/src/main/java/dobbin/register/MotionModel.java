package dobbin.register;

/** How a camera may have moved between two stills. */
public enum MotionModel {
    /** What it sees is shifted, turned and scaled, alike everywhere. */
    SIMILARITY,
    /** It sees something flat, as a page or a wall, from another side: lines stay straight, but not parallel. */
    PERSPECTIVE
}
