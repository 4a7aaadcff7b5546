package dobbin.edit;

import dobbin.reel.Cutout;
import dobbin.reel.Key;
import dobbin.reel.Reel;
import dobbin.timing.Easing;
import java.util.List;
import java.util.Set;

/** Says how cut-outs go on from the chosen poses to the next ones. */
public record SetLeaves(List<Cell> cells, Easing leaves) implements Edit {
    public SetLeaves {
        cells = List.copyOf(cells);
    }

    @Override
    public Reel applyTo(Reel reel) {
        return Cell.each(reel, cells, this::leaving);
    }

    @Override
    public String title(Reel reel) {
        return "Set the easing of " + Cell.words(reel, cells);
    }

    private Cutout leaving(Cutout cutout, Set<Integer> frames) {
        List<Key> keys = cutout.keys().stream()
                .map(key -> frames.contains(key.frame()) ? key.leaving(leaves) : key)
                .toList();
        return cutout.withKeys(keys);
    }
}
