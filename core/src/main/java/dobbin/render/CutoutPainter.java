package dobbin.render;

import dobbin.raster.Affine;
import dobbin.raster.Blend;
import dobbin.raster.Bounds;
import dobbin.raster.Compositor;
import dobbin.raster.Layer;
import dobbin.raster.Placement;
import dobbin.raster.Raster;
import dobbin.raster.Region;
import dobbin.raster.Size;
import dobbin.reel.Art;
import dobbin.reel.Cutout;
import dobbin.reel.Cycle;
import dobbin.reel.Group;
import dobbin.reel.PictureRef;
import dobbin.reel.Pose;
import dobbin.reel.Tracks;
import dobbin.reel.Words;
import java.awt.Graphics2D;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** Draws the cut-outs of one frame. */
final class CutoutPainter {
    /** How far letters may stick out of their box, as a share of their size. */
    private static final double OVERHANG = 0.4;

    private final Tracks tracks;
    private final int index;
    private final Pictures pictures;

    /** @param index of the frame, from 0 */
    CutoutPainter(Tracks tracks, int index, Pictures pictures) {
        this.tracks = tracks;
        this.index = index;
        this.pictures = pictures;
    }

    /**
     * Lays cut-outs over what is there, the first one lowest.
     *
     * @param place from the canvas to the pixels
     * @param into {@code size.area()} pixels, changed in place
     */
    void draw(List<Cutout> cutouts, Affine place, int[] into, Size size) {
        for (Cutout cutout : cutouts) {
            if (!cutout.hidden() && tracks.isThere(cutout, index)) {
                lay(cutout, place, into, size);
            }
        }
    }

    /** @return the art alone, as it is on this frame but for its pose, as far as it is seen on a picture */
    Optional<Layer> alone(Cutout cutout, Affine place, Size size) {
        Pose pose = tracks.pose(cutout, index);
        return art(cutout, pose, place, Bounds.all(size));
    }

    private void lay(Cutout cutout, Affine place, int[] into, Size size) {
        Pose pose = tracks.pose(cutout, index);
        if (pose.opacity() == 0) {
            return;
        }
        double scale = place.across();
        int reach = cutout.shadow().none() ? 0 : ShadowPainter.reach(cutout.shadow(), scale);
        Art art = cutout.art();
        Affine whole = pose.place(cutout.pivotX() * art.width(), cutout.pivotY() * art.height())
                .then(place);
        if (art instanceof Group group && isPlain(cutout, pose)) {
            draw(group.members(), whole, into, size);
            return;
        }
        art(cutout, pose, whole, Bounds.all(size).grownBy(reach))
                .map(layer -> layer.faded(pose.opacity()))
                .ifPresent(layer -> {
                    if (!cutout.shadow().none()) {
                        Layer shadow = ShadowPainter.of(layer, cutout.shadow(), scale);
                        Compositor.over(shadow.raster(), shadow.x(), shadow.y(), into, size);
                    }
                    Compositor.blend(layer, cutout.blend(), into, size);
                });
    }

    /** Members of a group that does nothing of its own lie on what is below as if they were single. */
    private static boolean isPlain(Cutout cutout, Pose pose) {
        return pose.opacity() == 1
                && cutout.blend() == Blend.NORMAL
                && cutout.shadow().none();
    }

    private Optional<Layer> art(Cutout cutout, Pose pose, Affine place, Bounds clip) {
        return place.isFlat()
                ? Optional.empty()
                : cutout.art()
                        .match(
                                cycle -> picture(cycle, tracks.turn(cutout, index), place, clip),
                                words -> penned(
                                        words,
                                        overhang(words, place),
                                        place,
                                        clip,
                                        pen -> WordsPainter.draw(words, pose, pen)),
                                shape -> penned(shape, 0, place, clip, pen -> ShapePainter.draw(shape, pen)),
                                group -> group(group, place, clip));
    }

    private static double overhang(Words words, Affine place) {
        return OVERHANG * words.size() * Math.max(place.across(), place.down());
    }

    private static Optional<Layer> penned(
            Art art, double overhang, Affine place, Bounds clip, Consumer<Graphics2D> drawing) {
        Bounds seen = Bounds.around(place.around(art.width(), art.height()))
                .grownBy(1 + (int) Math.min(10_000, Math.ceil(overhang)))
                .within(clip);
        return seen.isEmpty() ? Optional.empty() : Optional.of(OutlinePainter.draw(seen, place, drawing));
    }

    private Optional<Layer> picture(Cycle cycle, int turn, Affine place, Bounds clip) {
        PictureRef ref = cycle.pictures().get(turn);
        Size size = ref.size();
        Region drawn = place.around(size.width(), size.height());
        if (Bounds.around(drawn).grownBy(1).within(clip).isEmpty()) {
            return Optional.empty();
        }
        Size wanted =
                new Size((int) Math.max(1, Math.min(size.width(), Math.ceil(size.width() * place.across()))), (int)
                        Math.max(1, Math.min(size.height(), Math.ceil(size.height() * place.down()))));
        Raster raster = pictures.raster(ref.picture(), Level.forDrawing(wanted));
        Affine inBox = Affine.scale((double) size.width() / raster.width(), (double) size.height() / raster.height())
                .then(Affine.shift((cycle.width() - size.width()) / 2, (cycle.height() - size.height()) / 2));
        return Placement.draw(raster, inBox.then(place), clip);
    }

    private Optional<Layer> group(Group group, Affine place, Bounds clip) {
        if (clip.isEmpty()) {
            return Optional.empty();
        }
        int[] argb = new int[Math.toIntExact(clip.size().area())];
        draw(group.members(), place.then(Affine.shift(-clip.left(), -clip.top())), argb, clip.size());
        return Optional.of(new Layer(Raster.of(clip.size(), argb), clip.left(), clip.top()));
    }
}
