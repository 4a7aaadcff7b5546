package dobbin.inspect;

import dobbin.edit.LeaveOut;
import dobbin.edit.MergeFrames;
import dobbin.edit.SetDelay;
import dobbin.edit.SetFit;
import dobbin.inspect.Notice.Kind;
import dobbin.reel.Fit;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.reel.Still;
import dobbin.timing.Hundredths;
import dobbin.timing.Viewers;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;

/** Looks a loop over for what goes wrong most often. */
final class NoticeFinder {
    private static final int SHORTEST_HONORED_MILLIS = 20;

    /** More of one kind would bury the others; the next ones come up when these are dealt with. */
    private static final int MOST_OF_A_KIND = 3;

    private static final double ONE_COLOR = 0.004;
    private static final double MANY_COLORS = 0.02;
    private static final double MUCH = 0.02;
    private static final double TIMES_USUAL = 2.5;

    /** A shorter loop is offered where its seam is so much smaller. */
    private static final double MUCH_BETTER = 0.7;

    private static final int FEWEST_TO_STAND_OUT = 4;

    private final Reel reel;
    private final List<Frame> loop;
    private final InspectedFrames inspected;
    private final Rhythm rhythm;
    private final FrameWords words;

    NoticeFinder(Reel reel, InspectedFrames inspected, Rhythm rhythm) {
        this.reel = reel;
        this.loop = reel.loop();
        this.inspected = inspected;
        this.rhythm = rhythm;
        this.words = new FrameWords(reel);
    }

    List<Notice> find() {
        List<Notice> found = new ArrayList<>();
        DeliveryNotices ofTheFile = new DeliveryNotices(reel, inspected);
        found.addAll(ofTheFile.flashes());
        ofTheFile.hidden().ifPresent(found::add);
        bareCanvas().ifPresent(found::add);
        shortDelays().ifPresent(found::add);
        found.addAll(blanks());
        found.addAll(strangers());
        repeatsFirst().ifPresent(found::add);
        found.addAll(duplicates());
        betterLoop().ifPresent(found::add);
        ofTheFile.leftOut().ifPresent(found::add);
        ofTheFile.wide().ifPresent(found::add);
        return found;
    }

    private Optional<Notice> bareCanvas() {
        List<Frame> bare = reel.frames().stream().filter(this::leavesBare).toList();
        if (bare.isEmpty()) {
            return Optional.empty();
        }
        String which = bare.size() == 1
                ? words.of(bare) + " is " + ((Still) bare.get(0).content()).size()
                : words.of(bare) + " have another shape than";
        String says = bare.size() == 1
                ? which + ", the canvas " + reel.canvas() + ": some of it stays bare."
                : which + " the canvas, " + reel.canvas() + ": some of it stays bare.";
        Fit fill = new Fit(Fit.Way.FILL, 0.5, 0.5, "");
        return Optional.of(
                Notice.of(reel, Kind.BARE_CANVAS, bare, says, "Fill the canvas", new SetFit(ids(bare), fill)));
    }

    /** A background was chosen for what stays bare, or nothing does. */
    private boolean leavesBare(Frame frame) {
        return frame.content() instanceof Still still
                && still.fit().background().isEmpty()
                && still.leavesBare(reel.canvas());
    }

    private Optional<Notice> shortDelays() {
        int[] hundredths = Hundredths.apportion(reel.loopDelaysMillis());
        List<Frame> hasty = IntStream.range(0, loop.size())
                .filter(i -> Viewers.shownHundredths(hundredths[i]) != hundredths[i])
                .mapToObj(loop::get)
                .toList();
        if (hasty.isEmpty()) {
            return Optional.empty();
        }
        String says = words.of(hasty) + (hasty.size() == 1 ? " is" : " are")
                + " shorter than 20 ms. Browsers take that for a mistake and play 100 ms.";
        return Optional.of(Notice.of(
                reel,
                Kind.SHORT_DELAYS,
                hasty,
                says,
                "Make it 20 ms",
                new SetDelay(ids(hasty), SHORTEST_HONORED_MILLIS)));
    }

    private List<Notice> blanks() {
        return standingOut(i -> isBlank(loop.get(i))
                        && !isBlank(before(i))
                        && !isBlank(after(i))
                        && inspected.coarse(before(i)).spread() > MANY_COLORS)
                .mapToObj(i -> outOfTheLoop(Kind.BLANK, loop.get(i), " is blank: it flashes once a loop."))
                .toList();
    }

