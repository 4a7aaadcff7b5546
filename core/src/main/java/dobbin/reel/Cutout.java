package dobbin.reel;

import dobbin.raster.Blend;
import dobbin.raster.Region;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;

/**
 * A picture, lettering, shape or group that lives over many frames. It has poses at some of them and glides between.
 *
 * @param id among the ids of the reel's frames and runs; never used twice
 * @param pivotX what it turns and grows about, as a share of its art's width from the left, -10 to 10; {@code pivotY}
 *     from the top
 * @param under whether it lies under the stills and not over them
 * @param hidden whether it is not drawn for now
 * @param keys at least one, on frames that are all different, in no particular order
 * @param away the ids of the frames it is not there on, in ascending order
 * @param shows by the id of a frame, the place of the picture that a cycle shows there, from 0; for cycles of several
 *     pictures that frames keep ({@link Cycle.Turns#KEPT}), else empty
 */
public record Cutout(
        int id,
        String name,
        Art art,
        @Min(-10) @Max(10) double pivotX,
        @Min(-10) @Max(10) double pivotY,
        boolean under,
        Blend blend,
        Shadow shadow,
        boolean hidden,
        List<Key> keys,
        List<Integer> away,
        SortedMap<Integer, Integer> shows) {

    public Cutout {
        name = Ranges.checkName("name", name);
        Ranges.checkAmount(Cutout.class, "pivotX", pivotX);
        Ranges.checkAmount(Cutout.class, "pivotY", pivotY);
        if (art == null || blend == null || shadow == null) {
            throw new OutOfRange(art == null ? "art" : blend == null ? "blend" : "shadow", "must be given");
        }
        keys = List.copyOf(keys);
        Set<Integer> frames = new HashSet<>();
        keys.forEach(key -> frames.add(key.frame()));
        if (keys.isEmpty() || frames.size() != keys.size()) {
            throw new OutOfRange("keys", "must be at least one, on different frames");
        }
        away = away.stream().distinct().sorted().toList();
        shows = Collections.unmodifiableSortedMap(new TreeMap<>(shows));
        for (int picture : shows.values()) {
            Ranges.check("shows", picture, 0, Cycle.MAX_PICTURES - 1);
        }
    }

    /** @return one with a single pose, over all frames */
    public static Cutout of(int id, String name, Art art, Key key) {
        return new Cutout(
                id,
                name,
                art,
                0.5,
                0.5,
                false,
                Blend.NORMAL,
                Shadow.NONE,
                false,
                List.of(key),
                List.of(),
                new TreeMap<>());
    }

    public Cutout withId(int newId) {
        return copy(it -> it.id = newId);
    }

    public Cutout withName(String newName) {
        return copy(it -> it.name = newName);
    }

    /** @return with other art; pictures are dealt anew unless both are cycles that deal them alike */
    public Cutout withArt(Art newArt) {
        boolean alike = art instanceof Cycle old && newArt instanceof Cycle cycle && cycle.dealsLike(old);
        return copy(it -> {
            it.art = newArt;
            it.shows = alike ? shows : new TreeMap<>();
        });
    }

    public Cutout withPivot(double newX, double newY) {
        return copy(it -> {
            it.pivotX = newX;
            it.pivotY = newY;
        });
    }

    public Cutout withHidden(boolean newHidden) {
        return copy(it -> it.hidden = newHidden);
    }

    public Cutout lying(boolean newUnder, Blend newBlend, Shadow newShadow) {
        return copy(it -> {
            it.under = newUnder;
            it.blend = newBlend;
            it.shadow = newShadow;
        });
    }

    /** @param frames the ids of those it is not there on */
    public Cutout withAway(List<Integer> frames) {
        return copy(it -> it.away = frames);
    }

    public Cutout withShows(Map<Integer, Integer> pictures) {
        return copy(it -> it.shows = new TreeMap<>(pictures));
    }

    public Cutout withKeys(List<Key> newKeys) {
        return copy(it -> it.keys = newKeys);
    }

    /** @return with every pose (dx, dy) further right and down, in pixels of the canvas */
    public Cutout movedBy(double dx, double dy) {
        return withKeys(keys.stream()
                .map(key -> key.withPose(key.pose().movedBy(dx, dy)))
                .toList());
    }

    /** @return with {@code key} in place of any on its frame */
    public Cutout withKey(Key key) {
        List<Key> others = new ArrayList<>(keys);
        others.removeIf(each -> each.frame() == key.frame());
        others.add(key);
        return withKeys(others);
    }

    /** @return the key on that frame, if there is one */
    public Optional<Key> key(int frame) {
        return keys.stream().filter(key -> key.frame() == frame).findFirst();
    }

    /** @return the upright box on the canvas around what it shows in that pose */
    public Region box(Pose pose) {
        return pose.place(pivotX * art.width(), pivotY * art.height()).around(art.width(), art.height());
    }

    /** @return as {@code change} makes of it, after it was done to the members of a group likewise */
    public Cutout deeply(UnaryOperator<Cutout> change) {
        Cutout inner = art instanceof Group group
                ? copy(it -> it.art = new Group(
                        group.width(),
                        group.height(),
                        group.members().stream()
                                .map(member -> member.deeply(change))
                                .toList()))
                : this;
        return change.apply(inner);
    }

    private Cutout copy(Consumer<Draft> change) {
        Draft draft = new Draft(this);
        change.accept(draft);
        return draft.cutout();
    }

    /** The fields while a changed copy is made of them. */
    private static final class Draft {
        private int id;
        private String name;
        private Art art;
        private double pivotX;
        private double pivotY;
        private boolean under;
        private Blend blend;
        private Shadow shadow;
        private boolean hidden;
        private List<Key> keys;
        private List<Integer> away;
        private SortedMap<Integer, Integer> shows;

        Draft(Cutout from) {
            id = from.id;
            name = from.name;
            art = from.art;
            pivotX = from.pivotX;
            pivotY = from.pivotY;
            under = from.under;
            blend = from.blend;
            shadow = from.shadow;
            hidden = from.hidden;
            keys = from.keys;
            away = from.away;
            shows = from.shows;
        }

        Cutout cutout() {
            return new Cutout(id, name, art, pivotX, pivotY, under, blend, shadow, hidden, keys, away, shows);
        }
    }
}
