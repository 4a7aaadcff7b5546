package dobbin.reel;

import java.util.function.Function;

/** What a cut-out shows, in a box of its own; at scale 1 a unit of it is a pixel of the canvas. */
public sealed interface Art permits Cycle, Words, Shape, Group {
    double width();

    double height();

    /** @return what the function for its kind gives */
    <R> R match(Function<Cycle, R> cycle, Function<Words, R> words, Function<Shape, R> shape, Function<Group, R> group);
}
