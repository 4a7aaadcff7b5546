package dobbin.slim;

import java.util.function.Supplier;

/** Receives which part of the work each thread does, to measure where the time goes. */
public interface Stages {
    Stages UNTOLD = new Stages() {
        @Override
        public <T> T during(Stage stage, Supplier<T> work) {
            return work.get();
        }
    };

    /** What is done for each frame. */
    enum Stage {
        DRAW,
        /** Counting colors and choosing palettes. */
        PALETTE,
        /** Dithering and coding, which are one. */
        DITHER
    }

    <T> T during(Stage stage, Supplier<T> work);
}
