package dobbin.edit;

import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import dobbin.reel.Sharing;
import jakarta.validation.constraints.Size;

/** @param alt what the loop shows, in words, on one line; empty where it only decorates */
public record SetAlt(@Size(max = Ranges.MAX_ALT_LENGTH) String alt) implements Edit {
    @Override
    public Reel applyTo(Reel reel) {
        return reel.withSharing(new Sharing(alt, reel.sharing().still()));
    }

    @Override
    public String title(Reel reel) {
        return "Describe it in words";
    }
}
