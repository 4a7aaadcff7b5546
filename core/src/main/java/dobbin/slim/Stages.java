package dobbin.slim;

import java.util.function.Supplier;

/** Told which part of the work is done, by the thread that does it, to learn where the time goes. */
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
