package dobbin.reel;

import jakarta.validation.constraints.Size;
import java.util.List;

/**
 * How a loop is shown to those who do not see it move.
 *
 * @param alt what it shows, in words, on one line; empty where it only decorates
 * @param still the id of the frame that stands for it; {@link #FIRST} for the first one
 */
public record Sharing(@Size(max = Ranges.MAX_ALT_LENGTH) String alt, int still) {
    public static final int FIRST = 0;
    public static final Sharing USUAL = new Sharing("", FIRST);

    public Sharing {
        Ranges.check(Sharing.class, "alt", alt.length());
        if (alt.chars().anyMatch(Character::isISOControl)) {
            throw new OutOfRange("alt", "must be one line of text");
        }
        Ranges.checkText("alt", alt);
        if (still < FIRST) {
            throw new OutOfRange("still", "must be the id of a frame, or 0 for the first");
        }
    }

    /** @return the same, with the first frame for one that is not among these */
    Sharing among(List<Frame> frames) {
        return still == FIRST || frames.stream().anyMatch(frame -> frame.id() == still)
                ? this
                : new Sharing(alt, FIRST);
    }
}
