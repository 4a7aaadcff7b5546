package dobbin.reel;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Deals the pictures of a cycle to frames that have none yet. Where no frame has one they go by place; a frame that
 * comes later goes on from the one before it. What a frame was dealt it keeps.
 */
final class Dealing {
    private Dealing() {}

    /** @return the cut-out, and the members of a group likewise, with a picture for each of {@code frames} */
    static Cutout dealt(Cutout cutout, List<Frame> frames) {
        return cutout.deeply(each -> own(each, frames));
    }

    private static Cutout own(Cutout cutout, List<Frame> frames) {
        boolean keeps = cutout.art() instanceof Cycle cycle
                && cycle.turns() == Cycle.Turns.KEPT
                && cycle.pictures().size() > 1;
        if (!keeps) {
            return cutout.shows().isEmpty() ? cutout : cutout.withShows(Map.of());
        }
        if (cutout.shows().size() == frames.size()) {
            return cutout;
        }
        Cycle cycle = (Cycle) cutout.art();
        Map<Integer, Integer> shows = new HashMap<>(cutout.shows());
        boolean afresh = shows.isEmpty();
        for (int i = 0; i < frames.size(); i++) {
            if (!shows.containsKey(frames.get(i).id())) {
                int picture = afresh || i == 0 ? cycle.turn(i) : next(cycle, shows, frames, i);
                shows.put(frames.get(i).id(), picture);
            }
        }
        return cutout.withShows(shows);
    }

    /** @return what the frame before {@code place} shows, or the next one where that has been seen long enough */
    private static int next(Cycle cycle, Map<Integer, Integer> shows, List<Frame> frames, int place) {
        int before = shows.get(frames.get(place - 1).id());
        int seen = 0;
        while (seen < cycle.every()
                && place > seen
                && shows.getOrDefault(frames.get(place - 1 - seen).id(), -1) == before) {
            seen++;
        }
        return seen < cycle.every() ? before : (before + 1) % cycle.pictures().size();
    }
}
