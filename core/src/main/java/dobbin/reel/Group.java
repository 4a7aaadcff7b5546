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
        // Here and not in the reel alone, so that a document is refused before all of it is there.
        CutoutTotals.of(members).check("members", 0);
        if (depth(members) >= Ranges.MAX_GROUPS_IN_ONE_ANOTHER) {
            throw new OutOfRange(
                    "members", "must lie in at most " + Ranges.MAX_GROUPS_IN_ONE_ANOTHER + " groups in one another");
        }
    }

    private static int depth(List<Cutout> members) {
        return members.stream().mapToInt(member -> member.art().depth()).max().orElse(0);
    }

    @Override
    public int parts() {
        return members.stream().mapToInt(member -> member.art().parts()).sum();
    }

    @Override
    public int depth() {
        return 1 + depth(members);
    }

    @Override
    public <R> R match(
            Function<Cycle, R> cycle, Function<Words, R> words, Function<Shape, R> shape, Function<Group, R> group) {
        return group.apply(this);
    }
}
