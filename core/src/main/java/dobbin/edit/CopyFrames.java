package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import java.util.ArrayList;
import java.util.List;

/**
 * Puts copies of the named frames in, together and in playing order.
 *
 * @param to the gap they go into: 0 is before the first frame, the number of frames is after the last
 */
public record CopyFrames(List<Integer> frames, int to) implements Edit {
    public CopyFrames {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Ranges.check("to", to, 0, reel.frames().size());
        int id = reel.nextFrameId();
        List<Frame> copies = new ArrayList<>();
        for (Frame original : Chosen.of(reel, frames).frames()) {
            copies.add(original.withId(id++));
        }
        List<Frame> all = new ArrayList<>(reel.frames());
        all.addAll(to, copies);
        return reel.withFrames(all, id);
    }

    @Override
    public String title(Reel reel) {
        return "Copy " + Chosen.words(reel, frames);
    }
}
