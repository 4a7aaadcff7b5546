package dobbin.edit;

import dobbin.reel.Cutout;
import dobbin.reel.Reel;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;

/** The cut-outs an edit acts on: checked to be there, the lowest first whatever order they were named in. */
final class Cutouts {
    private final Reel reel;
    private final Set<Integer> ids;
    private final List<Cutout> chosen;

    private Cutouts(Reel reel, Set<Integer> ids, List<Cutout> chosen) {
        this.reel = reel;
        this.ids = ids;
        this.chosen = chosen;
    }

    /** @throws EditRejected where {@code ids} is empty or names a cut-out the reel has not */
    static Cutouts of(Reel reel, List<Integer> ids) {
        Set<Integer> wanted = Set.copyOf(ids);
        if (wanted.isEmpty()) {
            throw new EditRejected("cutouts", "must name at least one cut-out. Choose one first");
        }
        List<Cutout> chosen = reel.cutouts().stream()
                .filter(each -> wanted.contains(each.id()))
                .toList();
        if (chosen.size() != wanted.size()) {
            throw new EditRejected(
                    "cutouts", "name " + (wanted.size() - chosen.size()) + " that are no longer in this reel");
        }
        return new Cutouts(reel, wanted, chosen);
    }

    static Cutout one(Reel reel, int id) {
        return of(reel, List.of(id)).chosen.get(0);
    }

    List<Cutout> chosen() {
        return chosen;
    }

    /** @return the reel in which each chosen one is what {@code change} makes of it */
    Reel each(UnaryOperator<Cutout> change) {
        return reel.withCutouts(reel.cutouts().stream()
                .map(cutout -> ids.contains(cutout.id()) ? change.apply(cutout) : cutout)
                .toList());
    }

    /** @return all of the reel's but the chosen ones, to be changed by the caller */
    List<Cutout> others() {
        List<Cutout> others = new ArrayList<>(reel.cutouts());
        others.removeAll(chosen);
        return others;
    }

    /** @return the name of one, "3 cut-outs" for several */
    static String words(Reel reel, List<Integer> ids) {
        return ids.size() != 1
                ? ids.size() + " cut-outs"
                : reel.cutouts().stream()
                        .filter(each -> each.id() == ids.get(0))
                        .map(Cutout::name)
                        .findFirst()
                        .orElse("a cut-out");
    }
}
