package dobbin.reel;

/** What a frame shows: a picture someone brought, or a card made here. */
public sealed interface FrameContent permits Still, Card {
    /** @return what it is called: the name of its file, or the text on it */
    String name();
}
