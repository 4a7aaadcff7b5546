package dobbin.edit;

import dobbin.reel.Art;
import dobbin.reel.Reel;
import java.util.List;

/** Lets a cut-out show something else, in the poses it has. */
public record SetArt(int cutout, Art art) implements Edit {
    @Override
    public Reel applyTo(Reel reel) {
        return Cutouts.of(reel, List.of(cutout)).each(each -> each.withArt(art));
    }

    @Override
    public String title(Reel reel) {
        return "Change " + Cutouts.words(reel, List.of(cutout));
    }
}
