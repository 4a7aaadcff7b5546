package dobbin.edit;

import dobbin.reel.Reel;
import dobbin.reel.Run;

/** Takes the name off a run; its frames stay. */
public record UnnameRun(int run) implements Edit {
    @Override
    public Reel applyTo(Reel reel) {
        RunsById.find(reel, run);
        return reel.withFrames(reel.frames().stream()
                .map(frame -> frame.run() == run ? frame.withRun(Run.NONE) : frame)
                .toList());
    }

    @Override
    public String title(Reel reel) {
        return "Unname “" + RunsById.find(reel, run).name() + "”";
    }
}
