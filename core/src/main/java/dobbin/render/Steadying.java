package dobbin.render;

import dobbin.raster.Homography;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Aligned;
import dobbin.reel.Still;
import dobbin.register.LineUp;
import dobbin.register.Registration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Takes the shake of a hand out of pictures that follow one another, and keeps what pans. Each picture is lined up to the
 * one before it; the way of the camera that this gives is smoothed, and each picture is moved from where it lay to where it
 * lies on the smooth way. A way that goes on evenly is smooth already, also at its ends.
 *
 * <p>Source of the scheme: C. Morimoto and R. Chellappa, "Fast electronic digital image stabilization", 1996, with a mean over
 * a window for their filter.
 */
public final class Steadying {
    /** How many pictures before and after enter the running mean. */
    private static final int REACH = 8;

    private Steadying() {}

    /**
     * Where a picture lies on the one before it.
     *
     * @param place from its pixels to those of the one before
     */
    public record Step(Homography place, double sure) {}

    /** @return the step from the one before, or empty where they do not match: a cut */
    public static Optional<Step> step(Still before, Still still, Pictures pictures) {
        Raster other = pictures.raster(before.picture(), LiningUp.LEVEL);
        Raster picture = pictures.raster(still.picture(), LiningUp.LEVEL);
        Registration found = new LineUp(other).of(picture);
        Homography place = Homography.of(LiningUp.scale(still.size(), picture.size()))
                .then(found.place(picture.size(), other.size()))
                .then(LiningUp.scale(other.size(), before.size()));
        return found.found() ? Optional.of(new Step(place, found.sure())) : Optional.empty();
    }

    /**
     * @param steps of each still from the one before it; the first has none
     * @return how each still is to be moved
     */
    public static List<Aligned> steadied(List<Still> stills, List<Optional<Step>> steps) {
        List<Aligned> moved = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= stills.size(); i++) {
            // Across a cut there is no way to smooth.
            if (i == stills.size() || steps.get(i).isEmpty()) {
                moved.addAll(shot(stills.subList(from, i), steps.subList(from, i)));
                from = i;
            }
        }
        return moved;
    }

    private static List<Aligned> shot(List<Still> stills, List<Optional<Step>> steps) {
        Size size = stills.get(0).size();
        List<Homography> way = new ArrayList<>();
        List<Aligned> places = new ArrayList<>();
        for (int i = 0; i < stills.size(); i++) {
            way.add(
                    i == 0
                            ? Homography.NONE
                            : steps.get(i).orElseThrow().place().then(way.get(i - 1)));
            places.add(Aligned.of(way.get(i), size, 1));
        }
        List<Aligned> moved = new ArrayList<>();
        for (int i = 0; i < stills.size(); i++) {
            Homography smooth = mean(places, i).place(size);
            double sure = i == 0 ? 1 : steps.get(i).orElseThrow().sure();
            moved.add(
                    Aligned.of(way.get(i).then(smooth.inverse()), stills.get(i).size(), sure));
        }
        return moved;
    }

    /** The window is symmetric: near the ends it is narrower. */
    private static Aligned mean(List<Aligned> places, int at) {
        int reach = Math.min(REACH, Math.min(at, places.size() - 1 - at));
        List<Aligned> near = places.subList(at - reach, at + reach + 1);
        return new Aligned(
                near.stream().mapToDouble(Aligned::dx).average().orElseThrow(),
                near.stream().mapToDouble(Aligned::dy).average().orElseThrow(),
                near.stream().mapToDouble(Aligned::turn).average().orElseThrow(),
                Math.exp(near.stream()
                        .mapToDouble(each -> Math.log(each.scale()))
                        .average()
                        .orElseThrow()),
                1);
    }
}
