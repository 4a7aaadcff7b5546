package dobbin.server.reels;

import java.time.Instant;
import java.util.List;

/**
 * All that was done to a reel, and can be gone back to.
 *
 * @param current the step the reel stands on; later ones are undone
 * @param steps the oldest first
 */
record History(int current, List<Step> steps) {
    /** @param title what was done, in a few words */
    record Step(int number, String title, Instant made) {}
}
