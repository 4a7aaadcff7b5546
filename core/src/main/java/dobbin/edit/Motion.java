package dobbin.edit;

import dobbin.lettering.TextBlock;
import dobbin.raster.Region;
import dobbin.reel.Art;
import dobbin.reel.Key;
import dobbin.reel.Pose;
import dobbin.reel.Ranges;
import dobbin.reel.Words;
import dobbin.timing.Easing;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** A ready motion: it gives ordinary poses, which can be changed afterwards like any others. */
public sealed interface Motion {
    /** @return the poses on the range, in place of those it has */
    List<Key> keys(MotionRange range);

    /** @return in a word or two, to follow "Let Gull" */
    String verb();

    /** @return the art with what the motion needs of it */
    default Art prepared(Art art) {
        return art;
    }

    enum Side {
        LEFT,
        RIGHT,
        TOP,
        BOTTOM
    }

    /** Comes in from beyond a side of the canvas, or goes out there. */
    record Slide(Side side, boolean out) implements Motion {
        @Override
        public List<Key> keys(MotionRange range) {
            return out
                    ? List.of(
                            range.key(0, range.first(), Easing.SOFT_START),
                            range.key(range.last(), beyond(range, range.end()), Easing.HOLD))
                    : List.of(
                            range.key(0, beyond(range, range.first()), Easing.SOFT_END),
                            range.key(range.last(), range.end(), Easing.EVEN));
        }

        @Override
        public String verb() {
            return out ? "slide out" : "slide in";
        }

        private Pose beyond(MotionRange range, Pose rest) {
            Region box = range.cutout().box(rest);
            return switch (side) {
                case LEFT -> rest.withPlace(rest.x() - box.x() - box.width(), rest.y());
                case RIGHT -> rest.withPlace(rest.x() + range.canvas().width() - box.x(), rest.y());
                case TOP -> rest.withPlace(rest.x(), rest.y() - box.y() - box.height());
                case BOTTOM ->
                    rest.withPlace(rest.x(), rest.y() + range.canvas().height() - box.y());
            };
        }
    }

    /** Appears or vanishes, while whatever else it does goes on. */
    record Fade(boolean out) implements Motion {
        @Override
        public List<Key> keys(MotionRange range) {
            return range.along((pose, share) -> pose.withOpacity(pose.opacity() * (out ? 1 - share : share)));
        }

        @Override
        public String verb() {
            return out ? "fade out" : "fade in";
        }
    }

    /**
     * Is seen and not seen in turn.
     *
     * @param on for how many frames it is seen, 1 to 500, and {@code off} is not
     * @param times how often it goes away, 1 to 500; after that it stays
     */
    record Blink(
            @Min(1) @Max(500) int on,
            @Min(1) @Max(500) int off,
            @Min(1) @Max(500) int times) implements Motion {
        public Blink {
            Ranges.check(Blink.class, "on", on);
            Ranges.check(Blink.class, "off", off);
            Ranges.check(Blink.class, "times", times);
        }

        @Override
        public List<Key> keys(MotionRange range) {
            List<Key> keys = new ArrayList<>();
            for (int i = 0; i < range.count(); i++) {
                boolean begins = i == 0 || seen(i) != seen(i - 1);
                boolean ends = i == range.last() || seen(i) != seen(i + 1);
                if (begins || ends && !range.isStill()) {
                    Pose pose = range.poses().get(i);
                    keys.add(range.key(
                            i, seen(i) ? pose : pose.withOpacity(0), range.isStill() ? Easing.HOLD : Easing.EVEN));
                }
            }
            return keys;
        }

        @Override
        public String verb() {
            return "blink";
        }

        private boolean seen(int offset) {
            return offset / (on + off) >= times || offset % (on + off) < on;
        }
    }

    /** Grows from nothing, or shrinks to nothing. */
    record Grow(boolean out) implements Motion {
        @Override
        public List<Key> keys(MotionRange range) {
            return List.of(
                    range.key(0, sized(range.first(), out ? 1 : 0), out ? Easing.SOFT_START : Easing.SOFT_END),
                    range.key(range.last(), sized(range.end(), out ? 0 : 1), Easing.EVEN));
        }

        @Override
        public String verb() {
            return out ? "shrink" : "grow";
        }

        private static Pose sized(Pose pose, double factor) {
            return pose.withScale(pose.scaleX() * factor, pose.scaleY() * factor);
        }
    }

    /**
     * Turns by the same exact angle each frame.
     *
     * @param steps how many make a full circle, 2 to 360, clockwise; less than 0 for the other way
     */
    record Spin(int steps) implements Motion {
        private static final double FULL_CIRCLE = 360;

        public Spin {
            Ranges.check("steps", Math.abs((long) steps), 2, 360);
        }

        @Override
        public List<Key> keys(MotionRange range) {
            double whole = range.last() * FULL_CIRCLE / steps;
            return range.along((pose, share) -> pose.withTurn(pose.turn() + whole * share));
        }

        @Override
        public String verb() {
            return "spin";
        }
    }

