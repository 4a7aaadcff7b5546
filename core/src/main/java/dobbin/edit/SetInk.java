package dobbin.edit;

import dobbin.reel.Ink;
import dobbin.reel.OutOfRange;
import dobbin.reel.Reel;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Gives frames the ink that something drawn on them has made.
 *
 * @param inks at least one, of different frames
 * @param verb what was done, in a word or two: "Draw"
 */
public record SetInk(List<Drawn> inks, String verb) implements Edit {
    private static final int LONGEST_VERB = 40;

    /**
     * New ink of a frame.
     *
     * @param before the picture of the ink that it was drawn on, or empty for none
     */
    public record Drawn(int frame, String before, Ink ink) {}

    public SetInk {
        inks = List.copyOf(inks);
        if (inks.isEmpty() || inks.stream().map(Drawn::frame).distinct().count() < inks.size()) {
            throw new OutOfRange("inks", "must be at least one, of different frames");
        }
        if (verb == null || verb.isBlank() || verb.length() > LONGEST_VERB) {
            throw new OutOfRange("verb", "must have 1 to " + LONGEST_VERB + " characters");
        }
    }

    @Override
    public Reel applyTo(Reel reel) {
        Map<Integer, Drawn> drawn = inks.stream().collect(Collectors.toMap(Drawn::frame, Function.identity()));
        return Inked.with(reel, frames(), frame -> {
            Drawn mine = drawn.get(frame.id());
            if (!frame.ink().picture().equals(mine.before())) {
                throw new EditRejected("frame", "has other ink by now");
            }
            return mine.ink();
        });
    }

    @Override
    public String title(Reel reel) {
        return verb + " on " + Chosen.words(reel, frames());
    }

    private List<Integer> frames() {
        return inks.stream().map(Drawn::frame).toList();
    }
}
