package dobbin.server.reels;

import dobbin.reel.Reel;
import dobbin.render.Looks;

/**
 * A reel and what its things look like, worked out once for all who ask.
 *
 * @param looks of this very reel
 */
public record Seen(Reel reel, Looks looks) {
    public static Seen of(Reel reel) {
        return new Seen(reel, new Looks(reel));
    }
}
