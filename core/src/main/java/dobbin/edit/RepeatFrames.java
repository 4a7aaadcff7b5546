package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.ArrayList;
import java.util.List;

/**
 * Puts copies of the named frames after the last of them.
 *
 * @param times how often they are there in all, 2 to 100
 */
public record RepeatFrames(
        List<Integer> frames, @Min(2) @Max(100) int times) implements Edit {
    public RepeatFrames {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Ranges.check(RepeatFrames.class, "times", times);
        List<Frame> once = Chosen.of(reel, frames).frames();
        Ranges.check("frames", reel.frames().size() + (times - 1L) * once.size(), 0, Ranges.MAX_FRAMES);
        List<Frame> copies = new ArrayList<>();
        for (int time = 1; time < times; time++) {
            copies.addAll(once);
        }
        return Gap.insert(reel, Gap.index(reel, once.get(once.size() - 1).id()), copies);
    }

    @Override
    public String title(Reel reel) {
        return "Repeat " + Chosen.words(reel, frames) + " " + times + " times";
    }
}
