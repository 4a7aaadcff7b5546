package dobbin.reel;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.function.Function;

/**
 * Cut-outs that move as one. Their poses are told from the corner of the group's box.
 *
 * @param members the lowest first, at least one; groups among them are fine
 */
public record Group(
        @Min(0) @Max(1_000_000) double width,
        @Min(0) @Max(1_000_000) double height,
        @Size(min = 1, max = Ranges.MAX_CUTOUTS) List<Cutout> members)
        implements Art {
    public Group {
        Ranges.checkAmount(Group.class, "width", width);
        Ranges.checkAmount(Group.class, "height", height);
        members = List.copyOf(members);
        Ranges.check(Group.class, "members", members.size());
    }

    @Override
    public <R> R match(
            Function<Cycle, R> cycle, Function<Words, R> words, Function<Shape, R> shape, Function<Group, R> group) {
        return group.apply(this);
    }
}
