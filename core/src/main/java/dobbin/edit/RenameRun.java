package dobbin.edit;

import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import dobbin.reel.Run;
import jakarta.validation.constraints.Size;

/** @param name 1 to 120 characters */
public record RenameRun(
        int run,
        @Size(min = 1, max = Ranges.MAX_NAME_LENGTH) String name) implements Edit {
    @Override
    public Reel applyTo(Reel reel) {
        Run before = RunsById.find(reel, run);
        return reel.with(
                reel.frames(),
                reel.runs().stream()
                        .map(each -> each.equals(before) ? new Run(run, name) : each)
                        .toList(),
                reel.nextId());
    }

    @Override
    public String title(Reel reel) {
        return "Rename a run “" + name + "”";
    }
}
