package dobbin.inspect;

import dobbin.color.Oklab;
import dobbin.edit.SetDelivery;
import dobbin.inspect.Notice.Kind;
import dobbin.raster.Raster;
import dobbin.reel.Delivery;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.slim.Slim;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;

/** What the edges of a loop will look like on the page it will live on. */
public final class PageCheck {
    /** Edges are alike all through a loop: this many frames are looked at. */
    private static final int LOOKED_AT = 8;
    /** Two colors this near are one to the eye. */
    private static final double SAME = 0.02;

    /** A cutoff that leaves nearly nothing of a soft edge. */
    private static final int HIGH_CUTOFF = 240;

    private final Reel reel;
    private final int page;
    private final FrameWords words;

    private PageCheck(Reel reel, int page) {
        this.reel = reel;
        this.page = page;
        this.words = new FrameWords(reel);
    }

    /**
     * @param page its color, 0xRRGGBB
     * @param drawn gives a frame as it is delivered, before its edges are made hard
     * @return what is worth a word, unless it was dismissed
     */
    public static Optional<Notice> of(Reel reel, int page, Function<Frame, Raster> drawn) {
        return new PageCheck(reel, page)
                .look(drawn)
                .filter(found -> !reel.dismissed().contains(found.key()));
    }

    private Optional<Notice> look(Function<Frame, Raster> drawn) {
        Delivery delivery = reel.delivery();
        List<Frame> fringed =
                sampled().stream().filter(frame -> isOff(drawn.apply(frame))).toList();
        if (fringed.isEmpty()) {
            return Optional.empty();
        }
        if (delivery.flat()) {
            return Optional.of(notice(
                    Kind.BOX,
                    fringed,
                    "What is transparent is filled with #" + delivery.matte() + ", which shows as a box on this page.",
                    "Fill it with this page’s color",
                    delivery.withMatte(hex())));
        }
        String which = words.of(fringed) + (fringed.size() == 1 ? " shows" : " show") + " a fringe on this page: ";
        if (!isPage(delivery.matte())) {
            String why = delivery.matte().isEmpty()
                    ? "the edges have a color of their own."
                    : "the edges are mixed with #" + delivery.matte() + ".";
            return Optional.of(
                    notice(Kind.FRINGE, fringed, which + why, "Mix them with this page", delivery.withMatte(hex())));
        }
        return delivery.encoding().alphaCutoff() >= HIGH_CUTOFF
                ? Optional.empty()
                : Optional.of(notice(
                        Kind.FRINGE,
                        fringed,
                        which + "the edges have a color of their own.",
                        "Cut the soft edges off",
                        delivery.with(delivery.encoding().withAlphaCutoff(HIGH_CUTOFF))));
    }

    private List<Frame> sampled() {
        List<Frame> delivered = reel.deliveredFrames();
        int count = Math.min(LOOKED_AT, delivered.size());
        return IntStream.range(0, count)
                .mapToObj(i -> delivered.get((int) ((long) i * delivered.size() / count)))
                .toList();
    }

    private boolean isOff(Raster drawn) {
        if (drawn.isOpaque()) {
            return false;
        }
        return reel.delivery().flat()
                ? !isPage(reel.delivery().matte())
                : Fringe.of(drawn, Slim.hardened(drawn, reel.delivery()), page) >= Fringe.PLAIN;
    }

    private boolean isPage(String matte) {
        return !matte.isEmpty() && Oklab.distance(Integer.parseInt(matte, 16), page) < SAME;
    }

    private Notice notice(Kind kind, List<Frame> frames, String says, String act, Delivery mended) {
        Notice found = Notice.of(reel, kind, frames, says, act, new SetDelivery(mended));
        return new Notice(found.key() + " " + hex(), kind, found.frames(), says, act, found.fix());
    }

    private String hex() {
        return String.format(Locale.ROOT, "%06x", page);
    }
}
