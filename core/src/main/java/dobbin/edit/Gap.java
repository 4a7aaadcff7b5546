package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Reel;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

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

    /**
     * @param added new frames, or such as the reel has, to be copied
     * @return the reel with them in the gap; their ids follow from its next id, runs close around them, and copies show
     *     cut-outs as the frames do that they are copies of
     */
    static Reel insert(Reel reel, int index, List<Frame> added) {
        List<Frame> placed = new ArrayList<>();
        Map<Integer, Integer> sources = new HashMap<>();
        int id = reel.nextId();
        for (Frame frame : added) {
            sources.put(id, frame.id());
            placed.add(frame.withId(id++));
        }
        List<Frame> all = new ArrayList<>(reel.frames());
        all.addAll(index, placed);
        int firstNew = reel.nextId();
        return reel.with(
                Bands.settled(all, frame -> frame.id() >= firstNew),
                reel.runs(),
                id,
                frame -> sources.getOrDefault(frame, frame));
    }
}
