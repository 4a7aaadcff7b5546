package dobbin.edit;

import dobbin.reel.Cutout;
import dobbin.reel.Key;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Moves poses to other frames; they take the places of those that are there.
 *
 * @param by how many frames later, or earlier where it is less than 0
 */
public record MovePoses(List<Cell> cells, int by) implements Edit {
    public MovePoses {
        cells = List.copyOf(cells);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Tracks tracks = new Tracks(reel.frames());
        return Cell.each(reel, cells, (cutout, frames) -> moved(cutout, frames, tracks));
    }

    @Override
    public String title(Reel reel) {
        return "Move " + Cell.words(reel, cells);
    }

    private Cutout moved(Cutout cutout, Set<Integer> frames, Tracks tracks) {
        List<Key> moving = new ArrayList<>();
        List<Key> staying = new ArrayList<>();
        cutout.keys().forEach(key -> (frames.contains(key.frame()) ? moving : staying).add(key));
        if (moving.isEmpty()) {
            return cutout;
        }
        Cutout moved = cutout.withKeys(staying.isEmpty() ? List.of(moving.get(0)) : staying);
        List<Key> there =
                moving.stream().map(key -> key.on(target(tracks, key))).toList();
        if (staying.isEmpty()) {
            return cutout.withKeys(there);
        }
        for (Key key : there) {
            moved = moved.withKey(key);
        }
        return moved;
    }

    private int target(Tracks tracks, Key key) {
        int index = tracks.index(key.frame()) + by;
        if (index < 0 || index >= tracks.ids().size()) {
            throw new EditRejected("by", "would move a pose beyond the frames there are");
        }
        return tracks.id(index);
    }
}
