package dobbin.edit;

import dobbin.reel.Plays;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;

/** @param times how often viewers play the loop in all: 1 to 1,000, or 0 for forever */
public record SetPlays(@Min(0) @Max(Ranges.MAX_PLAYS) int times) implements Edit {
    @Override
    public Reel applyTo(Reel reel) {
        return reel.withPlays(new Plays(Ranges.check(SetPlays.class, "times", times)));
    }

    @Override
    public String title(Reel reel) {
        return times == 0 ? "Play forever" : times == 1 ? "Play once" : "Play " + times + " times";
    }
}
