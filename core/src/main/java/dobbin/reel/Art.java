package dobbin.reel;

import java.util.function.Function;

/** What a cut-out shows, in a box of its own; at scale 1 a unit of it is a pixel of the canvas. */
public sealed interface Art permits Cycle, Words, Shape, Group {
    double width();

    double height();

    /** @return how many pictures, words and shapes it is made of, those of a cycle counted each */
    default int parts() {
        return 1;
    }

    /** @return how many groups lie in one another here at most */
    default int depth() {
        return 0;
    }

    /** @return what the function for its kind gives */
    <R> R match(Function<Cycle, R> cycle, Function<Words, R> words, Function<Shape, R> shape, Function<Group, R> group);
}
