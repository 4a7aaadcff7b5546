package dobbin.edit;

import dobbin.reel.Cutout;
import dobbin.reel.Reel;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Lets cut-outs be there on the frames of some cells, or be away from them.
 *
 * @param there false for away
 */
public record ShowCutouts(List<Cell> cells, boolean there) implements Edit {
    public ShowCutouts {
        cells = List.copyOf(cells);
    }

    @Override
    public Reel applyTo(Reel reel) {
        return Cell.each(reel, cells, this::shown);
    }

    @Override
    public String title(Reel reel) {
        List<Integer> cutouts = cells.stream().map(Cell::cutout).distinct().toList();
        long frames = cells.stream().map(Cell::frame).distinct().count();
        return (there ? "Show " : "Hide ")
                + Cutouts.words(reel, cutouts)
                + " on "
                + (frames == 1 ? "a frame" : frames + " frames");
    }

    private Cutout shown(Cutout cutout, Set<Integer> frames) {
        List<Integer> away = new ArrayList<>(cutout.away());
        if (there) {
            away.removeAll(frames);
        } else {
            away.addAll(frames);
        }
        return cutout.withAway(away);
    }
}
