package dobbin.server.reels;

import dobbin.edit.EditRejected;

/** A change made on a document that has changed meanwhile, as in another tab, and that does not fit what it is now. */
public final class StaleBase extends RuntimeException {
    private final transient OpenReel current;

    StaleBase(OpenReel current) {
        super(
                "This reel was changed elsewhere meanwhile. Here it is as it stands now; do that again if it still fits.");
        this.current = current;
    }

    StaleBase(OpenReel current, EditRejected why) {
        super(
                "This reel was changed elsewhere meanwhile, and that does not fit any more: " + why.field() + ' '
                        + why.getMessage() + ". Here it is as it stands now.",
                why);
        this.current = current;
    }

    OpenReel current() {
        return current;
    }
}
