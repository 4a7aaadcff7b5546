package dobbin.edit;

import dobbin.reel.Ink;
import dobbin.reel.OutOfRange;
import dobbin.reel.Reel;
import java.util.List;

/**
 * Gives a frame the ink that something drawn on it has made.
 *
 * @param before the picture of the ink that it was drawn on, or empty for none
 * @param verb what was done, in a word or two: "Draw"
 */
public record SetInk(int frame, String before, Ink ink, String verb) implements Edit {
    private static final int LONGEST_VERB = 40;

    public SetInk {
        if (verb == null || verb.isBlank() || verb.length() > LONGEST_VERB) {
            throw new OutOfRange("verb", "must have 1 to " + LONGEST_VERB + " characters");
        }
    }

    @Override
    public Reel applyTo(Reel reel) {
        if (!Inked.one(reel, frame).ink().picture().equals(before)) {
            throw new EditRejected("frame", "has other ink by now");
        }
        return Inked.with(reel, List.of(frame), any -> ink);
    }

    @Override
    public String title(Reel reel) {
        return verb + " on " + Chosen.words(reel, List.of(frame));
    }
}
