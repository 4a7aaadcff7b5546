package dobbin.server.reels;

/** An edit made on a document that has changed meanwhile, as in another tab. */
final class StaleBase extends RuntimeException {
    private final transient OpenReel current;

    StaleBase(OpenReel current) {
        super(
                "This reel was changed elsewhere meanwhile. Here it is as it stands now; do that again if it still fits.");
        this.current = current;
    }

    OpenReel current() {
        return current;
    }
}
