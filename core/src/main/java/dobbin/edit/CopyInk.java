package dobbin.edit;

import dobbin.reel.Ink;
import dobbin.reel.OutOfRange;
import dobbin.reel.Reel;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Gives frames the ink of others, in place of their own. Where several give theirs, they take turns: the first of the frames
 * gets the first one's ink, the next the next one's, and then from the first on again.
 *
 * @param from the frames whose ink it is, at least one
 */
public record CopyInk(List<Integer> from, List<Integer> to) implements Edit {
    public CopyInk {
        from = List.copyOf(from);
        to = List.copyOf(to);
        if (from.isEmpty()) {
            throw new OutOfRange("from", "must be at least one frame");
        }
    }

    @Override
    public Reel applyTo(Reel reel) {
        List<Ink> inks = from.stream().map(frame -> Inked.inkOf(reel, frame)).toList();
        Map<Integer, Ink> turns = new HashMap<>();
        for (int i = 0; i < to.size(); i++) {
            turns.put(to.get(i), inks.get(i % inks.size()));
        }
        return Inked.with(reel, to, frame -> turns.get(frame.id()));
    }

    @Override
    public String title(Reel reel) {
        return "Copy ink to " + Chosen.words(reel, to);
    }
}
