package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Reel;
import java.util.ArrayList;
import java.util.List;

/**
 * A place between frames, told by the frame before it. So it still is the same place when frames elsewhere have come or
 * gone meanwhile.
 */
final class Gap {
    /** The place before all frames. */
    static final int START = 0;

    private Gap() {}

    /**
     * @param after the id of the frame before the gap, or {@link #START}
     * @return how many frames come before the gap
     */
    static int index(Reel reel, int after) {
        if (after == START) {
            return 0;
        }
        for (int i = 0; i < reel.frames().size(); i++) {
            if (reel.frames().get(i).id() == after) {
                return i + 1;
            }
        }
        throw new EditRejected("after", "names a frame that is no longer in this reel");
    }

    /** @return the reel with new frames in the gap; their ids follow from its next id, and runs close around them */
    static Reel insert(Reel reel, int index, List<Frame> added) {
        List<Frame> placed = new ArrayList<>();
        int id = reel.nextId();
        for (Frame frame : added) {
            placed.add(frame.withId(id++));
        }
        List<Frame> all = new ArrayList<>(reel.frames());
        all.addAll(index, placed);
        int firstNew = reel.nextId();
        return reel.withFrames(Bands.settled(all, frame -> frame.id() >= firstNew), id);
    }
}
