package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Reel;
import java.util.ArrayList;
import java.util.List;

/** Puts copies of the named frames, together and in playing order, right after the last of them. */
public record CopyFrames(List<Integer> frames) implements Edit {
    public CopyFrames {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        List<Frame> originals = Chosen.of(reel, frames).frames();
        Frame last = originals.get(originals.size() - 1);
        List<Frame> all = new ArrayList<>(reel.frames());
        int id = reel.nextFrameId();
        int at = all.indexOf(last) + 1;
        for (Frame original : originals) {
            all.add(at++, original.withId(id++));
        }
        return reel.withFrames(all, id);
    }

    @Override
    public String title(Reel reel) {
        return "Copy " + Chosen.words(reel, frames);
    }
}
