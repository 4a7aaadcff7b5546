package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import dobbin.timing.Delays;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Keeps every n-th of the named frames and removes the others; each that is kept takes over the time of those removed
 * after it. Frames that are left out of the loop have no time to give and stay.
 *
 * @param keepEvery n, 2 to 100
 */
public record ThinFrames(
        List<Integer> frames, @Min(2) @Max(100) int keepEvery) implements Edit {
    public ThinFrames {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Ranges.check(ThinFrames.class, "keepEvery", keepEvery);
        List<Frame> loop = Chosen.of(reel, frames).loop();
        int[] thinned =
                Delays.thinned(loop.stream().mapToInt(Frame::delayMillis).toArray(), keepEvery);
        Map<Integer, Integer> delays = new HashMap<>();
        for (int i = 0; i < thinned.length; i++) {
            delays.put(loop.get(i).id(), thinned[i]);
        }
        return reel.withFrames(reel.frames().stream()
                .filter(frame -> delays.getOrDefault(frame.id(), 1) > 0)
                .map(frame -> frame.withDelay(delays.getOrDefault(frame.id(), frame.delayMillis())))
                .toList());
    }

    @Override
    public String title(Reel reel) {
        String every = keepEvery == 2 ? "2nd" : keepEvery == 3 ? "3rd" : keepEvery + "th";
        return "Keep every " + every + " of " + Chosen.words(reel, frames);
    }
}
