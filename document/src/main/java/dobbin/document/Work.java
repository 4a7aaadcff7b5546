package dobbin.document;

import dobbin.reel.Reel;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** A reel with all it is made of, wherever that lies. */
public interface Work {
    Reel reel();

    /** @return what was done to it, where that comes along */
    Optional<Past> past();

    /**
     * @param name of a picture that the reel uses, or used at a step of its past
     * @return the file
     */
    byte[] picture(String name) throws IOException;

    /** @param name of a typeface that the reel uses, or used at a step of its past; @return the file */
    byte[] typeface(String name) throws IOException;

    /** The steps of a reel. */
    interface Past {
        /** @return the place of the step the reel stands on, from 0; later ones are undone */
        int current();

        /** @return the oldest first, at least one */
        List<Step> steps();

        /** @return the reel after a step, by its place */
        Reel reel(int step) throws IOException;
    }

    /**
     * @param title what was done, in a few words
     * @param made when
     */
    record Step(String title, Instant made) {}
}
