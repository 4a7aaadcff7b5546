package dobbin.edit;

import dobbin.reel.Cutout;
import dobbin.reel.Key;
import dobbin.reel.Reel;
import java.util.List;
import java.util.Set;

/** Takes poses away; a cut-out keeps at least one. */
public record RemovePoses(List<Cell> cells) implements Edit {
    public RemovePoses {
        cells = List.copyOf(cells);
    }

    @Override
    public Reel applyTo(Reel reel) {
        return Cell.each(reel, cells, RemovePoses::without);
    }

    @Override
    public String title(Reel reel) {
        return "Remove " + Cell.words(reel, cells);
    }

    private static Cutout without(Cutout cutout, Set<Integer> frames) {
        List<Key> left = cutout.keys().stream()
                .filter(key -> !frames.contains(key.frame()))
                .toList();
        if (left.isEmpty()) {
            throw new EditRejected(
                    "cells", "hold all poses of " + cutout.name() + ". A cut-out needs at least one pose");
        }
        return cutout.withKeys(left);
    }
}
