package dobbin.slim;

import static org.assertj.core.api.Assertions.assertThat;

import dobbin.color.Oklab;
import dobbin.compare.Viewed;
import dobbin.gif.EncodedFrame;
import dobbin.gif.GifFile;
import dobbin.gif.GifSettings;
import dobbin.gif.JdkScreen;
import dobbin.gif.LoopEncoder;
import dobbin.palette.NearestColor;
import dobbin.palette.Palette;
import dobbin.raster.Raster;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * All settings together, drawn at random: whatever they are, a second decoder shows each frame of the loop as the settings
 * allow. {@code -Ddobbin.combinations=20000} draws more than the suite does.
 */
class AnySettingsTest {
    private static final int COMBINATIONS = Integer.getInteger("dobbin.combinations", 300);
    /** The engine compares distances in whole numbers. */
    private static final double ROUNDED = 0.002;
    /** By how much more a frame may look off than the same frame alone: of it, and in Oklab times 100. */
    private static final double SHARE_ABOVE_ALONE = 1.25;

    private static final double ABOVE_ALONE = 1;

    @Test
    void everyFrameShowsWhatItsSettingsAllow() throws Exception {
        for (int seed = 0; seed < COMBINATIONS; seed++) {
            AnyDelivery any = AnyDelivery.ofSeed(seed);
            try {
                check(any);
            } catch (AssertionError | RuntimeException e) {
                throw new AssertionError("seed " + seed + ": " + any, e);
            }
        }
    }

    private static void check(AnyDelivery any) throws IOException {
        Reel reel = any.reel();
        Slim slim = new Slim(Runnable::run);
        Drawing drawing = (it, tracks, frame, framed) -> framed.draw(it, tracks, frame, Loops.pictures(any.rasters()));
        Encoded encoded = slim.encode(reel, drawing, Progress.NONE);
        List<Raster> wanted = wanted(reel, any.rasters());
        List<Raster> shown = shown(encoded, Slim.file(encoded, reel));
        List<Palette> palettes = palettes(encoded, wanted.size());
        assertThat(palettes)
                .allSatisfy(palette -> assertThat(palette.entries())
                        .isLessThanOrEqualTo(reel.delivery().colors()));
        Reaches reaches = new Reaches(encoded.settings(), palettes);
        for (int frame = 0; frame < wanted.size(); frame++) {
            assertThat(holes(shown.get(frame))).as("transparent").isEqualTo(holes(wanted.get(frame)));
            if (encoded.settings().dithering().mixes()) {
                checkLooks(frame, wanted, shown.get(frame), encoded, palettes);
            } else {
                checkPixels(frame, wanted, shown.get(frame), reaches, encoded.settings());
            }
        }
    }

    private static List<Raster> wanted(Reel reel, List<Raster> rasters) {
        Framed framed = Framed.of(reel);
        Tracks tracks = new Tracks(reel.frames());
        List<Raster> wanted = new ArrayList<>();
        for (Frame frame : reel.deliveredFrames()) {
            wanted.add(Slim.hardened(framed.draw(reel, tracks, frame, Loops.pictures(rasters)), reel.delivery()));
        }
        return wanted;
    }

    /** @return the screen for each frame of the loop; frames that are the same are one in the file */
    private static List<Raster> shown(Encoded encoded, Delivered file) throws IOException {
        List<Raster> screens = JdkScreen.shown(file.bytes(), encoded.size());
        assertThat(screens).hasSize(encoded.stored().size());
        List<Raster> shown = new ArrayList<>();
        for (int i = 0; i < screens.size(); i++) {
            shown.addAll(Collections.nCopies(encoded.stored().get(i).frames(), screens.get(i)));
        }
        return shown;
    }

    /** @return the palette that each frame was coded with */
    private static List<Palette> palettes(Encoded encoded, int frames) {
        Palette ofFile = encoded.settings().palette();
        List<Palette> palettes = new ArrayList<>();
        for (EncodedFrame each : encoded.stored()) {
            Palette own = each.stored().own();
            // A frame of few colors may bring a part of the one palette there is.
            palettes.addAll(Collections.nCopies(each.frames(), own == null || encoded.palettes() == 1 ? ofFile : own));
        }
        assertThat(palettes).hasSize(frames);
        return palettes;
    }

    private static List<Boolean> holes(Raster picture) {
        return Arrays.stream(picture.argb()).mapToObj(argb -> argb == 0).toList();
    }

