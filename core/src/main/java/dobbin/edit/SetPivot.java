package dobbin.edit;

import dobbin.raster.Affine;
import dobbin.reel.Cutout;
import dobbin.reel.Key;
import dobbin.reel.Reel;
import java.util.List;

/**
 * Lets a cut-out turn and grow about another point of it. Where it has poses it does not move.
 *
 * @param x share of its art's width from the left, {@code y} of the height from the top
 */
public record SetPivot(int cutout, double x, double y) implements Edit {
    @Override
    public Reel applyTo(Reel reel) {
        return Cutouts.of(reel, List.of(cutout)).each(this::moved);
    }

    @Override
    public boolean continues(Edit before) {
        return before instanceof SetPivot other && cutout == other.cutout;
    }

    @Override
    public String title(Reel reel) {
        return "Move the pivot of " + Cutouts.words(reel, List.of(cutout));
    }

    private Cutout moved(Cutout old) {
        double pivotX = x * old.art().width();
        double pivotY = y * old.art().height();
        return old.withPivot(x, y)
                .withKeys(old.keys().stream()
                        .map(key -> key.withPose(key.pose()
                                .withPlace(
                                        place(old, key).x(pivotX, pivotY),
                                        place(old, key).y(pivotX, pivotY))))
                        .toList());
    }

    private static Affine place(Cutout old, Key key) {
        return key.pose()
                .place(
                        old.pivotX() * old.art().width(),
                        old.pivotY() * old.art().height());
    }
}
