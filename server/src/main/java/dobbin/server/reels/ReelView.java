package dobbin.server.reels;

import dobbin.raster.Size;
import dobbin.reel.Backdrop;
import dobbin.reel.Border;
import dobbin.reel.Cutout;
import dobbin.reel.Delivery;
import dobbin.reel.Frame;
import dobbin.reel.FrameContent;
import dobbin.reel.Framing;
import dobbin.reel.Ink;
import dobbin.reel.Reel;
import dobbin.reel.Run;
import dobbin.reel.Sharing;
import dobbin.reel.Still;
import dobbin.render.RenderKeys;
import dobbin.timing.Hundredths;
import dobbin.timing.Viewers;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A reel as the interface draws it.
 *
 * @param cutouts the lowest first, and {@code tracks} where each of them is
 * @param stillSizes which sizes its stills have, the most common first
 * @param loopMillis how long the loop was made to last, and {@code fileMillis} how long it is in the delivered file
 */
public record ReelView(
        String id,
        int revision,
        String name,
        Size canvas,
        List<FrameView> frames,
        List<Run> runs,
        Backdrop backdrop,
        List<Cutout> cutouts,
        List<Track> tracks,
        Border border,
        List<SizeCount> stillSizes,
        int plays,
        Delivery delivery,
        Size deliveredSize,
        int maxWidth,
        int budgetBytes,
        List<String> swatches,
        Sharing sharing,
        int loopMillis,
        int fileMillis,
        @Schema(types = {"string", "null"}) String undo,
        @Schema(types = {"string", "null"}) String redo) {

    public record SizeCount(Size size, int count) {}

    /**
     * @param fileMillis the delay as the delivered file holds it, in whole hundredths of a second; 0 where it is left out
     * @param shownMillis how long viewers show it, which for the shortest delays is longer
     * @param otherSize whether its still has another size than the canvas, and {@code bare} whether it leaves some of it bare
     * @param drawn names what the frame looks like: equal names, equal pictures
     * @param underInk names what lies under its ink, and {@code overInk} what lies over it, empty for nothing
     */
    public record FrameView(
            int id,
            int delayMillis,
            int fileMillis,
            int shownMillis,
            String name,
            FrameContent content,
            Ink ink,
            boolean otherSize,
            boolean bare,
            boolean leftOut,
            int run,
            String drawn,
            String underInk,
            String overInk) {

        static FrameView of(Reel reel, RenderKeys keys, Frame frame, int hundredths, int shownHundredths) {
            Size canvas = reel.canvas();
            Still still = frame.content() instanceof Still one ? one : null;
            return new FrameView(
                    frame.id(),
                    frame.delayMillis(),
                    MILLIS_EACH * hundredths,
                    MILLIS_EACH * shownHundredths,
                    frame.content().name(),
                    frame.content(),
                    frame.ink(),
                    still != null && !still.size().equals(canvas),
                    still != null && still.leavesBare(canvas),
                    frame.leftOut(),
                    frame.run(),
                    keys.of(frame),
                    keys.ofUnderInk(frame),
                    keys.ofOverInk(frame));
        }
    }

    private static final int MILLIS_EACH = 10;

    public static ReelView of(OpenReel open) {
        Reel reel = open.reel();
        int[] delays = reel.loopDelaysMillis();
        int[] hundredths = Hundredths.apportion(delays);
        List<FrameView> frames = new ArrayList<>();
        RenderKeys keys = open.keys();
        int played = 0;
        int fileMillis = 0;
        int loopMillis = 0;
        for (Frame frame : reel.frames()) {
            int held = frame.leftOut() ? 0 : hundredths[played++];
            frames.add(FrameView.of(reel, keys, frame, held, frame.leftOut() ? 0 : Viewers.shownHundredths(held)));
            fileMillis += MILLIS_EACH * held;
            loopMillis += frame.leftOut() ? 0 : frame.delayMillis();
        }
        return new ReelView(
                open.id(),
                open.revision(),
                reel.name(),
                reel.canvas(),
                frames,
                reel.runs(),
                reel.backdrop(),
                reel.cutouts(),
                reel.cutouts().stream().map(each -> Track.of(each, keys)).toList(),
                reel.border(),
                stillSizes(reel),
                reel.plays().times(),
                reel.delivery(),
                reel.deliveredSize(),
                Framing.MAX_SIDE,
                reel.budgetBytes(),
                reel.swatches(),
                reel.sharing(),
                loopMillis,
                fileMillis,
                open.undo(),
                open.redo());
    }

    private static List<SizeCount> stillSizes(Reel reel) {
        Map<Size, Integer> counts = new LinkedHashMap<>();
        for (Frame frame : reel.frames()) {
            if (frame.content() instanceof Still still) {
                counts.merge(still.size(), 1, Integer::sum);
            }
        }
        return counts.entrySet().stream()
                .map(each -> new SizeCount(each.getKey(), each.getValue()))
                .sorted(Comparator.comparingInt(SizeCount::count).reversed())
                .toList();
    }
}
