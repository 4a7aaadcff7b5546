package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Reel;
import java.util.List;
import java.util.Set;

/** The frames an edit acts on: checked to be there, and in playing order whatever order they were named in. */
final class Chosen {
    private final Set<Integer> ids;
    private final List<Frame> frames;

    private Chosen(Set<Integer> ids, List<Frame> frames) {
        this.ids = ids;
        this.frames = frames;
    }

    /** @throws EditRejected where {@code ids} is empty or names a frame the reel has not */
    static Chosen of(Reel reel, List<Integer> ids) {
        Set<Integer> wanted = Set.copyOf(ids);
        if (wanted.isEmpty()) {
            throw new EditRejected("frames", "must name at least one frame. Select some first");
        }
        List<Frame> frames = reel.frames().stream()
                .filter(frame -> wanted.contains(frame.id()))
                .toList();
        if (frames.size() != wanted.size()) {
            throw new EditRejected(
                    "frames", "name " + (wanted.size() - frames.size()) + " that are no longer in this reel");
        }
        return new Chosen(wanted, frames);
    }

    boolean has(Frame frame) {
        return ids.contains(frame.id());
    }

    List<Frame> frames() {
        return frames;
    }

    /** @return "frame 3" for one, "6 frames" for several; numbers count from 1 */
    static String words(Reel reel, List<Integer> ids) {
        if (ids.size() != 1) {
            return ids.size() + " frames";
        }
        for (int i = 0; i < reel.frames().size(); i++) {
            if (reel.frames().get(i).id() == ids.get(0)) {
                return "frame " + (i + 1);
            }
        }
        return "1 frame";
    }
}
