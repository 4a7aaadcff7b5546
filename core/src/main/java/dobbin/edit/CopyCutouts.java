package dobbin.edit;

import dobbin.reel.Cutout;
import dobbin.reel.Reel;
import java.util.ArrayList;
import java.util.List;

/** Lays copies of the named cut-outs over all others, at the same places with the same poses. */
public record CopyCutouts(List<Integer> cutouts) implements Edit {
    public CopyCutouts {
        cutouts = List.copyOf(cutouts);
    }

    @Override
    public Reel applyTo(Reel reel) {
        List<Cutout> all = new ArrayList<>(reel.cutouts());
        int id = reel.nextId();
        for (Cutout cutout : Cutouts.of(reel, cutouts).chosen()) {
            all.add(cutout.withId(id++));
        }
        return reel.withCutouts(all, id);
    }

    @Override
    public String title(Reel reel) {
        return "Copy " + Cutouts.words(reel, cutouts);
    }
}
