package dobbin.still;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * A file of several pictures of one size: the frames of an animation, each with its time, or the layers of a drawing. It is
 * read picture by picture.
 */
public interface Series {
    Size size();

    /** @return how many pixels all its pictures have together as they are composed, told before any is read */
    long pixels();

    /**
     * @return how often viewers play it in all, 0 for without end; nothing where it does not play. Known for sure once the last
     *     picture was read
     */
    OptionalInt plays();

    /** @return flaws that were survived, or why not all could be read; known for sure once the last picture was read */
    List<String> warnings();

    /** @return what was left out or read otherwise; known for sure once the last picture was read */
    default List<String> notes() {
        return List.of();
    }

    /** @return the next picture, or nothing at the end */
    Optional<Shown> next() throws UnreadablePicture;

    /**
     * One picture as a viewer shows it.
     *
     * @param picture whole, composited
     * @param delayMillis as the file has it; 0 for as short as can be, or where it does not say
     */
    record Shown(Raster picture, int delayMillis) {}
}
