package dobbin.edit;

import dobbin.raster.Affine;
import dobbin.reel.Cutout;
import dobbin.reel.FittedKeys;
import dobbin.reel.Group;
import dobbin.reel.Key;
import dobbin.reel.Pose;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import dobbin.timing.Easing;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** Makes single cut-outs of a group again. Each stays where it was on every frame. */
public record UngroupCutout(int cutout) implements Edit {
    @Override
    public Reel applyTo(Reel reel) {
        Cutout old = Cutouts.one(reel, cutout);
        if (!(old.art() instanceof Group group)) {
            throw new EditRejected("cutout", old.name() + " is not a group");
        }
        Tracks tracks = new Tracks(reel.frames());
        List<Cutout> order = new ArrayList<>(reel.cutouts());
        int at = order.indexOf(old);
        order.remove(at);
        int id = reel.nextId();
        for (Cutout member : group.members()) {
            order.add(at++, freed(old, group, member, tracks).withId(id++));
        }
        return reel.withCutouts(order, id);
    }

    @Override
    public String title(Reel reel) {
        return "Ungroup " + Cutouts.words(reel, List.of(cutout));
    }

    private static Cutout freed(Cutout old, Group group, Cutout member, Tracks tracks) {
        List<Pose> poses = IntStream.range(0, tracks.ids().size())
                .mapToObj(i -> composed(old, group, tracks.pose(old, i), tracks.pose(member, i)))
                .toList();
        List<Integer> frames = tracks.ids();
        Key[] keys = new Key[frames.size()];
        for (int i = 0; i < keys.length; i++) {
            int frame = frames.get(i);
            if (member.key(frame).isPresent() || old.key(frame).isPresent()) {
                Easing leaves = member.key(frame).or(() -> old.key(frame)).get().leaves();
                keys[i] = new Key(frame, poses.get(i), leaves);
            }
        }
        List<Integer> away = new ArrayList<>(member.away());
        away.addAll(old.away());
        return member.withKeys(FittedKeys.of(frames, poses, keys, new Key[keys.length]))
                .withAway(away)
                .withHidden(member.hidden() || old.hidden())
                .lying(old.under(), member.blend(), member.shadow());
    }

    private static Pose composed(Cutout old, Group group, Pose outer, Pose inner) {
        Affine place = outer.place(old.pivotX() * group.width(), old.pivotY() * group.height());
        return new Pose(
                place.x(inner.x(), inner.y()),
                place.y(inner.x(), inner.y()),
                inner.scaleX() * outer.scaleX(),
                inner.scaleY() * outer.scaleX(),
                inner.turn() + outer.turn(),
                inner.opacity() * outer.opacity(),
                inner.shown(),
                inner.walk());
    }
}
