package dobbin.edit;

import dobbin.reel.Cutout;
import dobbin.reel.Reel;
import java.util.List;

/**
 * Lays a cut-out elsewhere among the others.
 *
 * @param over the one it goes right over; 0 for under all
 */
public record OrderCutout(int cutout, int over) implements Edit {
    @Override
    public Reel applyTo(Reel reel) {
        Cutout moved = Cutouts.one(reel, cutout);
        List<Cutout> order = Cutouts.of(reel, List.of(cutout)).others();
        int at = over == 0 ? 0 : order.indexOf(Cutouts.one(reel, over)) + 1;
        if (cutout == over) {
            throw new EditRejected("over", "must be another cut-out");
        }
        order.add(at, moved);
        return reel.withCutouts(order);
    }

    @Override
    public String title(Reel reel) {
        return "Change the order of " + Cutouts.words(reel, List.of(cutout));
    }
}
