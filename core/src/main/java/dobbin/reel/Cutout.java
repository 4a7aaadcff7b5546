package dobbin.reel;

import dobbin.raster.Blend;
import dobbin.raster.Region;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * A picture, lettering, shape or group that lives over many frames. It has poses at some of them and glides between.
 *
 * @param id among the ids of the reel's frames and runs; never used twice
 * @param pivotX what it turns and grows about, as a share of its art's width from the left, -10 to 10; {@code pivotY}
 *     from the top
 * @param under whether it lies under the stills and not over them
 * @param firstFrame the id of the frame it is there from, or {@link #OPEN} for the start; {@code lastFrame} likewise, or
 *     {@link #OPEN} for the end; of the two frames the one that plays first is the first
 * @param hidden whether it is not drawn for now
 * @param keys at least one, on frames that are all different, in no particular order
 */
public record Cutout(
        int id,
        String name,
        Art art,
        double pivotX,
        double pivotY,
        boolean under,
        Blend blend,
        Shadow shadow,
        int firstFrame,
        int lastFrame,
        boolean hidden,
        List<Key> keys) {
    public static final int OPEN = 0;

    public Cutout {
        name = Ranges.checkName("name", name);
        Ranges.checkAmount("pivotX", pivotX, -10, 10);
        Ranges.checkAmount("pivotY", pivotY, -10, 10);
        if (art == null || blend == null || shadow == null) {
            throw new OutOfRange(art == null ? "art" : blend == null ? "blend" : "shadow", "must be given");
        }
        keys = List.copyOf(keys);
        Set<Integer> frames = new HashSet<>();
        keys.forEach(key -> frames.add(key.frame()));
        if (keys.isEmpty() || frames.size() != keys.size()) {
            throw new OutOfRange("keys", "must be at least one, on different frames");
        }
    }

    /** @return one with a single pose, over all frames */
    public static Cutout of(int id, String name, Art art, Key key) {
        return new Cutout(id, name, art, 0.5, 0.5, false, Blend.NORMAL, Shadow.NONE, OPEN, OPEN, false, List.of(key));
    }

    public Cutout withId(int newId) {
        return new Cutout(newId, name, art, pivotX, pivotY, under, blend, shadow, firstFrame, lastFrame, hidden, keys);
    }

    public Cutout withName(String newName) {
        return new Cutout(id, newName, art, pivotX, pivotY, under, blend, shadow, firstFrame, lastFrame, hidden, keys);
    }

    public Cutout withArt(Art newArt) {
        return new Cutout(id, name, newArt, pivotX, pivotY, under, blend, shadow, firstFrame, lastFrame, hidden, keys);
    }

    public Cutout withPivot(double newX, double newY) {
        return new Cutout(id, name, art, newX, newY, under, blend, shadow, firstFrame, lastFrame, hidden, keys);
    }

    public Cutout withHidden(boolean newHidden) {
        return new Cutout(id, name, art, pivotX, pivotY, under, blend, shadow, firstFrame, lastFrame, newHidden, keys);
    }

    public Cutout lying(boolean newUnder, Blend newBlend, Shadow newShadow) {
        return new Cutout(
                id, name, art, pivotX, pivotY, newUnder, newBlend, newShadow, firstFrame, lastFrame, hidden, keys);
    }

    public Cutout withSpan(int first, int last) {
        return new Cutout(id, name, art, pivotX, pivotY, under, blend, shadow, first, last, hidden, keys);
    }

    public Cutout withKeys(List<Key> newKeys) {
        return new Cutout(id, name, art, pivotX, pivotY, under, blend, shadow, firstFrame, lastFrame, hidden, newKeys);
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
                ? withArt(new Group(
                        group.width(),
                        group.height(),
                        group.members().stream()
                                .map(member -> member.deeply(change))
                                .toList()))
                : this;
        return change.apply(inner);
    }
}
