package dobbin.reel;

import dobbin.timing.Easing;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.IntUnaryOperator;

/**
 * Keeps what frames show of cut-outs when a reel gets other frames: each frame that stays, or is a copy, shows them as it
 * did, wherever it lies now. Poses, absences and the pictures of cycles go along with their frames; where glides would no
 * longer pass through the same places, poses are added, as few as needed. A new frame takes part in the glide between its
 * neighbors, and cut-outs are there as on the frame before it.
 */
final class CarriedCutouts {
    private static final int NEW = -1;

    private final Tracks before;
    private final List<Integer> frames;
    private final int[] sources;

    /** @param source the id of the frame of {@code before} that a frame of {@code after} shows cut-outs like, or 0 */
    CarriedCutouts(List<Frame> before, List<Frame> after, IntUnaryOperator source) {
        this.before = new Tracks(before);
        this.frames = after.stream().map(Frame::id).toList();
        this.sources = frames.stream()
                .mapToInt(frame -> this.before.index(source.applyAsInt(frame)))
                .toArray();
    }

    List<Cutout> of(List<Cutout> cutouts) {
        return cutouts.isEmpty() || frames.equals(before.ids())
                ? cutouts
                : cutouts.stream().map(cutout -> cutout.deeply(this::carried)).toList();
    }

    private Cutout carried(Cutout cutout) {
        return cutout.withKeys(keys(cutout)).withAway(away(cutout)).withShows(shows(cutout));
    }

    private List<Integer> away(Cutout cutout) {
        List<Integer> away = new ArrayList<>();
        Set<Integer> awayBefore = new HashSet<>(cutout.away());
        for (int i = 0; i < sources.length; i++) {
            int like = likeFor(i);
            if (like != NEW && awayBefore.contains(before.id(like))) {
                away.add(frames.get(i));
            }
        }
        return away;
    }

    /** @return the source of a frame; for a new one that of the nearest before it, at the start of the nearest after it */
    private int likeFor(int place) {
        for (int i = place; i >= 0; i--) {
            if (sources[i] != NEW) {
                return sources[i];
            }
        }
        for (int i = place; i < sources.length; i++) {
            if (sources[i] != NEW) {
                return sources[i];
            }
        }
        return NEW;
    }

    private Map<Integer, Integer> shows(Cutout cutout) {
        Map<Integer, Integer> shows = new TreeMap<>();
        for (int i = 0; i < sources.length; i++) {
            Integer picture = sources[i] == NEW ? null : cutout.shows().get(before.id(sources[i]));
            if (picture != null) {
                shows.put(frames.get(i), picture);
            }
        }
        return shows;
    }

    private List<Key> keys(Cutout cutout) {
        List<Pose> wanted = new ArrayList<>();
        Key[] kept = new Key[sources.length];
        Key[] likely = new Key[sources.length];
        boolean single = cutout.keys().size() == 1;
        boolean any = false;
        boolean keyed = false;
        for (int i = 0; i < sources.length; i++) {
            if (sources[i] == NEW) {
                wanted.add(null);
                continue;
            }
            any = true;
            wanted.add(before.pose(cutout, sources[i]));
            kept[i] = single && keyed ? null : key(cutout, i);
            likely[i] = kept[i] == null ? likely(cutout, i) : null;
            keyed |= kept[i] != null;
        }
        if (any) {
            return FittedKeys.of(frames, wanted, kept, likely);
        }
        int frame = frames.isEmpty() ? Key.NO_FRAME : frames.get(0);
        return List.of(before.inOrder(cutout).get(0).on(frame));
    }

    /** A pose goes where its frame or a copy of it goes. */
    private Key key(Cutout cutout, int place) {
        int source = sources[place];
        Key key = before.keyAt(cutout, source);
        if (key == null) {
            return null;
        }
        Key moved = key.on(frames.get(place));
        return source(place + 1) == source - 1 ? moved.leaving(leavesBackward(cutout, source)) : moved;
    }

    /** @return a pose where the order of the frames breaks off or turns, since a glide most likely needs one there; else null */
    private Key likely(Cutout cutout, int place) {
        int source = sources[place];
        boolean forward = source(place - 1) == source - 1 && source(place + 1) == source + 1;
        boolean backward = source(place - 1) == source + 1 && source(place + 1) == source - 1;
        if (forward || backward) {
            return null;
        }
        Easing leaves = source(place + 1) == source - 1 ? leavesBackward(cutout, source) : Easing.EVEN;
        return new Key(frames.get(place), before.pose(cutout, source), leaves);
    }

    private int source(int place) {
        return place < 0 || place >= sources.length || sources[place] == NEW ? Integer.MIN_VALUE : sources[place];
    }

    /** @return how the glide that arrives at {@code index}, or passes it, leaves when time runs backward */
    private Easing leavesBackward(Cutout cutout, int index) {
        Easing leaves = Easing.EVEN;
        for (Key key : before.inOrder(cutout)) {
            if (before.index(key.frame()) < index) {
                leaves = key.leaves();
            }
        }
        return leaves.backward();
    }
}
