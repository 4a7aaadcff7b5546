package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.reel.Run;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Puts copies of the named frames in, together and in playing order. Copies of a whole run are a run of the same name.
 *
 * @param after the frame they go after; 0 for before all
 */
public record CopyFrames(List<Integer> frames, int after) implements Edit {
    public CopyFrames {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Chosen chosen = Chosen.of(reel, frames);
        int gap = Gap.index(reel, after);
        Optional<Run> whole = wholeRun(reel, chosen);
        if (whole.isEmpty()) {
            return Gap.insert(reel, gap, chosen.frames());
        }
        int run = reel.nextId();
        List<Run> runs = new ArrayList<>(reel.runs());
        runs.add(new Run(run, whole.get().name()));
        int id = run + 1;
        List<Frame> all = new ArrayList<>(reel.frames());
        Map<Integer, Integer> sources = new HashMap<>();
        for (Frame original : chosen.frames()) {
            sources.put(id, original.id());
            all.add(gap++, original.withId(id++).withRun(run));
        }
        return reel.with(
                Bands.settled(all, frame -> frame.id() > run), runs, id, frame -> sources.getOrDefault(frame, frame));
    }

    @Override
    public String title(Reel reel) {
        return "Copy " + Chosen.words(reel, frames);
    }

    private static Optional<Run> wholeRun(Reel reel, Chosen chosen) {
        return reel.runs().stream()
                .filter(run -> reel.frames().stream().allMatch(frame -> chosen.has(frame) == (frame.run() == run.id())))
                .findFirst();
    }
}
