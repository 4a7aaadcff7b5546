package dobbin.skerry;

import dobbin.edit.Edit;
import java.util.List;

/**
 * A folder as someone would bring it, and what they would do with it.
 *
 * @param reel what they call the loop
 * @param files in no useful order
 * @param pieces pictures that the edits name, not frames themselves
 * @param delayMillis of every frame that brings none of its own
 * @param edits made one after the other on a reel of the files, whose frames count from 1
 */
public record DemoFolder(String reel, List<DemoFile> files, List<DemoFile> pieces, int delayMillis, List<Edit> edits) {
    DemoFolder(String reel, List<DemoFile> files, int delayMillis, List<Edit> edits) {
        this(reel, files, List.of(), delayMillis, edits);
    }
}
