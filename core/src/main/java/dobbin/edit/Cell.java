package dobbin.edit;

import dobbin.reel.Cutout;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import java.util.List;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.stream.Collectors;

/** A place on the exposure sheet: one cut-out on one frame. */
public record Cell(int cutout, int frame) {
    /**
     * Changes cut-outs where cells are chosen.
     *
     * @param change gets a cut-out and the frames chosen of it, which are in the reel
     * @throws EditRejected where there are no cells, or they name what the reel has not
     */
    static Reel each(Reel reel, List<Cell> cells, BiFunction<Cutout, Set<Integer>, Cutout> change) {
        Tracks tracks = new Tracks(reel.frames());
        for (Cell cell : cells) {
            if (tracks.index(cell.frame) < 0) {
                throw new EditRejected("cells", "are on a frame that is no longer in this reel");
            }
        }
        List<Integer> cutouts = cells.stream().map(Cell::cutout).distinct().toList();
        return Cutouts.of(reel, cutouts)
                .each(cutout -> change.apply(
                        cutout,
                        cells.stream()
                                .filter(cell -> cell.cutout == cutout.id())
                                .map(Cell::frame)
                                .collect(Collectors.toSet())));
    }

    /** @return "a pose of Ferry", "3 poses" */
    static String words(Reel reel, List<Cell> cells) {
        return cells.size() == 1
                ? "a pose of " + Cutouts.words(reel, List.of(cells.get(0).cutout))
                : cells.size() + " poses";
    }
}