    private boolean isBlank(Frame frame) {
        return frame.content() instanceof Still && inspected.coarse(frame).spread() < ONE_COLOR;
    }

    private List<Notice> strangers() {
        return standingOut(i -> isStranger(i) && !isBlank(loop.get(i)) && !leavesBare(loop.get(i)))
                .mapToObj(i ->
                        outOfTheLoop(Kind.FAR, loop.get(i), " is far from its neighbors, which are like each other."))
                .toList();
    }

    private boolean isStranger(int i) {
        double here = Math.min(rhythm.changes()[i], rhythm.changes()[(i + 1) % loop.size()]);
        return loop.get(i).content() instanceof Still
                && here > Math.max(MUCH, TIMES_USUAL * rhythm.usual())
                && inspected.change(before(i), after(i)) < here / 2;
    }

    private IntStream standingOut(java.util.function.IntPredicate how) {
        return loop.size() < FEWEST_TO_STAND_OUT
                ? IntStream.empty()
                : IntStream.range(0, loop.size()).filter(how).limit(MOST_OF_A_KIND);
    }

    private Notice outOfTheLoop(Kind kind, Frame frame, String what) {
        List<Frame> one = List.of(frame);
        return Notice.of(reel, kind, one, words.of(one) + what, "Leave it out", new LeaveOut(ids(one), true));
    }

    private Optional<Notice> repeatsFirst() {
        if (rhythm.seam() != Rhythm.Seam.REPEATS) {
            return Optional.empty();
        }
        Frame last = loop.get(loop.size() - 1);
        String says = words.of(List.of(last)) + " repeats frame " + words.number(loop.get(0))
                + ": the loop stops for a beat.";
        return Optional.of(Notice.of(
                reel,
                Kind.REPEATS_FIRST,
                List.of(loop.get(0), last),
                says,
                "Leave it out",
                new LeaveOut(List.of(last.id()), true)));
    }

    private List<Notice> duplicates() {
        List<Notice> found = new ArrayList<>();
        for (int from = 0, to; from < loop.size() && found.size() < MOST_OF_A_KIND; from = to) {
            to = from + 1;
            while (to < loop.size() && rhythm.changes()[to] < Rhythm.NOTHING) {
                to++;
            }
            if (to - from > 1) {
                List<Frame> same = loop.subList(from, to);
                int total = same.stream().mapToInt(Frame::delayMillis).sum();
                found.add(Notice.of(
                        reel,
                        Kind.DUPLICATES,
                        same,
                        words.of(same) + " are the same picture.",
                        "Merge into one of " + total + " ms",
                        new MergeFrames(ids(same))));
            }
        }
        return found;
    }

    private Optional<Notice> betterLoop() {
        if (rhythm.seam() != Rhythm.Seam.VISIBLE && rhythm.seam() != Rhythm.Seam.JUMP) {
            return Optional.empty();
        }
        Optional<LoopFinder.Stretch> found = LoopFinder.best(loop, inspected, rhythm)
                .filter(best -> best.seamRatio() <= MUCH_BETTER * rhythm.seamRatio());
        return found.map(best -> {
            List<Frame> kept = loop.subList(best.from(), best.to());
            List<Integer> others = loop.stream()
                    .filter(frame -> !kept.contains(frame))
                    .map(Frame::id)
                    .toList();
            String says = String.format(
                    Locale.ROOT,
                    "%s alone would close better: a seam of %.1f × the usual step instead of %.1f ×.",
                    words.of(kept),
                    best.seamRatio(),
                    rhythm.seamRatio());
            return Notice.of(
                    reel,
                    Kind.BETTER_LOOP,
                    kept,
                    says,
                    others.size() == 1 ? "Leave the other out" : "Leave the other " + others.size() + " out",
                    new LeaveOut(others, true));
        });
    }

    private Frame before(int i) {
        return loop.get((i + loop.size() - 1) % loop.size());
    }

    private Frame after(int i) {
        return loop.get((i + 1) % loop.size());
    }

    static List<Integer> ids(List<Frame> frames) {
        return frames.stream().map(Frame::id).toList();
    }
}
