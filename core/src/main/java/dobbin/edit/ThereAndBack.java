package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Reel;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * Puts copies of the named frames after the last of them, in reverse order, so that they play there and back.
 *
 * @param endsTwice whether the last and the first pose are there twice in a row as the loop turns round
 */
public record ThereAndBack(List<Integer> frames, boolean endsTwice) implements Edit {
    public ThereAndBack {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        List<Frame> there = Chosen.of(reel, frames).frames();
        int skipped = endsTwice ? 0 : 1;
        if (there.size() < 2 + skipped) {
            throw new EditRejected("frames", "must be at least " + (2 + skipped) + " to play there and back");
        }
        List<Frame> back = new ArrayList<>(there.subList(skipped, there.size() - skipped));
        Collections.reverse(back);
        return Gap.insert(reel, Gap.index(reel, there.get(there.size() - 1).id()), back);
    }

    @Override
    public String title(Reel reel) {
        return "Play " + Chosen.words(reel, frames) + " there and back";
    }
}
