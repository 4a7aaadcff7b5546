package dobbin.slim;

import dobbin.palette.ColorCloud;
import dobbin.palette.Palette;
import dobbin.palette.PaletteBuilder;
import dobbin.palette.PaletteChoice;
import dobbin.palette.PaletteTerms;
import dobbin.raster.Memory;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Which palette each frame has.
 *
 * @param ofFrames one a frame, the same object where it is shared
 * @param lossless whether they hold every color there is
 * @param reason why there is one palette, or why there are several
 */
record PalettePlan(List<Palette> ofFrames, boolean lossless, PaletteReason reason) {
    /** Below this mean distance in Oklab one palette is as good as anyone can see. */
    private static final double UNSEEN = 0.005;
    /** Palettes of their own must bring frames at least this much nearer to pay. */
    private static final double WORTH_IT = 0.8;
    /** A palette is kept for the next frame while it is not worse than a new one by more than this. */
    private static final double STILL_GOOD = 1.15;
    /** How many frames are looked at before every frame's palette is worked out. */
    private static final int PROBES = 5;

    /**
     * @param clouds the colors of each frame
     * @param usual what a palette is to be made of, but for transparency
     */
    record Wanted(List<ColorCloud> clouds, PaletteChoice choice, PaletteTerms usual, Memory memory) {
        private record Joined(List<Long> clouds) {}

        /** The same for the same clouds, whatever their order. */
        ColorCloud joined() {
            if (clouds.size() == 1) {
                return clouds.get(0);
            }
            Joined terms = new Joined(
                    clouds.stream().map(ColorCloud::serialNumber).sorted().toList());
            ColorCloud oldest = Collections.min(clouds, Comparator.comparingLong(ColorCloud::serialNumber));
            return memory.of(oldest, terms, () -> ColorCloud.joined(clouds));
        }

        Palette of(ColorCloud cloud, boolean transparent) {
            PaletteTerms terms = usual.withTransparent(transparent);
            return memory.of(cloud, terms, () -> PaletteBuilder.build(cloud, terms));
        }
    }

    static PalettePlan of(Wanted wanted, FrameWork work) {
        ColorCloud all = wanted.joined();
        Palette one = ofLoop(wanted, all);
        boolean lossless = holdsAll(one, all);
        if (wanted.clouds.size() == 1) {
            return shared(one, wanted, lossless, PaletteReason.ONE_FRAME);
        }
        if (lossless && wanted.choice != PaletteChoice.FRAME) {
            return shared(one, wanted, true, PaletteReason.HOLDS_ALL);
        }
        if (wanted.choice == PaletteChoice.LOOP) {
            return shared(one, wanted, false, PaletteReason.WANTED);
        }
        if (wanted.choice == PaletteChoice.FRAME) {
            List<Palette> own = work.each(wanted.clouds, cloud -> wanted.of(cloud, true));
            return new PalettePlan(
                    own,
                    IntStream.range(0, own.size()).allMatch(i -> holdsAll(own.get(i), wanted.clouds.get(i))),
                    PaletteReason.WANTED);
        }
        if (isGoodEnough(one, all, wanted, work)) {
            return shared(one, wanted, false, PaletteReason.AS_GOOD);
        }
        return new PalettePlan(whereItPays(wanted, work), false, PaletteReason.COLORS_CHANGE);
    }

    /**
     * A loop needs a transparent entry for what stays the same from frame to frame. It can do without one where the palette
     * holds every color and has no entry to spare: then what stays is drawn again, as it is.
     */
    private static Palette ofLoop(Wanted wanted, ColorCloud all) {
        if (wanted.clouds.size() == 1 || all.distinct() == wanted.usual.entries()) {
            Palette withoutNeed = wanted.of(all, all.transparentSeen());
            if (wanted.clouds.size() == 1 || holdsAll(withoutNeed, all)) {
                return withoutNeed;
            }
        }
        return wanted.of(all, true);
    }

    /** @return the palette of the file, which frames need not bring */
    Palette ofFile() {
        return ofFrames.get(0);
    }

    int palettes() {
        return (int) ofFrames.stream().map(System::identityHashCode).distinct().count();
    }

    /** @return entries of the largest palette, a transparent one included */
    int colors() {
        return ofFrames.stream().mapToInt(Palette::entries).max().orElseThrow();
    }

    private static PalettePlan shared(Palette one, Wanted wanted, boolean lossless, PaletteReason reason) {
        return new PalettePlan(wanted.clouds.stream().map(cloud -> one).toList(), lossless, reason);
    }

    private static boolean holdsAll(Palette palette, ColorCloud cloud) {
        if (cloud.distinct() > Palette.MAX_ENTRIES) {
            return false;
        }
        Set<Integer> held = Arrays.stream(palette.colors()).boxed().collect(Collectors.toCollection(HashSet::new));
        return Arrays.stream(cloud.distinctColors()).allMatch(held::contains);
    }

    private static boolean isGoodEnough(Palette one, ColorCloud all, Wanted wanted, FrameWork work) {
        if (all.meanDistance(one) < UNSEEN) {
            return true;
        }
        int frames = wanted.clouds.size();
        List<ColorCloud> probes = IntStream.range(0, Math.min(PROBES, frames))
                .mapToObj(i ->
                        wanted.clouds.get((int) ((long) i * (frames - 1) / Math.max(1, Math.min(PROBES, frames) - 1))))
                .toList();
        List<double[]> distances = work.each(probes, cloud ->
                new double[] {cloud.meanDistance(one), cloud.meanDistance(wanted.of(cloud, true))});
        double shared = distances.stream().mapToDouble(each -> each[0]).sum();
        double own = distances.stream().mapToDouble(each -> each[1]).sum();
        return own > WORTH_IT * shared;
    }

    private static List<Palette> whereItPays(Wanted wanted, FrameWork work) {
        record Own(Palette palette, double distance) {}
        Function<ColorCloud, Own> own = cloud -> {
            Palette palette = wanted.of(cloud, true);
            return new Own(palette, cloud.meanDistance(palette));
        };
        List<Own> owns = work.each(wanted.clouds, own);
        List<Palette> chosen = new ArrayList<>();
        for (int i = 0; i < owns.size(); i++) {
            boolean keeps =
                    i > 0 && wanted.clouds.get(i).meanDistance(chosen.get(i - 1)) <= STILL_GOOD * owns.get(i).distance;
            chosen.add(keeps ? chosen.get(i - 1) : owns.get(i).palette);
        }
        return chosen;
    }
}
