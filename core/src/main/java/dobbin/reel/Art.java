package dobbin.reel;

/** What a cut-out shows, in a box of its own; at scale 1 a unit of it is a pixel of the canvas. */
public sealed interface Art permits Cycle, Words, Shape, Group {
    double width();

    double height();
}
