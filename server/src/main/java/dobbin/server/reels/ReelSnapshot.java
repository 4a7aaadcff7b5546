package dobbin.server.reels;

import dobbin.reel.Reel;
import dobbin.render.RenderKeys;

/**
 * A reel and what its things look like, worked out once for all who ask.
 *
 * @param keys of this very reel
 */
public record ReelSnapshot(Reel reel, RenderKeys keys) {
    public static ReelSnapshot of(Reel reel) {
        return new ReelSnapshot(reel, new RenderKeys(reel));
    }
}
