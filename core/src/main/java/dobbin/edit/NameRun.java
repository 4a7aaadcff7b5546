package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import dobbin.reel.Run;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;

/**
 * Makes a run of frames that follow one another. They leave the runs they were in.
 *
 * @param name 1 to 120 characters
 */
public record NameRun(
        List<Integer> frames,
        @Size(min = 1, max = Ranges.MAX_NAME_LENGTH) String name) implements Edit {
    public NameRun {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Chosen chosen = Chosen.of(reel, frames);
        int from = reel.frames().indexOf(chosen.frames().get(0));
        List<Frame> stretch = reel.frames().subList(from, from + chosen.frames().size());
        if (!stretch.equals(chosen.frames())) {
            throw new EditRejected("frames", "of a run must follow one another. Move them together first");
        }
        Run run = new Run(reel.nextId(), name);
        List<Run> runs = new ArrayList<>(reel.runs());
        runs.add(run);
        List<Frame> named = chosen.each(frame -> frame.withRun(run.id()));
        return reel.with(Bands.settled(named, frame -> false), runs, reel.nextId() + 1);
    }

    @Override
    public String title(Reel reel) {
        return "Name " + Chosen.words(reel, frames) + " “" + name + "”";
    }
}
