package dobbin.slim;

import dobbin.gif.EncodedFrame;
import dobbin.gif.StoredFrame;
import dobbin.raster.Disposal;
import java.util.List;
import java.util.Locale;

/**
 * What a stored frame weighs, and why.
 *
 * @param first which of the delivered frames it is, from 0
 * @param frames how many it stands for, being the same
 * @param palette bytes of a palette of its own, or 0
 * @param codes bytes of its pixels
 * @param overhead bytes of what says where it lies and how long it shows
 * @param drawn the share of the picture that it draws, 0 to 1
 * @param why a phrase: "only what changed"
 */
public record FrameWeight(int first, int frames, int palette, int codes, int overhead, double drawn, String why) {
    private static final double NEARLY_ALL = 0.9;
    private static final int MANY_TIMES = 3;

    public int bytes() {
        return palette + codes + overhead;
    }

    public static List<FrameWeight> of(Delivered file) {
        return file.stored().stream()
                .map(frame -> of(frame, file.size().area()))
                .toList();
    }

    private static FrameWeight of(EncodedFrame frame, long area) {
        StoredFrame stored = frame.stored();
        int palette = stored.own() == null ? 0 : 3 << stored.own().bits();
        int codes = stored.data().length;
        return new FrameWeight(
                frame.first(),
                frame.frames(),
                palette,
                codes,
                stored.bytes() - palette - codes,
                (double) stored.drawn() / area,
                why(frame));
    }

    private static String why(EncodedFrame frame) {
        StringBuilder why = new StringBuilder();
        if (frame.frames() > 1) {
            why.append(frame.frames()).append(" frames that look the same; ");
        }
        why.append(frame.first() == 0 ? "all of it is new" : "only what changed");
        if (frame.stored().own() != null) {
            why.append("; has its own palette");
        }
        if (frame.stored().disposal() == Disposal.CLEAR) {
            why.append("; cleared, since something vanishes after it");
        }
        if (frame.stored().disposal() == Disposal.PUT_BACK) {
            why.append("; put back, since what it covers comes again");
        }
        return why.toString();
    }

    /** @return what the heaviest of the {@code weights} is heavy by and what would help, in a sentence or two */
    public static String advice(List<FrameWeight> weights) {
        FrameWeight heaviest = weights.stream()
                .max((a, b) -> Integer.compare(a.bytes(), b.bytes()))
                .orElseThrow();
        List<FrameWeight> later =
                weights.stream().filter(each -> each.first() > 0).toList();
        long whole = later.stream().filter(each -> each.drawn() > NEARLY_ALL).count();
        int number = heaviest.first() + 1;
        String frame = "Frame " + number + " is the heaviest, " + ByteCount.text(heaviest.bytes());
        if (later.isEmpty()) {
            return frame + ". Fewer colors or pixels make it lighter.";
        }
        if (whole > later.size() / 2) {
            return frame + ". " + whole + " of " + weights.size()
                    + " frames repaint the whole picture: the camera moved, or the light changes. A narrower picture or"
                    + " fewer frames help most.";
        }
        if (heaviest.first() > 0 && heaviest.drawn() > NEARLY_ALL) {
            return frame + ": it repaints the whole picture. If nothing is cut there, the camera moved; lining it up"
                    + " would help.";
        }
        if (heaviest.first() == 0) {
            double rest = later.stream().mapToInt(FrameWeight::bytes).average().orElse(0);
            String times = heaviest.bytes() > MANY_TIMES * rest
                    ? ", " + String.format(Locale.ROOT, "%.0f", heaviest.bytes() / Math.max(1, rest))
                            + " times an average later one"
                    : "";
            return frame + times + ": it is stored whole, the others only where they change.";
        }
        return frame + ": it redraws " + Math.round(100 * heaviest.drawn())
                + " % of the picture. A higher tolerance leaves out change that nobody sees.";
    }
}
