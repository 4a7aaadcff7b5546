package dobbin.server.data;

import java.nio.file.Path;

/** What differs between databases. */
interface Engine {
    /** Waits until all that was committed is on the disk itself. */
    void force();

    /** @return whether the data lie in the data folder, where Dobbin sees how much room there is */
    boolean isInTheFolder();

    /** Writes a zip with the data as they are at one moment. */
    void copyTo(Path zip);

    /**
     * Gives back space that is not used any more.
     *
     * @param millis about how long it may take; the rest waits for another time
     * @return whether the data became smaller
     */
    boolean compact(int millis);
}
