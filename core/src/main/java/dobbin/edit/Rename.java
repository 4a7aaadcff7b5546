package dobbin.edit;

import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import jakarta.validation.constraints.Size;

/** @param name 1 to 120 characters */
public record Rename(
        @Size(min = 1, max = Ranges.MAX_NAME_LENGTH) String name) implements Edit {
    @Override
    public Reel applyTo(Reel reel) {
        return reel.withName(name);
    }

    @Override
    public String title(Reel reel) {
        return "Rename";
    }
}
