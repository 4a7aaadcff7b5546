package dobbin.edit;

import dobbin.raster.Blend;
import dobbin.reel.Reel;
import dobbin.reel.Shadow;
import java.util.List;

/** Says how the named cut-outs lie on what is below. */
public record LayCutouts(List<Integer> cutouts, boolean under, Blend blend, Shadow shadow) implements Edit {
    public LayCutouts {
        cutouts = List.copyOf(cutouts);
    }

    @Override
    public Reel applyTo(Reel reel) {
        return Cutouts.of(reel, cutouts).each(each -> each.lying(under, blend, shadow));
    }

    @Override
    public String title(Reel reel) {
        return "Change blend and shadow of " + Cutouts.words(reel, cutouts);
    }
}
