package dobbin.inspect;

import dobbin.edit.HideCutouts;
import dobbin.edit.LeaveOut;
import dobbin.edit.ScaleDelays;
import dobbin.edit.SetDelivery;
import dobbin.inspect.Notice.Kind;
import dobbin.reel.Cutout;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.timing.Hundredths;
import dobbin.timing.Viewers;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Notices about the file that is delivered. */
final class DeliveryNotices {
    private static final int WIDE = 1_000;
    private static final int USUAL_WIDTH = 800;
    private static final int ONE_SECOND_MILLIS = 1_000;
    private static final int SLOWEST_PERCENT = 10_000;

    private final Reel reel;
    private final InspectedFrames inspected;
    private final FrameWords words;

    DeliveryNotices(Reel reel, InspectedFrames inspected) {
        this.reel = reel;
        this.inspected = inspected;
        this.words = new FrameWords(reel);
    }

    List<Notice> flashes() {
        List<Frame> delivered = reel.deliveredFrames();
        int[] hundredths = Hundredths.apportion(reel.deliveredDelaysMillis());
        int[] shown = IntStream.of(hundredths)
                .map(each -> 10 * Viewers.shownHundredths(each))
                .toArray();
        boolean repeats = reel.plays().times() != 1;
        return Flashes.in(place -> inspected.small(delivered.get(place)), shown, repeats, reel.deliveredSize()).stream()
                .map(found -> flashes(found, delivered))
                .toList();
    }

    private Notice flashes(Flashes.Found found, List<Frame> delivered) {
        List<Frame> flashing = found.places().stream().map(delivered::get).toList();
        String says = words.of(flashing) + (found.red() ? " flash to red " : " flash ") + found.count()
                + " times within a second, over much of what one sees. More than three can cause seizures.";
        // Rounding to hundredths must not bring them nearer again.
        int percent = Math.min(SLOWEST_PERCENT, 100 * ONE_SECOND_MILLIS / Math.max(1, found.millis()) + 4);
        return Notice.of(
                reel,
                Kind.FLASHES,
                flashing,
                says,
                "Slow them down to three",
                new ScaleDelays(NoticeFinder.ids(flashing), percent));
    }

    Optional<Notice> hidden() {
        List<Cutout> hidden = reel.cutouts().stream().filter(Cutout::hidden).toList();
        if (hidden.isEmpty()) {
            return Optional.empty();
        }
        String names = hidden.stream().map(Cutout::name).collect(Collectors.joining(", "));
        String says = names + (hidden.size() == 1 ? " is hidden and will not be" : " are hidden and will not be")
                + " in the file.";
        List<Integer> ids = hidden.stream().map(Cutout::id).toList();
        return Optional.of(new Notice(
                Kind.HIDDEN + " " + ids,
                Kind.HIDDEN,
                NoticeFinder.ids(reel.loop()),
                says,
                hidden.size() == 1 ? "Show it" : "Show them",
                new HideCutouts(ids, false)));
    }

    Optional<Notice> leftOut() {
        List<Frame> out = reel.frames().stream().filter(Frame::leftOut).toList();
        if (out.isEmpty()) {
            return Optional.empty();
        }
        String says = words.of(out) + (out.size() == 1 ? " is" : " are") + " left out and will not be in the file.";
        return Optional.of(Notice.of(
                reel,
                Kind.LEFT_OUT,
                out,
                says,
                out.size() == 1 ? "Take it in" : "Take them in",
                new LeaveOut(NoticeFinder.ids(out), false)));
    }

    Optional<Notice> wide() {
        int width = reel.deliveredSize().width();
        if (width <= WIDE) {
            return Optional.empty();
        }
        String says =
                "The file is " + width + " px wide. Most pages show it smaller, and it is heavier than it need be.";
        return Optional.of(Notice.of(
                reel,
                Kind.WIDE,
                List.of(),
                says,
                "Make it " + USUAL_WIDTH + " px wide",
                new SetDelivery(reel.delivery().withWidth(USUAL_WIDTH))));
    }
}
