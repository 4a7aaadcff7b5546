package dobbin.server.reels;

import dobbin.reel.Reel;
import dobbin.render.RenderKeys;
import java.time.Instant;

/**
 * A reel as it stands.
 *
 * @param revision counts every change and never goes back
 * @param seen the reel, and what it looks like
 * @param undo what undo would take back, in a few words, or null
 * @param redo what redo would do again, or null
 */
public record OpenReel(String id, int revision, Instant touched, ReelSnapshot seen, String undo, String redo) {
    public Reel reel() {
        return seen.reel();
    }

    public RenderKeys keys() {
        return seen.keys();
    }
}
