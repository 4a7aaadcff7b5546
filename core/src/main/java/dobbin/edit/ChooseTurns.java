package dobbin.edit;

import dobbin.reel.Cutout;
import dobbin.reel.Cycle;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Chooses which picture of their cycles cut-outs show on the frames of some cells.
 *
 * @param picture its place in the cycle, from 0
 */
public record ChooseTurns(List<Cell> cells, int picture) implements Edit {
    public ChooseTurns {
        cells = List.copyOf(cells);
    }

    @Override
    public Reel applyTo(Reel reel) {
        return Cell.each(reel, cells, this::chosen);
    }

    @Override
    public String title(Reel reel) {
        return "Choose a picture of "
                + Cutouts.words(
                        reel, cells.stream().map(Cell::cutout).distinct().toList());
    }

    private Cutout chosen(Cutout cutout, Set<Integer> frames) {
        if (!(cutout.art() instanceof Cycle cycle) || cycle.turns() != Cycle.Turns.KEPT) {
            throw new EditRejected(
                    "cells", "name " + cutout.name() + ", whose pictures are not kept by frames but go by a rule");
        }
        Ranges.check("picture", picture, 0, cycle.pictures().size() - 1);
        Map<Integer, Integer> shows = new HashMap<>(cutout.shows());
        if (cycle.pictures().size() > 1) {
            frames.forEach(frame -> shows.put(frame, picture));
        }
        return cutout.withShows(shows);
    }
}
