package dobbin.edit;

import dobbin.reel.Reel;
import java.util.List;

/** Takes the named cut-outs out. */
public record RemoveCutouts(List<Integer> cutouts) implements Edit {
    public RemoveCutouts {
        cutouts = List.copyOf(cutouts);
    }

    @Override
    public Reel applyTo(Reel reel) {
        return reel.withCutouts(Cutouts.of(reel, cutouts).others());
    }

    @Override
    public String title(Reel reel) {
        return "Remove " + Cutouts.words(reel, cutouts);
    }
}
