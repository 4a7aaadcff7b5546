package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Run;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * Keeps named runs in one piece, the way the eye expects it of a band across frames: what is put between two frames of a
 * run joins it, what touches its own run stays in it, what goes elsewhere leaves it, and a run that moves whole stays
 * whole.
 */
final class Bands {
    private Bands() {}

    /**
     * @param order all frames as they lie now
     * @param placed those that were just put where they are
     */
    static List<Frame> settled(List<Frame> order, Predicate<Frame> placed) {
        Set<Integer> staying =
                order.stream().filter(placed.negate()).map(Frame::run).collect(Collectors.toSet());
        List<Frame> settled = new ArrayList<>(order);
        for (int from = 0; from < settled.size(); from++) {
            if (placed.test(settled.get(from))) {
                int to = from + 1;
                while (to < settled.size() && placed.test(settled.get(to))) {
                    to++;
                }
                settle(settled, from, to, staying);
                from = to;
            }
        }
        return inOnePiece(settled);
    }

    /** @param staying the runs of which some frames stayed where they were */
    private static void settle(List<Frame> frames, int from, int to, Set<Integer> staying) {
        int before = from == 0 ? Run.NONE : frames.get(from - 1).run();
        int after = to == frames.size() ? Run.NONE : frames.get(to).run();
        if (before == after && before != Run.NONE) {
            setRuns(frames, from, to, before);
            return;
        }
        int left = from;
        while (left < to && frames.get(left).run() == before) {
            left++;
        }
        int right = to;
        while (right > left && frames.get(right - 1).run() == after) {
            right--;
        }
        for (int i = left; i < right; i++) {
            if (staying.contains(frames.get(i).run())) {
                setRuns(frames, i, i + 1, Run.NONE);
            }
        }
    }

    private static void setRuns(List<Frame> frames, int from, int to, int run) {
        for (int i = from; i < to; i++) {
            frames.set(i, frames.get(i).withRun(run));
        }
    }

    /** Of a run in several pieces the longest keeps its name, the first of equal ones. */
    private static List<Frame> inOnePiece(List<Frame> frames) {
        record Piece(int from, int length) {}
        Map<Integer, Piece> longest = new HashMap<>();
        for (int from = 0, to; from < frames.size(); from = to) {
            int run = frames.get(from).run();
            to = from + 1;
            while (to < frames.size() && frames.get(to).run() == run) {
                to++;
            }
            Piece piece = new Piece(from, to - from);
            longest.merge(run, piece, (a, b) -> b.length() > a.length() ? b : a);
        }
        List<Frame> whole = new ArrayList<>(frames);
        for (int i = 0; i < whole.size(); i++) {
            Piece piece = longest.get(whole.get(i).run());
            if (i < piece.from() || i >= piece.from() + piece.length()) {
                whole.set(i, whole.get(i).withRun(Run.NONE));
            }
        }
        return whole;
    }
}
