package dobbin.reel;

import java.util.function.Function;

/** What a frame shows: a picture someone brought, a card made here, or something between two of these. */
public sealed interface FrameContent permits Still, Card, CrossFade {
    /** @return what it is called: the name of its file, or the text on it */
    String name();

    /** @return what the function for its kind gives */
    <R> R match(Function<Still, R> still, Function<Card, R> card, Function<CrossFade, R> fade);
}
