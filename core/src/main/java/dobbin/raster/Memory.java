package dobbin.raster;

import java.util.function.Supplier;

/**
 * What was worked out about pictures before, so that after a change only what it changed is worked out again. Whoever
 * keeps the pictures decides how much of it is kept.
 */
public interface Memory {
    /** Remembers nothing. */
    Memory NONE = new Memory() {
        @Override
        public <V> V of(Object picture, Object terms, Supplier<V> work) {
            return work.get();
        }
    };

    /** A result that takes much room: few of a kind are worth keeping with a picture. */
    interface Bulky {}

    /**
     * @param picture a picture, or what was worked out about one: the very object, not one like it
     * @param terms all else that the result depends on, with {@code equals}; of a type that only this kind of work uses
     * @param work does it where it is not remembered. Neither the result nor the terms may hold on to the picture: it would be
     *     remembered for good
     */
    <V> V of(Object picture, Object terms, Supplier<V> work);
}
