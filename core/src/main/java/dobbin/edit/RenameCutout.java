package dobbin.edit;

import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import jakarta.validation.constraints.Size;
import java.util.List;

/** @param name 1 to 120 characters */
public record RenameCutout(
        int cutout,
        @Size(min = 1, max = Ranges.MAX_NAME_LENGTH) String name) implements Edit {
    @Override
    public Reel applyTo(Reel reel) {
        return Cutouts.of(reel, List.of(cutout)).each(each -> each.withName(name));
    }

    @Override
    public String title(Reel reel) {
        return "Rename " + Cutouts.words(reel, List.of(cutout));
    }
}
