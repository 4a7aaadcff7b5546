package dobbin.edit;

import dobbin.reel.Cutout;
import dobbin.reel.Key;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** Spreads the chosen poses of each cut-out evenly between the first and the last of them. */
public record SpreadPoses(List<Cell> cells) implements Edit {
    public SpreadPoses {
        cells = List.copyOf(cells);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Tracks tracks = new Tracks(reel.frames());
        return Cell.each(reel, cells, (cutout, frames) -> spread(cutout, frames, tracks));
    }

    @Override
    public String title(Reel reel) {
        return "Space " + Cell.words(reel, cells) + " evenly";
    }

    private static Cutout spread(Cutout cutout, Set<Integer> frames, Tracks tracks) {
        List<Key> chosen = tracks.inOrder(cutout).stream()
                .filter(key -> frames.contains(key.frame()))
                .toList();
        if (chosen.size() < 3) {
            return cutout;
        }
        int first = tracks.index(chosen.get(0).frame());
        int last = tracks.index(chosen.get(chosen.size() - 1).frame());
        List<Key> all = new ArrayList<>(cutout.keys());
        all.removeAll(chosen);
        Cutout spread = cutout.withKeys(all.isEmpty() ? List.of(chosen.get(0)) : all);
        for (int i = 0; i < chosen.size(); i++) {
            double share = i / (chosen.size() - 1.0);
            int index = (int) Math.round(first + (last - first) * share);
            spread = spread.withKey(chosen.get(i).on(tracks.id(index)));
        }
        return spread;
    }
}
