package dobbin.edit;

import dobbin.raster.Blend;
import dobbin.reel.Reel;
import dobbin.reel.Shadow;
import java.util.List;

/** Sets the blend mode and the shadow of the named cut-outs, and whether they lie under the stills. */
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
