package dobbin.register;

/** How a camera may have moved between two stills. */
public enum MotionModel {
    /** Similarity: the view is shifted, turned and scaled, alike everywhere. */
    SIMILARITY,
    /** Homography: something flat, as a page or a wall, is seen from another side. Lines stay straight, but not parallel. */
    PERSPECTIVE
}