    /**
     * Goes up and comes down again.
     *
     * @param height in pixels, -10,000 to 10,000
     * @param times how often over the range, 1 to 100; the first frame follows well on the last
     */
    record Bob(
            @Min(-10_000) @Max(10_000) double height,
            @Min(1) @Max(100) int times) implements Motion {
        public Bob {
            Ranges.checkAmount(Bob.class, "height", height);
            Ranges.check(Bob.class, "times", times);
        }

        @Override
        public List<Key> keys(MotionRange range) {
            List<Key> keys = new ArrayList<>();
            int before = -1;
            for (int half = 0; half < 2 * times; half++) {
                int offset = (int) Math.round(half * range.count() / (2.0 * times));
                if (offset > before && offset <= range.last()) {
                    keys.add(raised(range, offset, half % 2, Easing.SOFT));
                    before = offset;
                }
            }
            if (before < range.last()) {
                double turns = 2 * Math.PI * times * range.last() / range.count();
                keys.add(raised(range, range.last(), (1 - Math.cos(turns)) / 2, Easing.EVEN));
            }
            return keys;
        }

        @Override
        public String verb() {
            return "bob";
        }

        private Key raised(MotionRange range, int offset, double share, Easing leaves) {
            Pose pose = range.poses().get(offset);
            return range.key(offset, pose.movedBy(0, -height * share), leaves);
        }
    }

    /**
     * Trembles about where it is; the same way each time.
     *
     * @param amount how far at most, in pixels, 0 to 1000
     */
    record Shake(@Min(0) @Max(1000) double amount) implements Motion {
        private static final long SEED = 20;

        public Shake {
            Ranges.checkAmount(Shake.class, "amount", amount);
        }

        @Override
        public List<Key> keys(MotionRange range) {
            Random random = new Random(SEED);
            List<Key> keys = new ArrayList<>();
            for (int i = 0; i < range.count(); i++) {
                Pose pose = range.poses().get(i);
                double far = i == range.last() ? 0 : amount;
                double x = pose.x() + far * (2 * random.nextDouble() - 1);
                double y = pose.y() + far * (2 * random.nextDouble() - 1);
                keys.add(range.key(i, pose.withPlace(x, y), Easing.EVEN));
            }
            return keys;
        }

        @Override
        public String verb() {
            return "shake";
        }
    }

    /** A point of a path, in pixels of the canvas. */
    record Point(double x, double y) {}

    /**
     * Goes along a path at an even pace, from its first point to its last.
     *
     * @param path 2 to 5,000 points
     */
    record Follow(@Size(min = 2, max = 5_000) List<Point> path) implements Motion {
        public Follow {
            path = List.copyOf(path);
            Ranges.check(Follow.class, "path", path.size());
        }

        @Override
        public List<Key> keys(MotionRange range) {
            List<Key> keys = new ArrayList<>();
            for (int i = 0; i < range.count(); i++) {
                Point point = at(range.count() == 1 ? 0 : length() * i / range.last());
                keys.add(range.key(i, range.poses().get(i).withPlace(point.x, point.y), Easing.EVEN));
            }
            return keys;
        }

        @Override
        public String verb() {
            return "follow a path";
        }

        private double length() {
            double length = 0;
            for (int i = 1; i < path.size(); i++) {
                length += distance(path.get(i - 1), path.get(i));
            }
            return length;
        }

        private Point at(double distance) {
            double left = distance;
            for (int i = 1; i < path.size(); i++) {
                double step = distance(path.get(i - 1), path.get(i));
                if (left <= step && step > 0) {
                    double share = left / step;
                    Point from = path.get(i - 1);
                    Point to = path.get(i);
                    return new Point(from.x + (to.x - from.x) * share, from.y + (to.y - from.y) * share);
                }
                left -= step;
            }
            return path.get(path.size() - 1);
        }

        private static double distance(Point a, Point b) {
            return Math.hypot(b.x - a.x, b.y - a.y);
        }
    }

    /** Letters come one by one, or word by word. */
    record Letters(boolean wordByWord) implements Motion {
        @Override
        public List<Key> keys(MotionRange range) {
            String text = ((Words) range.cutout().art()).text();
            int all = TextBlock.letterCount(text);
            if (!wordByWord) {
                return range.along((pose, share) -> pose.withShown((1 + (all - 1) * share) / all));
            }
            String[] words = text.strip().split("\\s+");
            List<Key> keys = new ArrayList<>();
            int shown = 0;
            int before = -1;
            for (int word = 0; word < words.length; word++) {
                shown += TextBlock.letterCount(words[word]);
                int offset = words.length == 1 ? 0 : Math.round((float) word * range.last() / (words.length - 1));
                if (offset == before) {
                    keys.remove(keys.size() - 1);
                }
                Pose pose = range.poses().get(offset).withShown((double) shown / all);
                keys.add(range.key(offset, pose, Easing.HOLD));
                before = offset;
            }
            return keys;
        }

        @Override
        public String verb() {
            return wordByWord ? "come word by word" : "come letter by letter";
        }

        @Override
        public Art prepared(Art art) {
            return lettering(art);
        }
    }

    /**
     * Colors walk through the letters, one letter a frame.
     *
     * @param colors 2 to 500, six hexadecimal digits each
     */
    record WalkColors(@Size(min = 2, max = 500) List<String> colors) implements Motion {
        public WalkColors {
            colors = List.copyOf(colors);
            Ranges.check(WalkColors.class, "colors", colors.size());
        }

        @Override
        public List<Key> keys(MotionRange range) {
            return range.along((pose, share) -> pose.withWalk(pose.walk() + range.last() * share));
        }

        @Override
        public String verb() {
            return "change colors";
        }

        @Override
        public Art prepared(Art art) {
            return lettering(art).withColors(colors);
        }
    }

    private static Words lettering(Art art) {
        if (art instanceof Words words) {
            return words;
        }
        throw new EditRejected("motion", "needs a cut-out of letters");
    }
}
