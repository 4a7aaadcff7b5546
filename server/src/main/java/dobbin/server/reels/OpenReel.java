package dobbin.server.reels;

import dobbin.reel.Reel;
import java.time.Instant;

/**
 * A reel as it stands.
 *
 * @param revision counts every change and never goes back
 * @param undo what undo would take back, in a few words, or null
 * @param redo what redo would do again, or null
 */
public record OpenReel(String id, int revision, Instant touched, Reel reel, String undo, String redo) {}
