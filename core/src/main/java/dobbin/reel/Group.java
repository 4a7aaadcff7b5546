package dobbin.reel;

import java.util.List;
import java.util.function.Function;

/**
 * Cut-outs that move as one. Their poses are told from the corner of the group's box.
 *
 * @param members the lowest first, at least one; groups among them are fine
 */
public record Group(double width, double height, List<Cutout> members) implements Art {
    public Group {
        Ranges.checkAmount("width", width, 0, 1_000_000);
        Ranges.checkAmount("height", height, 0, 1_000_000);
        members = List.copyOf(members);
        Ranges.check("members", members.size(), 1, Ranges.MAX_CUTOUTS);
    }

    @Override
    public <R> R match(
            Function<Cycle, R> cycle, Function<Words, R> words, Function<Shape, R> shape, Function<Group, R> group) {
        return group.apply(this);
    }
}
