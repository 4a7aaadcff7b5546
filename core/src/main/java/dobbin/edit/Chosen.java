package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.reel.Still;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;

/** The frames an edit acts on: checked to be there, and in playing order whatever order they were named in. */
final class Chosen {
    private final Reel reel;
    private final Set<Integer> ids;
    private final List<Frame> frames;

    private Chosen(Reel reel, Set<Integer> ids, List<Frame> frames) {
        this.reel = reel;
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
        return new Chosen(reel, wanted, frames);
    }

    boolean has(Frame frame) {
        return ids.contains(frame.id());
    }

    List<Frame> frames() {
        return frames;
    }

    /** @return those that play */
    List<Frame> loop() {
        return frames.stream().filter(frame -> !frame.leftOut()).toList();
    }

    /** @return the reel's frames in which each chosen one is what {@code change} makes of it */
    List<Frame> each(UnaryOperator<Frame> change) {
        return reel.frames().stream()
                .map(frame -> has(frame) ? change.apply(frame) : frame)
                .toList();
    }

    /** @return the reel's frames in which the chosen ones' places are taken by {@code instead}, in order */
    List<Frame> places(List<Frame> instead) {
        List<Frame> all = new ArrayList<>(reel.frames());
        int taken = 0;
        for (int i = 0; i < all.size(); i++) {
            if (has(all.get(i))) {
                all.set(i, instead.get(taken++));
            }
        }
        return all;
    }

    /** @return the reel's frames without the chosen ones */
    List<Frame> others() {
        return reel.frames().stream().filter(frame -> !has(frame)).toList();
    }

    /** @throws EditRejected unless the frame shows a still alone */
    static Still still(Frame frame) {
        if (frame.content() instanceof Still still) {
            return still;
        }
        throw new EditRejected("frames", "must show stills alone, not cards or fades");
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
