package dobbin.reel;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.function.Function;

/**
 * One picture, or several that take turns; smaller ones lie in the middle of the largest.
 *
 * @param pictures 1 to 200
 * @param every how long each is seen: 1 to 100 frames, or 10 to 60,000 ms where turns go by time
 * @param offset how far the turn is ahead, in the unit of {@code every}, 0 to 60,000
 */
public record Cycle(
        @Size(min = 1, max = MAX_PICTURES) List<PictureRef> pictures,
        Turns turns,
        @Min(1) @Max(MAX_EVERY_MILLIS) int every,
        @Min(0) @Max(60_000) int offset)
        implements Art {
    static final int MAX_PICTURES = 200;

    private static final int MAX_EVERY_MILLIS = 60_000;

    /** How a frame gets its picture of the cycle. */
    public enum Turns {
        /** The picture is set when the frame is made and stays with the frame; it can be chosen for each. */
        KEPT,
        /** The frame's place on the sheet. */
        BY_PLACE,
        /** When the frame begins, by the delays of those that play before it. */
        BY_TIME
    }

    public Cycle {
        pictures = List.copyOf(pictures);
        Ranges.check(Cycle.class, "pictures", pictures.size());
        if (turns == null) {
            throw new OutOfRange("turns", "must be given");
        }
        Ranges.check(
                "every",
                every,
                turns == Turns.BY_TIME ? Ranges.MIN_DELAY_MILLIS : 1,
                turns == Turns.BY_TIME ? MAX_EVERY_MILLIS : 100);
        Ranges.check(Cycle.class, "offset", offset);
    }

    @Override
    public int parts() {
        return pictures.size();
    }

    /** @return a cycle whose pictures are dealt to the frames, each to {@code every} frames in a row */
    public static Cycle dealt(List<PictureRef> pictures, int every) {
        return new Cycle(pictures, Turns.KEPT, every, 0);
    }

    /** @param at frames or milliseconds from the start; the place of the picture whose turn it is then, from 0 */
    int turn(int at) {
        return (int) (((long) at + offset) / every % pictures.size());
    }

    /** @return whether frames keep what they were dealt when that other cycle becomes this */
    boolean dealsLike(Cycle other) {
        return pictures.size() == other.pictures.size()
                && turns == other.turns
                && every == other.every
                && offset == other.offset;
    }

    @Override
    public double width() {
        return pictures.stream().mapToInt(each -> each.size().width()).max().orElseThrow();
    }

    @Override
    public double height() {
        return pictures.stream().mapToInt(each -> each.size().height()).max().orElseThrow();
    }

    @Override
    public <R> R match(
            Function<Cycle, R> cycle, Function<Words, R> words, Function<Shape, R> shape, Function<Group, R> group) {
        return cycle.apply(this);
    }
}