    /**
     * Without dithering each pixel is within reach of its color in this frame, or in one before that is as near to this one as
     * the tolerance lets it be held.
     */
    private static void checkPixels(
            int frame, List<Raster> wanted, Raster shown, Reaches reaches, GifSettings settings) {
        int limit = settings.tolerance() * 3 / 10;
        for (int at = 0; at < shown.argb().length; at++) {
            int want = wanted.get(frame).argb()[at];
            int got = shown.argb()[at];
            boolean allowed = want == got;
            for (int before = frame; before >= 0 && !allowed; before--) {
                int drawn = wanted.get(before).argb()[at];
                allowed = drawn != 0 && furthest(drawn, want) <= limit && reaches.has(before, drawn, got);
            }
            if (!allowed) {
                throw new AssertionError(
                        String.format(Locale.ROOT, "frame %d, pixel %d: wanted %08x, got %08x", frame, at, want, got));
            }
        }
    }

    private static int furthest(int one, int other) {
        return Math.max(
                Math.abs((one & 0xFF) - (other & 0xFF)),
                Math.max(
                        Math.abs((one >> 8 & 0xFF) - (other >> 8 & 0xFF)),
                        Math.abs((one >> 16 & 0xFF) - (other >> 16 & 0xFF))));
    }

    /** Dithered, a frame looks about as near to what is wanted as it does alone, with the same palette. */
    private static void checkLooks(
            int frame, List<Raster> wanted, Raster shown, Encoded encoded, List<Palette> palettes) throws IOException {
        Viewed want = Viewed.of(wanted.get(frame));
        double alone = want.meanError(Viewed.of(alone(wanted.get(frame), palettes.get(frame), encoded)));
        double inLoop = want.meanError(Viewed.of(shown));
        // What is held may be off by as much as the tolerance lets it, and was mixed with the palette it was drawn
        // with.
        double held = encoded.settings().tolerance() * 3 / 10 * 100.0 / 255;
        double before = alone;
        for (int i = 0; i < frame; i++) {
            before = Math.max(
                    before,
                    Viewed.of(wanted.get(i)).meanError(Viewed.of(alone(wanted.get(i), palettes.get(i), encoded))));
        }
        assertThat(inLoop)
                .as("frame %d is off by %.2f alone", frame, before)
                .isLessThanOrEqualTo(SHARE_ABOVE_ALONE * before + held + ABOVE_ALONE);
    }

    private static Raster alone(Raster wanted, Palette palette, Encoded encoded) throws IOException {
        GifSettings of = encoded.settings();
        GifSettings settings = new GifSettings(palette, of.lossless(), true, of.dithering(), of.tolerance(), 0, "");
        LoopEncoder encoder = new LoopEncoder(wanted.size(), settings, Runnable::run);
        encoder.add(wanted, palette);
        byte[] file = GifFile.bytes(wanted.size(), settings, encoder.finish(), new int[] {10});
        return JdkScreen.shown(file, wanted.size()).get(0);
    }

    /** How far a color of the file may be from the one that was wanted, frame by frame. */
    private static final class Reaches {
        private static final double REACH = 0.017;
        private static final double REACH_IN_GAPS = 0.9;
        private final List<NearestColor> nearest;
        private final GifSettings settings;

        Reaches(GifSettings settings, List<Palette> palettes) {
            this.settings = settings;
            this.nearest = palettes.stream()
                    .distinct()
                    .map(NearestColor::new)
                    .collect(Collectors.collectingAndThen(
                            Collectors.toMap(NearestColor::palette, each -> each),
                            known -> palettes.stream().map(known::get).toList()));
        }

        boolean has(int frame, int wanted, int got) {
            NearestColor colors = nearest.get(frame);
            float[] lab = lab(wanted);
            if (settings.dithering().keptColors().contains(wanted & 0xFFFFFF)
                    && Arrays.stream(colors.palette().colors()).anyMatch(color -> color == (wanted & 0xFFFFFF))) {
                return wanted == got;
            }
            double least =
                    Math.sqrt(colors.squaredDistance(colors.indexOf(lab[0], lab[1], lab[2]), lab[0], lab[1], lab[2]));
            double reach = Math.min(1, Math.hypot(REACH, REACH_IN_GAPS * colors.meanGap()) * settings.tolerance() / 20);
            return distance(lab, lab(got)) <= Math.max(least, reach) + ROUNDED;
        }

        private static float[] lab(int rgb) {
            float[] lab = new float[3];
            Oklab.fromRgb(rgb & 0xFFFFFF, lab, 0);
            return lab;
        }

        private static double distance(float[] one, float[] other) {
            return Math.sqrt(
                    Math.pow(one[0] - other[0], 2) + Math.pow(one[1] - other[1], 2) + Math.pow(one[2] - other[2], 2));
        }
    }
}
