package dobbin.edit;

import dobbin.reel.Reel;
import java.util.List;

/**
 * Does not draw the named cut-outs for now, neither here nor in the file, or draws them again.
 *
 * @param hidden false to draw them again
 */
public record HideCutouts(List<Integer> cutouts, boolean hidden) implements Edit {
    public HideCutouts {
        cutouts = List.copyOf(cutouts);
    }

    @Override
    public Reel applyTo(Reel reel) {
        return Cutouts.of(reel, cutouts).each(each -> each.withHidden(hidden));
    }

    @Override
    public String title(Reel reel) {
        return (hidden ? "Hide " : "Show ") + Cutouts.words(reel, cutouts);
    }
}
