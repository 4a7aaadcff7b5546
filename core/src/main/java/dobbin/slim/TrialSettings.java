package dobbin.slim;

import dobbin.dither.Dither;
import dobbin.dither.Dithering;
import dobbin.raster.Size;
import dobbin.reel.Delivery;
import dobbin.reel.Framing;
import dobbin.reel.Reel;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** The settings that are tried for a loop: which there are, and which of them make a sensible spread. */
public final class TrialSettings {
    /** Numbers of colors, the most first. */
    public static final List<Integer> COLORS = List.of(256, 192, 128, 96, 64, 48, 32, 24, 16, 12, 8, 6, 4, 2);

    private static final List<Integer> TOLERANCES = List.of(20, 40, 60);
    private static final double[] WIDTHS = {1, 0.85, 0.7, 0.58, 0.48, 0.4};
    private static final int[] EVERY = {1, 2, 3};
    private static final int NARROWEST = 64;

    private final Reel reel;
    private final Delivery now;

    public TrialSettings(Reel reel) {
        this.reel = reel;
        this.now = reel.delivery();
    }

    /**
     * Settings that differ in the number of colors alone.
     *
     * @param usual whether they have the dithering and tolerance of most use
     */
    record Curve(Delivery base, boolean usual) {
        Delivery at(int colors) {
            return base.withColors(colors);
        }
    }

    /** @return the numbers of colors that go with what is kept, the most first */
    List<Integer> colors() {
        int kept = now.encoding().keptColors().size();
        return COLORS.stream()
                .filter(colors -> colors > kept + 1 || colors == 256)
                .toList();
    }

    /** @return with each of dithering and tolerance, at that framing */
    List<Curve> curves(Framing framing) {
        List<Curve> curves = new ArrayList<>();
        for (int tolerance : tolerances()) {
            for (boolean dithered : new boolean[] {true, false}) {
                Delivery base = dithered(now.with(framing), dithered).withTolerance(tolerance);
                curves.add(new Curve(base, dithered && tolerance == tolerances().get(0)));
            }
        }
        return curves;
    }

    /** @return framings that may be had by fewer pixels and frames, that of now first */
    List<Framing> framings(boolean mayNarrow, boolean mayThin) {
        List<Framing> framings = new ArrayList<>();
        for (int every : mayThin ? EVERY : new int[] {1}) {
            int frames = now.framing().every() * every;
            if (frames > 20 || every > 1 && reel.loop().size() < 2 * frames) {
                continue;
            }
            Framing thinned = now.framing().withEvery(frames);
            for (double share : mayNarrow ? WIDTHS : new double[] {1}) {
                Framing framing = narrowed(thinned, share);
                if (!framings.contains(framing)) {
                    framings.add(framing);
                }
            }
        }
        return framings;
    }

    /** @return every setting there is to choose from, for a search that leaves nothing out */
    public List<Delivery> all(boolean mayNarrow, boolean mayThin) {
        return framings(mayNarrow, mayThin).stream()
                .flatMap(framing -> curves(framing).stream())
                .flatMap(curve -> colors().stream().map(curve::at))
                .toList();
    }

    /**
     * @return a spread over colors, dithering, tolerance, width and frames; where the loop can be no narrower or has few
     *     frames, more of the others. About 24, each once
     */
    public List<Delivery> spread() {
        Framing whole = now.framing();
        Framing most = narrowed(whole, 0.75);
        Framing half = narrowed(whole, 0.6);
        Framing small = narrowed(whole, 0.45);
        Framing fewer = framings(false, true).size() > 1 ? whole.withEvery(2 * whole.every()) : whole;
        Set<Delivery> spread = new LinkedHashSet<>();
        Stream.of(
                        at(whole, 256, true, 20),
                        at(whole, 128, true, 40),
                        at(whole, 32, false, 20),
                        at(most, 128, true, 40),
                        at(most, 64, false, 20),
                        at(most, 16, false, 40),
                        at(half, 256, true, 20),
                        at(half, 128, true, 20),
                        at(half, 64, true, 40),
                        at(half, 32, true, 20),
                        at(half, 64, false, 40),
                        at(half, 16, false, 20),
                        at(small, 256, true, 20),
                        at(small, 128, true, 20),
                        at(small, 128, true, 40),
                        at(small, 64, true, 20),
                        at(small, 64, false, 20),
                        at(small, 32, true, 20),
                        at(small, 16, false, 20),
                        at(narrowed(fewer, 0.75), 128, true, 20),
                        at(narrowed(fewer, 0.6), 128, true, 20),
                        at(narrowed(fewer, 0.6), 64, true, 40),
                        at(narrowed(fewer, 0.6), 32, false, 20),
                        at(narrowed(fewer, 0.45), 128, true, 20))
                .forEach(spread::add);
        return List.copyOf(spread);
    }

    private Delivery at(Framing framing, int colors, boolean dithered, int tolerance) {
        int enough = Math.max(colors, now.encoding().keptColors().size() + 2);
        return dithered(now.with(framing).withColors(enough), dithered)
                .withTolerance(Math.max(tolerance, now.encoding().tolerance()));
    }

    private Delivery dithered(Delivery delivery, boolean dithered) {
        if (!dithered) {
            return delivery.withDithering(Dither.NONE, delivery.encoding().ditherAmount());
        }
        return now.dither() == Dither.NONE
                ? delivery.withDithering(Dithering.USUAL.dither(), Dithering.USUAL_AMOUNT)
                : delivery;
    }

    private List<Integer> tolerances() {
        int least = now.encoding().tolerance();
        return Stream.concat(Stream.of(least), TOLERANCES.stream().filter(each -> each > least))
                .toList();
    }

    /** A picture that is enlarged by a whole factor is enlarged by smaller ones, down to the canvas's own size. */
    private Framing narrowed(Framing framing, double share) {
        if (share == 1) {
            return framing;
        }
        if (framing.enlarge() > 1) {
            int factor = (int) Math.max(1, Math.round(framing.enlarge() * share));
            return new Framing(framing.crop(), 0, 0, factor, framing.scaling(), framing.every());
        }
        Size size = framing.sizeOf(reel.canvas());
        int width = (int) Math.round(size.width() * share);
        return width < NARROWEST ? framing : framing.withWidth(width);
    }
}
